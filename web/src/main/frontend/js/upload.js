// Sends a file with its progress shown, then goes where the answer leads. Without this module the form is sent plainly.

for (const form of document.querySelectorAll("form[data-upload]")) {
  const file = form.querySelector("input[type=file]");
  const bar = form.querySelector("progress");
  const said = form.querySelector("[data-progress]");
  const fault = form.querySelector(".err");

  const stop = (message) => {
    bar.hidden = true;
    said.textContent = "";
    fault.textContent = message;
    file.setAttribute("aria-invalid", "true");
  };

  form.addEventListener("submit", (event) => {
    const chosen = file.files[0];
    if (!chosen) {
      return;
    }
    event.preventDefault();
    fault.textContent = "";
    if (chosen.size > Number(form.dataset.upload)) {
      stop(form.dataset.tooLarge);
      return;
    }
    const request = new XMLHttpRequest();
    request.open("POST", form.action);
    request.responseType = "document";
    request.upload.addEventListener("progress", (sent) => {
      bar.hidden = false;
      bar.value = Math.round((100 * sent.loaded) / sent.total);
      said.textContent = `${form.dataset.sending} ${bar.value} %`;
    });
    request.upload.addEventListener("load", () => {
      bar.removeAttribute("value");
      said.textContent = form.dataset.reading;
    });
    request.addEventListener("error", () => stop(form.dataset.failed));
    request.addEventListener("load", () => {
      if (request.status === 200) {
        location.assign(request.responseURL);
        return;
      }
      const message = request.response?.querySelector("#fault-file")?.textContent;
      bar.value = 0;
      stop(message || form.dataset.failed);
    });
    request.send(new FormData(form));
  });
}
