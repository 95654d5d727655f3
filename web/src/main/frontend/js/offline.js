// Without signal: the bikes, what was read last, what to set, and the open job cards, as this device keeps them.

const at = (id) => document.getElementById(id).href;
const [device, outbox, { button, gaugeRead, make, part }, { outboxPanel }] = await Promise.all([
  import(at("module-device")),
  import(at("module-outbox")),
  import(at("module-page")),
  import(at("module-outbox-panel")),
]);

const place = document.getElementById("home");
const rules = await (await fetch("/trailside/rules.json")).json();
let mine;

function say(key, ...values) {
  return values.reduce((said, value, i) => said.replaceAll(`{${i}}`, value), rules.words[key] ?? key);
}

function time(moment) {
  return new Intl.DateTimeFormat(mine?.rider.region ?? "en-GB", {
    day: "numeric",
    month: "long",
    hour: "2-digit",
    minute: "2-digit",
    hour12: mine?.rider.hour12 ?? false,
    timeZone: mine?.rider.zone,
  }).format(new Date(moment));
}

/** A reading before pumping; it waits as those from beside the trail do. */
function reading(bike, wheel) {
  const { unit } = mine.rider;
  const id = `reading-${wheel.id}`;
  const field = make("input", { type: "text", inputmode: "decimal", id, autocomplete: "off" });
  const fault = make("span", { class: "err", role: "alert" });
  return make(
    "form",
    {
      class: "trail-reading",
      novalidate: true,
      onsubmit: async (event) => {
        event.preventDefault();
        const kpa = gaugeRead(field, fault, { say, unit, mostKpa: rules.air.mostReadingKpa });
        if (kpa === null) {
          return;
        }
        await outbox.waitFor(mine, bike, wheel, {
          kpa,
          unit: unit.code,
          after: false,
          words: say("kind.READING", `${bike.name}, ${wheel.label}`, `${field.value.trim()} ${unit.symbol}`),
        });
        await draw();
      },
    },
    make("label", { for: id }, `${say("reading.value", wheel.label)} (${unit.symbol})`),
    field,
    fault,
    make("button", { class: "btn soft trail" }, say("reading")),
  );
}

function bikeOf(bike) {
  return make(
    "section",
    { class: "group", "data-bike": bike.id },
    make("h2", {}, bike.name),
    ...bike.wheels.flatMap((wheel) => [
      make("h3", { class: "mt-4" }, wheel.label),
      wheel.told === "" ? null : make("p", {}, wheel.told),
      make("p", {}, wheel.limit),
      wheel.last === "" ? null : make("p", {}, wheel.last),
      wheel.liquid === "" ? null : make("p", { class: "quiet" }, wheel.liquid),
      reading(bike, wheel),
    ]),
    kitOf(bike),
  );
}

/** The step of a job that is open once those that wait were sent, with its answers as far as what follows is known. */
function cardOf(card, waiting) {
  const done = waiting.filter((entry) => entry.card === card.id);
  const step = card.steps[done.length];
  const known = step !== undefined && done.every(({ usual }) => usual);
  const ahead = card.steps.slice(done.length + 1);
  return make(
    "section",
    { class: "group", "data-card": card.id },
    make("h2", {}, card.title),
    make("p", { class: "quiet" }, `${card.bike}, ${card.where}`),
    ...(known ? [part(step.symbol), make("p", {}, make("strong", {}, step.text)), make("p", {}, step.why)] : []),
    ...(known ? step.cautions : []).map((words) => make("p", { class: "caution" }, words)),
    known && step.answers.length > 0
      ? make(
          "p",
          { class: "trail-answers" },
          ...step.answers.map((answer, i) =>
            button(
              answer.text,
              async () => {
                await outbox.waitForStep(mine, card, step, answer, i === 0);
                await draw();
              },
              { class: i === 0 ? "btn trail" : "btn soft trail", "data-answer": answer.answer },
            ),
          ),
        )
      : make("p", { class: "quiet" }, say("card.needs-signal")),
    !known || ahead.length === 0
      ? null
      : make(
          "details",
          {},
          make("summary", {}, say("card.ahead", ahead.length)),
          make("ol", { class: "card-list" }, ...ahead.map(({ text }) => make("li", {}, text))),
        ),
  );
}

function todo() {
  const rows = mine.todo ?? [];
  return make(
    "section",
    { class: "group", id: "todo" },
    make("h2", {}, say("todo")),
    rows.length === 0
      ? make("p", { class: "quiet" }, say("todo.none"))
      : make(
          "ul",
          { class: "plain-list" },
          ...rows.map(({ what, where, flag }) => make("li", {}, make("strong", {}, what), ` ${where}, ${flag}`)),
        ),
  );
}

function kitOf(bike) {
  const counts = Object.entries(bike.bag?.counts ?? {}).filter(([, count]) => count > 0);
  const words = (code) => rules.items.find((item) => item.code === code)?.words ?? code;
  return counts.length === 0
    ? null
    : make(
        "p",
        {},
        make("strong", {}, say("kit")),
        ` ${counts.map(([code, n]) => `${n} × ${words(code)}`).join(", ")}`,
      );
}

async function draw() {
  mine = await device.kept("mine");
  const waiting = await device.waiting();
  if (mine === undefined) {
    place.replaceChildren(make("p", {}, say("nobody-kept")));
    return;
  }
  document.documentElement.dataset.theme = mine.rider.theme;
  document
    .getElementById("kept")
    .replaceChildren(make("strong", {}, `${say("offline")}. `), say("kept", time(mine.fetched)));
  const waits = outboxPanel({ waiting, rider: mine.rider.id, say, time, changed: draw });
  place.replaceChildren(
    ...[waits, ...(mine.cards ?? []).map((card) => cardOf(card, waiting)), ...mine.bikes.map(bikeOf), todo()].filter(
      (one) => one !== null,
    ),
  );
  document.querySelector(`[data-card="${window.location.pathname.split("/").pop()}"]`)?.scrollIntoView();
}

await draw();
window.addEventListener("device-changed", () => draw());
// once there is signal again, the page that was asked for is the better one
window.addEventListener("online", async () => {
  if (await outbox.reached()) {
    window.location.reload();
  }
});
