// Keeps what is told in step with the ride's form: asks the server for the parts that change, and puts them in place.
// Without this module the form has a button that does the same by a new page.

const PAUSE_MS = 250;

for (const form of document.querySelectorAll("form[data-live]")) {
  const failed = form.querySelector("[data-live-failed]");
  let timer;
  let asked;

  const refresh = async () => {
    const query = new URLSearchParams(new FormData(form)).toString();
    asked?.abort();
    asked = new AbortController();
    form.setAttribute("aria-busy", "true");
    try {
      const answer = await fetch(`${form.dataset.live}?${query}`, { signal: asked.signal });
      if (!answer.ok) {
        throw new Error(`answered ${answer.status}`);
      }
      const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
      for (const part of fresh.querySelectorAll("[data-part]")) {
        document.getElementById(part.id)?.replaceWith(part);
      }
      showFaults(form);
      failed.hidden = true;
      history.replaceState(null, "", `${form.action}?${query}`);
      form.removeAttribute("aria-busy");
    } catch (error) {
      if (error.name === "AbortError") {
        return;
      }
      // what is told no longer belongs to what is typed: say so, the button still works
      failed.hidden = false;
      form.removeAttribute("aria-busy");
    }
  };

  const soon = () => {
    clearTimeout(timer);
    timer = setTimeout(refresh, PAUSE_MS);
  };
  form.addEventListener("input", soon);
  form.addEventListener("change", soon);
}

// The faults come as a hidden list; each is shown beside its field.
function showFaults(form) {
  const faults = new Map();
  for (const item of document.querySelectorAll("#faults [data-field]")) {
    faults.set(item.dataset.field, item.textContent);
  }
  for (const place of form.querySelectorAll("[data-fault-of]")) {
    const field = place.dataset.faultOf;
    const input = form.elements.namedItem(field);
    place.textContent = faults.get(field) ?? "";
    if (input instanceof HTMLElement) {
      input.toggleAttribute("aria-invalid", false);
      if (faults.has(field)) {
        input.setAttribute("aria-invalid", "true");
      }
    }
  }
}
