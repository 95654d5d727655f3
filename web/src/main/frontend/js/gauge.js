// Watches a digital gauge over the stream of this server: shows its number, says when it has come to rest, passes on what
// is done at the valve. What a number means is decided on the server.

const place = document.querySelector(".live-gauge");

if (place) {
  const number = place.querySelector("[data-number]");
  const beside = place.querySelector("[data-beside]");
  const state = place.querySelector("[data-state]");
  const connect = place.querySelector("[data-connect]");
  const words = place.querySelectorAll("[data-word]");
  const kpa = document.querySelector("[data-kpa]");
  const take = document.querySelector("[data-take]");
  let stream = null;

  const say = (key) => {
    const text = place.dataset[key];
    if (state.textContent !== text) {
      state.textContent = text;
    }
  };

  const show = (shown) => {
    number.textContent = shown.number;
    beside.textContent = shown.beside;
    const rests = shown.settledKpa !== null;
    place.classList.toggle("live-rests", rests);
    place.classList.toggle("live-too-much", shown.tooMuch);
    if (shown.tooMuch) {
      say("tooMuch");
    } else {
      say(rests ? "settled" : "moving");
    }
    kpa.value = rests ? shown.settledKpa.toFixed(3) : "";
    take.disabled = !rests;
  };

  const close = (key) => {
    stream = null;
    say(key);
    connect.disabled = false;
    for (const word of words) {
      word.disabled = true;
      word.removeAttribute("aria-pressed");
    }
  };

  connect.addEventListener("click", () => {
    const address = new URL(`/gauge-stream?unit=${place.dataset.unit}&ceiling=${place.dataset.ceiling}`, location.href);
    address.protocol = location.protocol === "https:" ? "wss:" : "ws:";
    let heard = false;
    stream = new WebSocket(address);
    connect.disabled = true;
    say("waiting");
    stream.addEventListener("open", () => stream.send(place.dataset.tire));
    stream.addEventListener("message", (message) => {
      if (!heard) {
        heard = true;
        for (const word of words) {
          word.disabled = false;
        }
      }
      show(JSON.parse(message.data));
    });
    stream.addEventListener("close", () => close(heard ? "gone" : "none"));
  });

  for (const word of words) {
    word.addEventListener("click", () => {
      stream?.send(word.dataset.word);
      for (const other of words) {
        other.setAttribute("aria-pressed", String(other === word && other.dataset.word !== "rest"));
      }
    });
  }
}
