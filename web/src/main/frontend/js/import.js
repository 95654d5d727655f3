/** Looks again while a file is being read, and shows the whole page once it is. */
const PAUSE_MS = 700;

async function look() {
  try {
    const answer = await fetch(location.href);
    const page = new DOMParser().parseFromString(await answer.text(), "text/html");
    const there = page.getElementById("import-state");
    if (there === null || there.dataset.busy !== "true") {
      location.reload();
      return;
    }
    document.getElementById("import-state").replaceChildren(...there.childNodes);
  } catch {
    // no answer for once: asked again
  }
  setTimeout(look, PAUSE_MS);
}

if (document.getElementById("import-state")?.dataset.busy === "true") {
  setTimeout(look, PAUSE_MS);
}
