// Opens the fold that a link on the page leads to. Without this module the fold is opened by its own heading.

for (const link of document.querySelectorAll("a[data-open]")) {
  link.addEventListener("click", () => {
    document.getElementById(link.dataset.open).open = true;
  });
}

const open = () => {
  const place = location.hash.length > 1 ? document.getElementById(decodeURIComponent(location.hash.slice(1))) : null;
  if (place instanceof HTMLDetailsElement) {
    place.open = true;
  }
};
window.addEventListener("hashchange", open);
open();
