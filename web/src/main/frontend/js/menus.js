// Closes an open menu when something else is pressed, and on Escape, with the focus back on its button.
// Without this module a menu closes by its own button.

const open = () => document.querySelectorAll("details.menu[open]");

document.addEventListener("click", (event) => {
  for (const menu of open()) {
    if (!menu.contains(event.target)) {
      menu.open = false;
    }
  }
});

document.addEventListener("keydown", (event) => {
  if (event.key === "Escape") {
    for (const menu of open()) {
      menu.open = false;
      menu.querySelector("summary").focus();
    }
  }
});
