// Counts a wait down on its page, rings, and loads the page anew when it is over. Without this module the page says until
// when.
// How long it takes comes from the server: a clock that is wrong here must not load the page again and again.

const SECOND_MS = 1000;
const { ring } = await import(document.getElementById("module-ring").href);

for (const place of document.querySelectorAll("[data-seconds]")) {
  const until = Date.now() + place.dataset.seconds * SECOND_MS;
  const tick = () => {
    const left = Math.ceil((until - Date.now()) / SECOND_MS);
    if (left <= 0) {
      clearInterval(timer);
      ring().then(() => location.reload());
      return;
    }
    const hours = Math.floor(left / 3600);
    const minutes = String(Math.floor((left % 3600) / 60)).padStart(2, "0");
    const seconds = String(left % 60).padStart(2, "0");
    place.textContent = `${hours}:${minutes}:${seconds}`;
  };
  const timer = setInterval(tick, SECOND_MS);
  tick();
}
