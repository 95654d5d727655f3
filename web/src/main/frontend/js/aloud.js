// Reads a step aloud: its words, its cautions and its answers, in the order of the page. Once asked for it reads every step
// that follows, until it is told to stop. Where the browser has no speech its button stays hidden.

const READING = "stratopneum-aloud";

function speak(words) {
  speechSynthesis.cancel();
  for (const text of words) {
    const said = new SpeechSynthesisUtterance(text);
    said.lang = document.documentElement.lang;
    speechSynthesis.speak(said);
  }
}

/** Makes `button` read what `words()` gives, and stop; begins at once where reading goes on from the step before. */
export function aloud(button, words) {
  const start = button.textContent;
  const show = (reading) => {
    button.textContent = reading ? button.dataset.stop : start;
    button.setAttribute("aria-pressed", String(reading));
  };
  button.hidden = false;
  show(false);
  const read = () => {
    sessionStorage.setItem(READING, "on");
    show(true);
    speak(words());
  };
  button.addEventListener("click", () => {
    if (sessionStorage.getItem(READING) === "on") {
      sessionStorage.removeItem(READING);
      speechSynthesis.cancel();
      show(false);
    } else {
      read();
    }
  });
  if (sessionStorage.getItem(READING) === "on") {
    read();
  }
}

const button = document.getElementById("aloud");
if (button !== null && "speechSynthesis" in window) {
  aloud(button, () =>
    [...document.querySelectorAll("[data-say]")].map((place) => place.textContent.trim()).filter((text) => text !== ""),
  );
  window.addEventListener("pagehide", () => speechSynthesis.cancel());
}
