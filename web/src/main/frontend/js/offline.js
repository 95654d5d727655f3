// Without signal: the bikes, what was read last, what to set, and the open job cards, as this device keeps them.

const at = (id) => document.getElementById(id).href;
const [device, outbox, { gaugeRead, make }, { outboxPanel }] = await Promise.all([
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
  return new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "long",
    hour: "2-digit",
    minute: "2-digit",
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
  );
}

function cardOf(card) {
  return make(
    "section",
    { class: "group", "data-card": card.id },
    make("h2", {}, card.title),
    make("p", { class: "quiet" }, `${card.bike}, ${card.where}`),
    make("p", {}, make("strong", {}, card.step)),
    make("p", {}, card.why),
    ...card.cautions.map((words) => make("p", { class: "caution" }, make("strong", {}, `${say("caution")} `), words)),
    card.ahead.length === 0
      ? null
      : make(
          "details",
          {},
          make("summary", {}, say("card.ahead", card.ahead.length)),
          make("ol", { class: "card-list" }, ...card.ahead.map((line) => make("li", {}, line))),
        ),
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
    ...[waits, ...(mine.cards ?? []).map(cardOf), ...mine.bikes.map(bikeOf)].filter((part) => part !== null),
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
