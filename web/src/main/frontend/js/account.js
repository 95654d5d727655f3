// Signing up: gives the browser's time zone along, and says while typing how hard the password is to guess.
// Without this module the machine's zone is taken, and the length of the password is all that is checked; and what was
// typed before signing in again is sent by its button.

const PAUSE_MS = 400;

for (const field of document.querySelectorAll("input[data-zone]")) {
  field.value = Intl.DateTimeFormat().resolvedOptions().timeZone ?? "";
}

// Signed in again: what was typed before goes on its way by itself.
document.querySelector("form[data-send-again]")?.requestSubmit();

for (const place of document.querySelectorAll("[data-strength]")) {
  const form = place.closest("form");
  let timer;
  let asked;

  const ask = async () => {
    asked?.abort();
    asked = new AbortController();
    if (form.elements.password.value.length === 0) {
      place.textContent = "";
      return;
    }
    try {
      const body = new URLSearchParams(new FormData(form));
      const answer = await fetch(place.dataset.strength, { method: "POST", body, signal: asked.signal });
      if (answer.ok) {
        const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
        place.textContent = fresh.body.textContent.trim();
      }
    } catch {
      // the word is a help, not a rule: without it the form works as before
    }
  };

  form.elements.password.addEventListener("input", () => {
    clearTimeout(timer);
    timer = setTimeout(ask, PAUSE_MS);
  });
}
