// On every page: keeps what the trail needs fresh, sends what waits, in its order, and asks before a sign-out loses it.
// Without this module the site works as ever, but for the trail without signal.

const device = await import(document.getElementById("module-device").href);

const MINE = "/trailside/mine.json";
const CARDS = "/trailside/cards.json";
const TODO = "/trailside/todo.json";
const LOG = "/trailside/log";
const AGAIN_AFTER_MS = 5 * 60 * 1000;
const PATIENCE_MS = 20_000;

/** Tells whoever listens that what waits, or what is kept, has changed. */
function tell() {
  window.dispatchEvent(new Event("device-changed"));
}

async function ask(what) {
  const answer = await fetch(what, { cache: "no-store", signal: AbortSignal.timeout(PATIENCE_MS) });
  if (!answer.ok) {
    throw new Error(`answered ${answer.status}`);
  }
  return answer.json();
}

/**
 * Fetches what is the rider's. Another rider than before takes the place of what was kept; what waits of the former one
 * is theirs and is not shown to anybody else, but counted.
 *
 * @returns what came, or null without signal
 */
export function refresh() {
  refreshing ??= refreshOnce().finally(() => {
    refreshing = undefined;
  });
  return refreshing;
}

let refreshing;

async function refreshOnce() {
  let mine;
  try {
    mine = await ask(MINE);
  } catch {
    return null;
  }
  const before = await device.kept("mine");
  if (mine.rider === null) {
    // signed out elsewhere, or the session has ended: what waits is kept for its rider, the rest goes
    if (before !== undefined) {
      await device.forget("mine");
      await device.forget("stop");
    }
  } else {
    if (before !== undefined && before.rider.id !== mine.rider.id) {
      await device.forget("stop");
    }
    const cards = await ask(CARDS).catch(() => before?.cards ?? []);
    const todo = await ask(TODO).catch(() => before?.todo ?? []);
    const kept = { ...mine, cards, todo, fetched: Date.now() };
    delete kept.token;
    await device.keep("mine", kept);
  }
  tell();
  return mine;
}

let sending;
let asked = false;

/** Sends what waits of the rider who is signed in; one at a time, oldest first. Stops where there is no signal. */
export function send() {
  asked = true;
  sending ??= sendAsAsked().finally(() => {
    sending = undefined;
  });
  return sending;
}

/** What came to wait while others were sent is sent too. */
async function sendAsAsked() {
  let all;
  do {
    asked = false;
    all = await sendAll();
  } while (asked);
  return all;
}

async function sendAll() {
  if ((await device.waiting()).length === 0) {
    return true;
  }
  const mine = await refresh();
  if (mine === null || mine.rider === null) {
    return false;
  }
  let all = true;
  for (const entry of await device.waiting()) {
    if (entry.rider !== mine.rider.id || (entry.state !== undefined && entry.state !== "WAITS")) {
      all = false;
      continue;
    }
    let answer;
    let said;
    try {
      answer = await fetch(LOG, {
        method: "POST",
        headers: { "Content-Type": "application/json", [mine.token.header]: mine.token.value },
        body: JSON.stringify(entry.body),
      });
      said = answer.headers.get("Content-Type")?.includes("json") ? await answer.json() : {};
    } catch {
      return false;
    }
    if (["WRITTEN", "REPEATED"].includes(said.status)) {
      await device.drop(entry.nr);
      await device.keep("last-sent", said.said ?? "");
    } else if (["CONFLICT", "GONE", "FAULTY"].includes(said.status) || answer.status === 400) {
      await device.change({ ...entry, state: said.status ?? "FAULTY", said: said.said ?? said.detail ?? "" });
      all = false;
    } else {
      // not now: the server is busy, or the session has ended
      return false;
    }
    tell();
  }
  await refresh();
  return all;
}

const REACH_MS = 2500;

/** Whether the server can be reached now; a bar of signal that carries nothing is no signal. */
export async function reached() {
  if (!navigator.onLine) {
    return false;
  }
  try {
    const answer = await fetch(LOG, { method: "HEAD", cache: "no-store", signal: AbortSignal.timeout(REACH_MS) });
    return answer.status < 500;
  } catch {
    return false;
  }
}

/** A reading of a wheel waits to be sent. */
export async function waitFor(mine, bike, wheel, { words, ...read }) {
  await device.wait({
    rider: mine.rider.id,
    name: mine.rider.name,
    state: "WAITS",
    words,
    body: {
      id: crypto.randomUUID(),
      kind: "READING",
      bikeId: bike.id,
      wheelId: wheel.id,
      tireId: wheel.tire,
      at: new Date().toISOString(),
      ...read,
    },
  });
  send();
}

/** A step of a job that was done waits to be sent; `usual` where what follows is known. */
export async function waitForStep(mine, card, step, answer, usual) {
  await device.wait({
    rider: mine.rider.id,
    name: mine.rider.name,
    state: "WAITS",
    words: `${card.title}: ${step.text} ${answer.text}`,
    card: card.id,
    usual,
    body: {
      id: crypto.randomUUID(),
      kind: "STEP",
      cardId: card.id,
      wheelId: card.wheel,
      step: step.id,
      answer: answer.answer,
      at: new Date().toISOString(),
    },
  });
  send();
}

