// Fields that begin as a copy of others: once the box is unticked that said "the same", as long as none of them was filled.

for (const part of document.querySelectorAll("[data-copy-when]")) {
  const form = part.closest("form");
  const same = form.elements.namedItem(part.dataset.copyWhen);
  const { copyFrom, copyTo } = part.dataset;
  same.addEventListener("change", () => {
    const fields = [...part.querySelectorAll("input, select")].filter((field) => field.name.startsWith(copyTo));
    if (same.checked || fields.some((field) => field.type === "text" && field.value.trim() !== "")) {
      return;
    }
    for (const field of fields) {
      const name = copyFrom + field.name.slice(copyTo.length);
      const source = [...form.elements].find(
        (other) => other.name === name && (other.type !== "radio" || other.value === field.value),
      );
      if (source?.type === "checkbox" || source?.type === "radio") {
        field.checked = source.checked;
      } else if (source !== undefined) {
        field.value = source.value;
      }
    }
  });
}
