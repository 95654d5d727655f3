// Single keys go to what a page has for them: each place is marked with its key. Fields get the focus, and so does what
// asks for it with data-focus; the rest is pressed. Without this module the same places are reached by Tab.

const root = document.documentElement;

function isTyping(target) {
  return target instanceof HTMLElement && target.closest("input, select, textarea, [contenteditable]") !== null;
}

if (root.dataset.letters === "on") {
  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target)) {
      return;
    }
    const place = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
    if (place === null) {
      return;
    }
    event.preventDefault();
    place.focus();
    if (!isTyping(place) && !("focus" in place.dataset)) {
      place.click();
    }
  });
}
