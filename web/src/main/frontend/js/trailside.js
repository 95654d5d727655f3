// The stop beside the trail: one step at a time, from the ladder that this device keeps. Works with no signal.

const at = (id) => document.getElementById(id).href;
const [
  device,
  outbox,
  { button, make },
  { anew, canGoOn, opened, save, take, trail, wheel, wheels },
  { hour, say, time },
  { budget },
  { meanwhile },
  { stepPanel, stopClock },
  { end, reading, sent, write },
  { outboxPanel },
  { keepAwake },
] = await Promise.all([
  import(at("module-device")),
  import(at("module-outbox")),
  import(at("module-page")),
  import(at("module-stop")),
  import(at("module-words")),
  import(at("module-air")),
  import(at("module-asks")),
  import(at("module-step")),
  import(at("module-end")),
  import(at("module-outbox-panel")),
  import(at("module-awake")),
]);

const place = document.getElementById("stop");
const freshness = document.getElementById("kept");

function draw() {
  stopClock();
  const details = new Set([...place.querySelectorAll("details[open]")].map((one) => one.id));
  trail.open = details.size > 0 || place.querySelector("details") !== null ? details : trail.open;
  const parts =
    trail.mine !== undefined && wheels().length === 0
      ? [noWheels()]
      : [offer(), trail.told.end === null ? stepPanel() : end(), meanwhile()];
  // what is being typed stays under the fingers
  const typed = [...place.querySelectorAll("input")].map((field) => [field.id, field.value]);
  const focused = place.contains(document.activeElement) ? document.activeElement.id : "";
  place.replaceChildren(...parts.filter((part) => part !== null), ...below());
  for (const [id, value] of typed) {
    const field = document.getElementById(id);
    if (field !== null && !sent.has(id)) {
      field.value = value;
    }
  }
  sent.clear();
  if (focused !== "") {
    document.getElementById(focused)?.focus();
  }
  status();
  keepAwake();
}

/** A stop that was left is offered, never simply opened: the next flat tire is another one. */
function offer() {
  if (trail.offered === undefined) {
    return null;
  }
  const settle = async (told) => {
    trail.offered = undefined;
    trail.told = told;
    await save();
    draw();
  };
  return make(
    "section",
    { id: "offer", class: "trail-answers" },
    button(say("continue", hour(trail.offered.began)), () => settle(trail.offered), {
      id: "continue",
      class: "btn trail",
    }),
    button(say("new-flat"), () => settle(trail.told), { id: "new-flat" }),
  );
}

function noWheels() {
  return make("p", {}, say("no-wheels"), " ", make("a", { href: "/garage" }, say("home")));
}

function status() {
  const when =
    trail.mine === undefined ? say("nobody") : say(trail.offline ? "kept" : "fresh", time(trail.mine.fetched));
  freshness.replaceChildren(trail.offline ? make("strong", {}, `${say("offline")}. `) : "", when);
}

function below() {
  const parts = [];
  if (trail.told.stop !== undefined) {
    parts.push(budget());
  }
  parts.push(outgoing());
  if (trail.mine !== undefined && wheels().length > 0 && trail.told.end === null) {
    parts.push(
      make(
        "details",
        { id: "quick", open: trail.open.has("quick") },
        make("summary", {}, say("quick")),
        make("p", { class: "quiet" }, wheel().label),
        reading(),
        make("h3", {}, say("traces")),
        make("p", {}, say("traces.note")),
        button(say("traces.write"), () => write("TRACES", {}, say("kind.TRACES", wheel().label)), {
          id: "write-traces",
        }),
      ),
    );
  }
  return parts.filter((part) => part !== null);
}

function outgoing() {
  return outboxPanel({ waiting: trail.waiting, rider: trail.mine?.rider.id, say, time, changed: reload });
}

/** Until when a press is going on, in ms: what is drawn anew under a finger loses its press. */
let pressed = 0;
let later;

/** Draws what came by itself, once the finger is up and its press was answered. */
function drawUntouched() {
  clearTimeout(later);
  const wait = pressed - performance.now();
  if (wait > 0) {
    later = setTimeout(drawUntouched, wait);
  } else {
    draw();
  }
}

async function reload() {
  const kept = await device.kept("mine");
  const other = kept?.rider.id !== trail.mine?.rider.id;
  trail.mine = kept;
  if (trail.mine !== undefined) {
    document.documentElement.dataset.theme = trail.mine.rider.theme;
  }
  trail.waiting = await device.waiting();
  trail.bags = (await device.kept("bags")) ?? {};
  // another rider, or the first wheel of this one
  if (other || trail.told?.stop === undefined) {
    const before = trail.told === undefined ? await device.kept("stop") : undefined;
    trail.offered = canGoOn(before) ? before : undefined;
    trail.told = opened(before);
    if (trail.told?.stop === undefined || !wheels().some((one) => one.key === trail.told.key)) {
      trail.told = undefined;
      anew();
    }
  } else if (
    trail.told.stop !== undefined &&
    trail.told.before.length === 0 &&
    trail.told.end === null &&
    !trail.told.bagChanged
  ) {
    // nothing was done yet: what came fresh counts, and what was answered stays
    const same = wheels().find((one) => one.key === trail.told.key);
    if (same !== undefined) {
      trail.told.bike = undefined;
      take(same);
    }
  }
  drawUntouched();
}

async function start() {
  try {
    trail.rules = await (await fetch("/trailside/rules.json")).json();
  } catch {
    document.getElementById("broken").hidden = false;
    return;
  }
  await reload();
  const press = (ms) => () => (pressed = performance.now() + ms);
  // a finger that is never seen lifted holds nothing up for longer than a second
  window.addEventListener("pointerdown", press(1000), true);
  window.addEventListener("pointerup", press(50), true);
  window.addEventListener("pointercancel", press(0), true);
  window.addEventListener("device-changed", () => reload());
  window.addEventListener("online", () => refreshed());
  window.addEventListener("offline", () => {
    trail.offline = true;
    status();
  });
  await refreshed();
}

async function refreshed() {
  trail.offline = (await outbox.refresh()) === null;
  await reload();
  await outbox.send();
}

trail.draw = draw;
await start();
