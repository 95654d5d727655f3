// Keeps what is told in step with a form: asks the server for the parts that change, and puts them in place.
// Without this module the form has a button that does the same by a new page.

const PAUSE_MS = 250;

for (const form of document.querySelectorAll("form[data-live]")) {
  const failed = form.querySelector("[data-live-failed]");
  const touched = new Set();
  let timer;
  let asked;

  const refresh = async () => {
    const fields = new FormData(form);
    fields.delete("_csrf");
    const query = new URLSearchParams(fields).toString();
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
        const place = document.getElementById(part.id);
        // never taken from under a finger: what is being chosen there is what was asked with
        if (place !== null && !place.contains(document.activeElement)) {
          place.replaceWith(part);
        }
      }
      for (const field of document.querySelectorAll("[data-hint-of]")) {
        field.placeholder = document.getElementById(field.dataset.hintOf)?.textContent ?? " ";
      }
      showFaults(form, touched);
      failed.hidden = true;
      if (form.method === "get") {
        const here = new URL(form.action);
        here.search = query;
        history.replaceState(null, "", here);
      }
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

  const soon = (event) => {
    touched.add(event.target);
    keepDraft(form);
    clearTimeout(timer);
    timer = setTimeout(refresh, PAUSE_MS);
  };
  form.addEventListener("input", soon);
  form.addEventListener("change", soon);
  // what was typed before this module came is told too
  [...form.elements].filter(isTyped).forEach((field) => soon({ target: field }));
}

function isTyped(field) {
  return ["checkbox", "radio"].includes(field.type)
    ? field.checked !== field.defaultChecked
    : field.value !== (field.defaultValue ?? field.value);
}

// What is typed into a form that is not kept yet stands in its address, so that going back to it finds all of it.
function keepDraft(form) {
  if (form.dataset.draft === undefined) {
    return;
  }
  const fields = new FormData(form);
  fields.delete("_csrf");
  fields.delete("id");
  fields.set("draft", "1");
  history.replaceState(null, "", `${form.dataset.draft}?${new URLSearchParams(fields)}`);
}

// The faults come as a hidden list; each is shown beside its field, once somebody has been there: a field that is still
// to come is not called missing.
function showFaults(form, touched) {
  const faults = new Map();
  for (const item of document.querySelectorAll("#faults [data-field]")) {
    faults.set(item.dataset.field, item.textContent);
  }
  for (const field of faults.keys()) {
    const input = form.elements.namedItem(field);
    const around = input instanceof HTMLElement ? input.closest(".field") : null;
    if (around !== null && document.getElementById(`fault-${field}`) === null) {
      makePlace(input, around, field);
    }
  }
  for (const place of form.querySelectorAll("[id^=fault-]")) {
    const field = place.id.slice("fault-".length);
    const input = form.elements.namedItem(field);
    const around = input ?? place.closest("fieldset");
    const said = place.textContent.trim() !== "";
    const isTouched = [...touched].some((other) => other === input || around?.contains?.(other));
    const fault = said || isTouched ? (faults.get(field) ?? "") : "";
    place.textContent = fault;
    if (input instanceof HTMLElement) {
      input.toggleAttribute("aria-invalid", false);
      if (fault !== "") {
        input.setAttribute("aria-invalid", "true");
      }
    }
  }
}

// A field that had no fault when the page came has no place for one.
function makePlace(input, around, field) {
  const place = document.createElement("span");
  place.className = "err";
  place.id = `fault-${field}`;
  around.append(place);
  input.setAttribute("aria-describedby", place.id);
}