// An answer on the page of a job while the server is out of reach waits on this device, and the step that usually follows is
// shown as this device keeps it.
for (const form of document.querySelectorAll("form.card-answers")) {
  let settled = false;
  form.addEventListener("submit", async (event) => {
    const { submitter } = event;
    if (settled || submitter?.name !== "answer") {
      return;
    }
    event.preventDefault();
    const mine = await device.kept("mine").catch(() => undefined);
    const card = mine?.cards?.find(
      ({ wheel, steps }) => wheel === form.elements.wheel.value && steps[0]?.id === form.elements.step.value,
    );
    const answer = card?.steps[0].answers.find((one) => one.answer === submitter.value);
    if (answer === undefined || (await reached())) {
      settled = true;
      form.requestSubmit(submitter);
      settled = false;
      return;
    }
    await waitForStep(mine, card, card.steps[0], answer, answer === card.steps[0].answers[0]);
    location.reload();
  });
}

// A reading that is typed on the first page while the server is out of reach is not lost: it waits on this device.
for (const form of document.querySelectorAll("form[data-readings]")) {
  let settled = false;
  form.addEventListener("submit", async (event) => {
    if (settled) {
      return;
    }
    event.preventDefault();
    const { submitter } = event;
    const mine = await device.kept("mine").catch(() => undefined);
    const bike = mine?.bikes.find((one) => one.id === form.dataset.readings);
    if (bike === undefined || (await reached())) {
      settled = true;
      form.requestSubmit(submitter);
      settled = false;
      return;
    }
    await keepReadings(form, submitter, mine, bike);
  });
}

async function keepReadings(form, submitter, mine, bike) {
  const asTold = submitter?.name === "set";
  const unit = [mine.rider.unit, mine.rider.beside].find((one) => one.code === form.elements.unit.value);
  const said = form.parentElement.querySelector("[data-kept]");
  const fault = form.parentElement.querySelector("[data-not-kept]");
  const read = [];
  for (const side of ["rear", "front"]) {
    const wheel = bike.wheels.find((one) => one.position === side.toUpperCase());
    const name = asTold ? `told${side[0].toUpperCase()}${side.slice(1)}` : side;
    const typed = form.elements[name]?.value.trim() ?? "";
    const value = Number(typed.replace(",", "."));
    if (typed !== "" && wheel !== undefined) {
      read.push({ side, wheel, typed, value });
    }
  }
  const wrong =
    unit === undefined || read.some(({ value }) => !Number.isFinite(value) || value < 0 || value * unit.kpa > 1200);
  said.hidden = wrong || read.length === 0;
  fault.hidden = !wrong && read.length > 0;
  if (wrong) {
    return;
  }
  for (const { side, wheel, typed, value } of read) {
    await waitFor(mine, bike, wheel, {
      words: `${bike.name}, ${wheel.label}: ${typed} ${unit.symbol}`,
      kpa: value * unit.kpa,
      unit: unit.code,
      after: asTold,
    });
    form.elements[side].value = "";
  }
}

/** What waits of this rider. */
export async function waitingOf(rider) {
  return (await device.waiting()).filter((entry) => entry.rider === rider);
}

async function keepFresh() {
  const mine = await device.kept("mine");
  const somebody = document.documentElement.dataset.signedIn !== "false";
  // of somebody who only passes by there is nothing to keep
  if (!somebody && mine === undefined && (await device.waiting()).length === 0) {
    return;
  }
  if (mine === undefined || Date.now() - mine.fetched > AGAIN_AFTER_MS) {
    await refresh();
  }
  await send();
}

// what was changed on this page is in the next fetch: a page that was written to is no longer fresh
for (const form of document.querySelectorAll('form[method="post"]')) {
  form.addEventListener("submit", async () => {
    const mine = await device.kept("mine");
    if (mine !== undefined) {
      await device.keep("mine", { ...mine, fetched: 0 });
    }
  });
}

// Signing out takes everything of the rider from the device, and asks first where something waits.
for (const form of document.querySelectorAll('form[action="/sign-out"]')) {
  let settled = false;
  form.addEventListener("submit", async (event) => {
    if (settled) {
      return;
    }
    event.preventDefault();
    const go = async () => {
      await device.wipe();
      settled = true;
      form.requestSubmit();
    };
    const entries = await device.waiting();
    const question = document.getElementById("sign-out-waiting");
    if (entries.length === 0 || question === null) {
      await go();
      return;
    }
    const text = document.getElementById("sign-out-text");
    text.textContent = text.dataset.waiting.replace("{0}", entries.length);
    question.querySelector('[data-act="drop"]').onclick = go;
    question.querySelector('[data-act="stay"]').onclick = () => question.close();
    question.querySelector('[data-act="send"]').onclick = async () => {
      if ((await send()) && (await device.waiting()).length === 0) {
        await go();
      } else {
        question.querySelector('[data-act="failed"]').hidden = false;
      }
    };
    question.showModal();
  });
}

window.addEventListener("online", () => send());

if ("serviceWorker" in navigator) {
  navigator.serviceWorker
    .register("/worker.js")
    .then(() => navigator.serviceWorker.ready)
    .then((registration) => {
      if (!navigator.serviceWorker.controller) {
        registration.active.postMessage("answer me");
      }
    })
    .catch(() => {
      // a browser that keeps nothing shows the pages as ever
    });
}

keepFresh().catch(() => {
  // a browser that keeps nothing: private windows of some
});
