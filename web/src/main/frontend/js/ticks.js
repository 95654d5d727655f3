/** Ticks every box of a list at once, and says how many are ticked. */
const all = document.getElementById("tick-all");
if (all !== null) {
  const boxes = () => [...document.querySelectorAll(`input[type=checkbox][form="${all.form.id}"]`)];
  all.hidden = false;
  all.addEventListener("click", () => {
    const every = boxes().every((box) => box.checked);
    for (const box of boxes()) {
      box.checked = !every;
    }
  });
}
