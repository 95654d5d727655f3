// How the stop ended, what is left to do at home, and what is written.

const at = (id) => document.getElementById(id).href;
const [
  device,
  outbox,
  ladder,
  { button, gaugeRead, make },
  { anew, save, trail, wheel },
  { say, units },
  { back, cautions },
] = await Promise.all([
  import(at("module-device")),
  import(at("module-outbox")),
  import(at("module-ladder")),
  import(at("module-page")),
  import(at("module-stop")),
  import(at("module-words")),
  import(at("module-step")),
]);

/** Fields whose content was written down: they begin empty again. */
export const sent = new Set();

export function end() {
  const ended = trail.rules.ends[trail.told.end];
  const left = ladder.chores(trail.rules, trail.told.stop, trail.told.end);
  const now = wheel();
  return make(
    "section",
    { id: "step", class: "trail-step", "data-end": trail.told.end },
    make("p", { class: "quiet" }, say("end")),
    make("h2", { tabindex: "-1" }, ended.words),
    make("p", {}, ended.how),
    ...cautions(ended.cautions),
    make("h3", {}, say("home-list")),
    left.length === 0
      ? make("p", {}, say("home-list.none"))
      : make(
          "ul",
          { class: "said", id: "chores" },
          ...left.map((chore) =>
            make(
              "li",
              { "data-chore": chore.code },
              make("strong", {}, `${chore.words}. `),
              make("span", {}, chore.why),
            ),
          ),
        ),
    now.wheel === undefined
      ? make("p", { class: "quiet" }, say("not-signed-in"))
      : trail.told.written
        ? make(
            "p",
            { role: "status", class: "done", id: "written" },
            say(waits(trail.told.written) ? "written" : "in-log"),
          )
        : button(say("write"), writeStop, { class: "btn trail", id: "write" }),
    trail.told.written && trail.told.end !== "WALK" ? reading() : null,
    make(
      "div",
      { class: "trail-answers trail-small" },
      back(),
      button(
        say("start-over"),
        async () => {
          anew();
          await save();
          trail.draw();
        },
        { id: "start-over" },
      ),
    ),
  );
}

function waits(id) {
  return trail.waiting.some((entry) => entry.body.id === id);
}

export async function write(kind, more, said, id = crypto.randomUUID()) {
  const now = wheel();
  await device.wait({
    rider: trail.mine.rider.id,
    name: trail.mine.rider.name,
    state: "WAITS",
    words: said,
    body: {
      id,
      kind,
      bikeId: now.bike.id,
      wheelId: now.wheel.id,
      tireId: now.wheel.tire,
      at: new Date().toISOString(),
      ...more,
    },
  });
  trail.waiting = await device.waiting();
  trail.draw();
  outbox.send();
}

async function writeStop() {
  const { stop } = trail.told;
  const { counts, charges } = stop.bag;
  trail.told.written = crypto.randomUUID();
  // the next stop begins with what this one left, signal or not
  const bike = trail.mine.bikes.find((one) => one.id === wheel().bike.id);
  bike.bag = { ...stop.bag };
  await device.keep("mine", trail.mine);
  await save();
  await write(
    "MEND",
    {
      at: new Date(trail.told.began).toISOString(),
      mend: {
        system: stop.system,
        where: stop.where === "" ? null : stop.where,
        size: stop.size,
        liveSealant: stop.live,
        end: trail.told.end,
        said: stop.said,
        left: {
          plugs: counts.PLUG ?? 0,
          tubes: counts.TUBE ?? 0,
          boots: counts.BOOT ?? 0,
          patches: counts.PATCH ?? 0,
          cores: counts.CORE ?? 0,
          charges: charges.filter((charge) => charge.left > 0),
        },
      },
    },
    say("kind.MEND", wheel().label, trail.rules.ends[trail.told.end].words),
    trail.told.written,
  );
}

/** The form of a reading, and whose it is: the same one stays while something fresh comes, with its fault and its caret. */
const readings = { of: undefined, form: undefined };

export function reading() {
  const [unit] = units();
  const of = `${trail.told.key} ${unit.code}`;
  if (readings.of !== of || sent.has("reading")) {
    Object.assign(readings, { of, form: newReading(unit) });
  }
  return readings.form;
}

function newReading(unit) {
  const field = make("input", { type: "text", inputmode: "decimal", id: "reading", autocomplete: "off" });
  const fault = make("span", { class: "err", role: "alert", id: "fault-reading" });
  return make(
    "form",
    {
      class: "trail-reading",
      novalidate: true,
      onsubmit: async (event) => {
        event.preventDefault();
        const kpa = gaugeRead(field, fault, { say, unit, mostKpa: trail.rules.air.mostReadingKpa });
        if (kpa === null) {
          return;
        }
        sent.add("reading");
        await write(
          "READING",
          { kpa, unit: unit.code },
          say("kind.READING", wheel().label, `${field.value.trim()} ${unit.symbol}`),
        );
      },
    },
    make("label", { for: "reading" }, `${say("reading.value", wheel().label)} (${unit.symbol})`),
    field,
    fault,
    make("button", { class: "btn soft trail", id: "write-reading" }, say("reading")),
  );
}
