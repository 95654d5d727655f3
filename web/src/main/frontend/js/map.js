// A drawing to point at: what is touched is chosen in the list beside it, which says the same and works without this
// module.

for (const form of document.querySelectorAll("form[data-map]")) {
  const show = () => {
    for (const part of form.querySelectorAll("[data-pick]")) {
      const input = form.querySelector(`input[name="${part.dataset.pick}"][value="${CSS.escape(part.dataset.value)}"]`);
      part.classList.toggle("map-picked", input !== null && input.checked);
    }
  };
  form.addEventListener("click", (event) => {
    const part = event.target instanceof Element ? event.target.closest("[data-pick]") : null;
    if (part === null) {
      return;
    }
    const input = form.querySelector(`input[name="${part.dataset.pick}"][value="${CSS.escape(part.dataset.value)}"]`);
    if (input !== null) {
      input.checked = true;
      show();
    }
  });
  form.addEventListener("change", show);
  show();
}
