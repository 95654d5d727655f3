// Opens the fold that a link on the page leads to, or that what it leads to lies in. Without this module the fold is opened
// by its own heading.

for (const link of document.querySelectorAll("a[data-open]")) {
  link.addEventListener("click", () => {
    document.getElementById(link.dataset.open).open = true;
  });
}

document.addEventListener("click", (event) => {
  const link = event.target.closest?.("a[href^='#']");
  const place = link === null || link === undefined ? null : document.getElementById(link.hash.slice(1));
  if (place !== null && place.matches("input, select")) {
    event.preventDefault();
    place.closest("details")?.setAttribute("open", "");
    place.focus();
    place.scrollIntoView({ block: "center" });
  }
});

const open = () => {
  const place = location.hash.length > 1 ? document.getElementById(decodeURIComponent(location.hash.slice(1))) : null;
  if (place instanceof HTMLDetailsElement) {
    place.open = true;
  }
};
window.addEventListener("hashchange", open);
open();
