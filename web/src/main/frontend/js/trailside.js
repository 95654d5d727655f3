// The stop beside the trail: one step at a time, from the ladder that this device keeps. Works with no signal.

const at = (id) => document.getElementById(id).href;
const [device, outbox, ladder, page, bags, { outboxPanel }] = await Promise.all([
  import(at("module-device")),
  import(at("module-outbox")),
  import(at("module-ladder")),
  import(at("module-page")),
  import(at("module-bag")),
  import(at("module-outbox-panel")),
]);
const { button, drawing, grams, make, strokes } = page;

const place = document.getElementById("stop");
const freshness = document.getElementById("kept");

let rules;
let mine;
/** What is being told: which wheel, the stop itself, and the stops before each answer, to go back to. */
let told;
let waiting = [];
let by;
let open = new Set();
let minute;
let offline = false;

// ---- words and marks

function say(key, ...values) {
  const text = rules.words[key];
  return values.reduce((said, value, i) => said.replaceAll(`{${i}}`, value), text ?? key);
}

function units() {
  return mine === undefined ? rules.units : [mine.rider.unit, mine.rider.beside];
}

function number(kpa, unit) {
  return (kpa / unit.kpa).toFixed(unit.decimals);
}

function pressure(kpa) {
  const [unit, beside] = units();
  return `${number(kpa, unit)} ${unit.symbol} (${number(kpa, beside)} ${beside.symbol})`;
}

function short(kpa) {
  const [unit] = units();
  return `${number(kpa, unit)} ${unit.symbol}`;
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

function holds(fact) {
  return ladder.holds(rules, told.stop, fact);
}

// ---- wheels

const NOTHING = { counts: {}, charges: [], headShuts: true, pump: null };

/** All that may be flat here: the rider's wheels, or tires by their sizes. */
function wheels() {
  if (mine === undefined) {
    return tires();
  }
  return mine.bikes.flatMap((bike) =>
    bike.wheels.map((wheel) => ({
      key: wheel.id,
      label: `${bike.name}, ${wheel.label}`,
      bike,
      wheel,
      system: wheel.system,
      live: wheel.live,
      air: wheel.air,
      bag: bike.bag ?? NOTHING,
    })),
  );
}

function tires() {
  return [...(told?.others ?? []), ...rules.tires].map((tire) => ({
    key: tire.size,
    label: tire.name === "" ? tire.size : `${tire.size}, ${tire.name}`,
    system: "TUBELESS",
    live: true,
    air: tire.air,
    bag: NOTHING,
  }));
}

function wheel() {
  const all = wheels();
  return all.find((one) => one.key === told.key) ?? all[0];
}

/** Before anybody said which: one that the liquid may help. */
function likeliest() {
  const all = wheels();
  const big = mine === undefined ? all.find((one) => one.key === "57-622") : undefined;
  return big ?? all.find((one) => one.live) ?? all[0];
}

function anew() {
  const first = mine !== undefined && wheels().length === 0 ? undefined : likeliest();
  told = { began: Date.now(), key: first?.key, asked: {}, before: [], end: null, others: told?.others ?? [] };
  take(first);
}

function take(chosen) {
  if (chosen === undefined) {
    return;
  }
  const { stop } = told;
  // a bag that was put right here is not counted anew, and it is the same one for both wheels of a bike
  const sameBag = stop !== undefined && (told.bagChanged || chosen.bike === undefined || chosen.bike.id === told.bike);
  if (chosen.key !== told.key) {
    told.sealantSaid = false;
    told.asked.sealant = undefined;
    told.asked.bag = sameBag ? told.asked.bag : undefined;
  }
  const said = stop !== undefined && told.sealantSaid;
  const fresh = ladder.begin({
    system: said ? stop.system : chosen.system,
    live: said ? stop.live : chosen.live,
    bag: structuredClone(sameBag ? stop.bag : chosen.bag),
    air: chosen.air,
  });
  // what was answered of the hole stays: it is the same hole
  told.stop =
    stop === undefined ? fresh : { ...stop, system: fresh.system, live: fresh.live, bag: fresh.bag, air: fresh.air };
  told.key = chosen.key;
  told.bike = chosen.bike?.id;
  // what the garage knows is not asked
  if (chosen.bike !== undefined) {
    told.asked.sealant ??= chosen.system === "TUBE" || chosen.wheel.liquid !== "";
    told.asked.bag ??= chosen.bike.bag !== null;
  }
  // a pump that this wheel has no table for is one of the usual sort
  if (told.stop.bag.pump !== null && told.stop.air.pumps[told.stop.bag.pump] === undefined) {
    told.stop.bag.pump = "ROUND";
  }
}

async function save() {
  await device.keep("stop", told).catch(() => {
    // this device keeps nothing: the stop lasts as long as the page
  });
}

async function step(change) {
  told.before.push(structuredClone(told.stop));
  change();
  by = undefined;
  await save();
  draw();
  document.querySelector("#step h2")?.focus();
  window.scrollTo({ top: 0 });
}

// ---- the panels

function draw() {
  clearInterval(minute);
  const opened = new Set([...place.querySelectorAll("details[open]")].map((one) => one.id));
  open = opened.size > 0 || place.querySelector("details") !== null ? opened : open;
  const parts =
    mine !== undefined && wheels().length === 0 ? [noWheels()] : [told.end === null ? rung() : end(), meanwhile()];
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
}

/** Fields whose content was written down: they begin empty again. */
const sent = new Set();

function noWheels() {
  return make("p", {}, say("no-wheels"), " ", make("a", { href: "/garage" }, say("home")));
}

function status() {
  const when = mine === undefined ? say("nobody") : say(offline ? "kept" : "fresh", time(mine.fetched));
  freshness.replaceChildren(offline ? make("strong", {}, `${say("offline")}. `) : "", when);
}

function cautions(list) {
  return list.map(({ words }) => make("p", { class: "caution" }, make("strong", {}, `${say("caution")} `), words));
}

function rung() {
  const rung = ladder.next(rules, told.stop);
  const used = by ?? ladder.ways(told.stop, rung)[0];
  // gas has its caution where gas is used
  const shown = rung.cautions.filter(({ code }) => code !== "CO2" || used === "GAS");
  const panel = make(
    "section",
    { id: "step", class: "trail-step", "data-code": rung.code },
    make("p", { class: "label" }, say("step", told.before.length + 1)),
    make("h2", { tabindex: "-1" }, rung.title),
    drawing(rung.code, holds("LIVE_SEALANT"), say),
    rung.seconds > 0 ? clock(rung.code, rung.seconds) : null,
    make("p", {}, rung.how),
    make("p", {}, make("strong", {}, `${say("until")} `), rung.stop),
    ...cautions(shown),
    rung.uses === null ? null : make("p", {}, say("uses", rung.usesWords)),
  );
  if (rung.air !== null) {
    panel.append(...air(rung));
  }
  panel.append(
    make(
      "div",
      { class: "trail-answers" },
      ...rung.replies.map((reply, i) =>
        button(
          reply.words,
          () =>
            step(() => {
              const after = ladder.after(rules, told.stop, rung, reply, used);
              told.stop = after;
              told.end = ladder.ending(rules, reply, after);
            }),
          { "data-reply": reply.code, class: i === 0 ? "act act-trail act-main" : "act act-trail" },
        ),
      ),
      rung.uses === null && rung.air === null
        ? null
        : button(
            say(rung.air === null ? "lacks" : "lacks.air"),
            () =>
              step(() => {
                told.stop = ladder.lacking(told.stop, rung);
              }),
            { "data-reply": "lacks" },
          ),
    ),
    make(
      "div",
      { class: "trail-answers trail-small" },
      back(),
      rung.code === "walk"
        ? null
        : button(
            say("give-up"),
            () =>
              step(() => {
                told.end = "WALK";
              }),
            { "data-act": "walk" },
          ),
    ),
  );
  return panel;
}

function back() {
  if (told.before.length === 0 || told.written) {
    return null;
  }
  return button(
    say("back"),
    async () => {
      told.stop = told.before.pop();
      told.end = null;
      by = undefined;
      await save();
      draw();
    },
    { "data-act": "back" },
  );
}

/** The running minute; it goes on where it was when the page is opened again. */
function clock(code, seconds) {
  if (told.minute?.code !== code) {
    told.minute = { code, from: Date.now() };
  }
  const place = make("p", { class: "trail-minute", role: "timer" });
  const left = () => Math.ceil(seconds - (Date.now() - told.minute.from) / 1000);
  const show = () => {
    place.textContent = left() > 0 ? say("minute", left()) : say("minute.over");
  };
  show();
  if (left() > 0) {
    minute = setInterval(() => {
      show();
      if (left() <= 0) {
        clearInterval(minute);
        navigator.vibrate?.(300);
      }
    }, 1000);
  }
  return place;
}

// ---- air

function part(one) {
  return one.share > 0.99
    ? say("air.whole", grams(one.grams))
    : say("air.part", grams(one.grams), Math.round(100 * one.share));
}

function air(rung) {
  const ways = ladder.ways(told.stop, rung);
  const used = by ?? ways[0];
  const filled = ladder.fill(told.stop, rung, used);
  const goal = told.stop.air.goals[rung.air];
  const lines = [make("p", {}, say("air.goal", rules.goals[rung.air], pressure(goal)))];
  if (ways.length > 1) {
    lines.push(
      make(
        "div",
        { class: "trail-choice", role: "group", "aria-label": say("with") },
        ...ways.map((way) =>
          button(
            say(`by.${way}`),
            () => {
              by = way;
              draw();
            },
            { "aria-pressed": String(way === used), "data-by": way },
          ),
        ),
      ),
    );
  }
  if (used === "PUMP") {
    lines.push(
      make(
        "p",
        { class: "trail-air" },
        filled.strokes === 0 ? say("air.there") : say("air.pump", strokes(filled.strokes), short(filled.likely)),
      ),
    );
  } else if (filled.parts.length === 0) {
    lines.push(make("p", { class: "trail-air" }, say("air.there")));
  } else {
    lines.push(
      make(
        "p",
        { class: "trail-air" },
        say(
          "air.gas",
          filled.parts.map(part).join(", "),
          pressure(filled.likely),
          short(filled.low),
          short(filled.best),
        ),
      ),
      filled.parts.some((one) => one.held) ? make("p", { class: "caution" }, say("air.held")) : null,
      make("p", { class: "label" }, say("air.left", left(filled.left))),
    );
  }
  if (used === "GAS" && wheel().wheel?.curdles) {
    lines.push(make("p", { class: "caution" }, wheel().wheel.curdles));
  }
  if (!ladder.enough(told.stop, filled.likely)) {
    lines.push(make("p", { class: "caution" }, say("air.short")));
  }
  return lines.filter((line) => line !== null);
}

function left(charges) {
  const gas = charges.reduce((sum, charge) => sum + charge.grams * charge.left, 0);
  const parts = [];
  if (gas > 0.05) {
    parts.push(say("air.left.gas", grams(gas)));
  }
  if (told.stop.bag.pump !== null) {
    parts.push(say("air.left.pump"));
  }
  return parts.length === 0 ? say("air.left.none") : parts.join(", ");
}

function budget() {
  const flat = { ...told.stop, pressure: 0 };
  const lines = ladder.budget(flat).map((line) => {
    const gas = line.parts.reduce((sum, one) => sum + one.grams * one.share, 0);
    return (
      say("budget.gas", grams(gas), pressure(line.likely), short(line.low), short(line.best)) +
      (line.parts.at(-1).held ? say("budget.held") : "")
    );
  });
  if (flat.bag.pump !== null) {
    const some = ladder.fill(flat, { air: "SEVENTY" }, "PUMP");
    const all = ladder.fill(flat, { air: "USUAL" }, "PUMP");
    lines.push(
      all.likely < flat.air.goals.USUAL - 0.01
        ? say("budget.pump.weak", strokes(all.strokes), pressure(all.likely))
        : say("budget.pump", strokes(some.strokes), short(some.likely), strokes(all.strokes), short(all.likely)),
    );
  }
  const now = wheel();
  return make(
    "details",
    { id: "budget", open: open.has("budget") },
    make("summary", {}, say("budget")),
    make("p", {}, now.wheel?.limit ?? say("limit.tire", pressure(flat.air.ceilingKpa))),
    now.wheel === undefined || now.wheel.guessed ? make("p", { class: "label" }, say("guessed")) : null,
    now.wheel === undefined || now.wheel.told === "" ? null : make("p", {}, now.wheel.told),
    lines.length === 0
      ? make("p", {}, say("budget.none"))
      : make("ul", { class: "said" }, ...lines.map((line) => make("li", {}, line))),
    make("p", { class: "label" }, say("budget.note")),
  );
}

// ---- questions, while the minute runs

function question(name, title, answers, answered) {
  const asking = !told.asked[name] || open.has(`ask-${name}`);
  if (!asking) {
    return make(
      "p",
      { class: "trail-answered" },
      `${title} `,
      make("strong", {}, answered),
      " ",
      button(
        say("change"),
        () => {
          told.asked[name] = false;
          draw();
        },
        { class: "act act-small", "data-change": name },
      ),
    );
  }
  return make("fieldset", { class: "trail-question", id: `ask-${name}` }, make("legend", {}, title), ...answers);
}

function choices(name, list, chosen, act) {
  return make(
    "div",
    { class: "trail-choices" },
    ...list.map(({ code, words }) =>
      button(
        // a size stays in one piece
        words.replaceAll(/(\d)-(\d)/g, "$1\u2011$2"),
        async () => {
          act(code);
          told.asked[name] = true;
          await save();
          draw();
        },
        { "aria-pressed": String(code === chosen), "data-answer": code },
      ),
    ),
  );
}

function meanwhile() {
  if (told.end !== null) {
    return null;
  }
  const stop = told.stop;
  const now = wheel();
  const holed = !["RIM_EDGE", "VALVE", "BEAD_OFF"].includes(stop.where);
  const sealant = [
    { code: "LIVE", words: say("sealant.live") },
    { code: "DRY", words: say("sealant.dry") },
    { code: "TUBE", words: say("sealant.tube") },
  ];
  const is = stop.system === "TUBE" ? "TUBE" : stop.live ? "LIVE" : "DRY";
  return make(
    "section",
    { id: "meanwhile", class: "trail-asks" },
    make("h2", {}, say("meanwhile")),
    question(
      "wheel",
      say(mine === undefined ? "which.tire" : "which"),
      [
        choices(
          "wheel",
          wheels().map((one) => ({ code: one.key, words: one.label })),
          told.key,
          (key) => take(wheels().find((one) => one.key === key)),
        ),
        mine === undefined ? otherTire() : null,
      ].filter((part) => part !== null),
      now.label,
    ),
    question(
      "where",
      say("where"),
      [choices("where", rules.wheres, stop.where, (code) => (told.stop = { ...told.stop, where: code }))],
      rules.wheres.find((one) => one.code === stop.where)?.words,
    ),
    holed
      ? question(
          "size",
          say("size"),
          [choices("size", rules.sizes, stop.size, (code) => (told.stop = { ...told.stop, size: code }))],
          rules.sizes.find((one) => one.code === stop.size)?.words,
        )
      : null,
    question(
      "sealant",
      say("sealant"),
      [
        now.wheel?.liquid ? make("p", { class: "label" }, now.wheel.liquid) : null,
        choices("sealant", sealant, is, (code) => {
          told.stop = { ...told.stop, system: code === "TUBE" ? "TUBE" : "TUBELESS", live: code === "LIVE" };
          told.sealantSaid = true;
        }),
      ].filter((part) => part !== null),
      sealant.find((one) => one.code === is).words,
    ),
    question("bag", say("bag"), bag(), bags.inBag({ rules, say, bag: told.stop.bag })),
  );
}

function otherTire() {
  const field = make("input", { type: "text", id: "other-size", autocomplete: "off" });
  const fault = make("span", { class: "fault", role: "status" });
  const get = async () => {
    try {
      const answer = await fetch(`/trailside/tire.json?size=${encodeURIComponent(field.value)}`);
      if (!answer.ok) {
        fault.textContent = (await answer.json()).fault;
        return;
      }
      const tire = await answer.json();
      told.others = [tire, ...told.others.filter((one) => one.size !== tire.size)];
      take(tires().find((one) => one.key === tire.size));
      told.asked.wheel = true;
      await save();
      draw();
    } catch {
      fault.textContent = say("other-tire.needs");
    }
  };
  return make(
    "div",
    { class: "field" },
    make("label", { for: "other-size" }, say("other-tire.size")),
    field,
    fault,
    button(say("other-tire.get"), get, { id: "other-get" }),
  );
}

function bag() {
  const now = wheel();
  return bags.bagPanel({
    rules,
    say,
    bag: told.stop.bag,
    note: now.bike?.bag && !told.bagChanged ? say("bag.preset", now.bike.counted) : say("bag.unknown"),
    pumps: Object.keys(told.stop.air.pumps),
    usualG: told.grams ?? 16,
    change: (altered, each) => {
      told.stop = { ...told.stop, bag: { ...told.stop.bag, ...altered } };
      told.grams = each ?? told.grams;
      told.asked.bag = false;
      told.bagChanged = true;
      open.add("ask-bag");
      save();
      draw();
    },
    right: async () => {
      told.asked.bag = true;
      open.delete("ask-bag");
      await save();
      draw();
    },
  });
}

// ---- the end, and what is written

function end() {
  const ended = rules.ends[told.end];
  const left = ladder.chores(rules, told.stop, told.end);
  const now = wheel();
  return make(
    "section",
    { id: "step", class: "trail-step", "data-end": told.end },
    make("p", { class: "label" }, say("end")),
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
      ? make("p", { class: "label" }, say("not-signed-in"))
      : told.written
        ? make("p", { role: "status", class: "done", id: "written" }, say(waits(told.written) ? "written" : "in-log"))
        : button(say("write"), writeStop, { class: "act act-trail act-main", id: "write" }),
    told.written && told.end !== "WALK" ? reading() : null,
    make(
      "div",
      { class: "trail-answers trail-small" },
      back(),
      button(
        say("anew"),
        async () => {
          anew();
          await save();
          draw();
        },
        { id: "anew" },
      ),
    ),
  );
}

function waits(id) {
  return waiting.some((entry) => entry.body.id === id);
}

async function write(kind, more, said, id = crypto.randomUUID()) {
  const now = wheel();
  await device.wait({
    rider: mine.rider.id,
    name: mine.rider.name,
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
  waiting = await device.waiting();
  draw();
  outbox.send();
}

async function writeStop() {
  const { stop } = told;
  const { counts, charges } = stop.bag;
  told.written = crypto.randomUUID();
  // the next stop begins with what this one left, signal or not
  const bike = mine.bikes.find((one) => one.id === wheel().bike.id);
  bike.bag = { ...stop.bag };
  await device.keep("mine", mine);
  await save();
  await write(
    "MEND",
    {
      at: new Date(told.began).toISOString(),
      mend: {
        system: stop.system,
        where: stop.where === "" ? null : stop.where,
        size: stop.size,
        liveSealant: stop.live,
        end: told.end,
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
    say("kind.MEND", wheel().label, rules.ends[told.end].words),
    told.written,
  );
}

const MOST_KPA = 1200;

/** The form of a reading, and whose it is: the same one stays while something fresh comes, with its fault and its caret. */
const readings = { of: undefined, form: undefined };

function reading() {
  const [unit] = units();
  const of = `${told.key} ${unit.code}`;
  if (readings.of !== of || sent.has("reading")) {
    Object.assign(readings, { of, form: newReading(unit) });
  }
  return readings.form;
}

function newReading(unit) {
  const field = make("input", { type: "text", inputmode: "decimal", id: "reading", autocomplete: "off" });
  const fault = make("span", { class: "fault", role: "alert", id: "fault-reading" });
  return make(
    "form",
    {
      class: "trail-reading",
      novalidate: true,
      onsubmit: async (event) => {
        event.preventDefault();
        const value = Number(field.value.trim().replace(",", "."));
        if (field.value.trim() === "" || !Number.isFinite(value) || value < 0 || value * unit.kpa > MOST_KPA) {
          fault.textContent = say("reading.fault", 0, Math.floor(MOST_KPA / unit.kpa), unit.symbol);
          field.setAttribute("aria-invalid", "true");
          return;
        }
        sent.add("reading");
        await write(
          "READING",
          { kpa: value * unit.kpa, unit: unit.code },
          say("kind.READING", wheel().label, `${field.value.trim()} ${unit.symbol}`),
        );
      },
    },
    make("label", { for: "reading" }, `${say("reading.value", wheel().label)} (${unit.symbol})`),
    field,
    fault,
    make("button", { class: "act act-trail", id: "write-reading" }, say("reading")),
  );
}

function below() {
  const parts = [];
  if (told.stop !== undefined) {
    parts.push(budget());
  }
  parts.push(outgoing());
  if (mine !== undefined && wheels().length > 0 && told.end === null) {
    parts.push(
      make(
        "details",
        { id: "quick", open: open.has("quick") },
        make("summary", {}, say("quick")),
        make("p", { class: "label" }, wheel().label),
        reading(),
        make("h3", {}, say("traces")),
        make("p", {}, say("traces.note")),
        button(say("traces.write"), () => write("TRACES", {}, say("kind.TRACES", wheel().label)), {
          id: "write-traces",
        }),
      ),
    );
  }
  if ("wakeLock" in navigator) {
    parts.push(stayOn());
  }
  return parts.filter((part) => part !== null);
}

let lock = null;

function stayOn() {
  return button(
    say(lock === null ? "stay-on" : "stays-on"),
    async () => {
      if (lock === null) {
        lock = await navigator.wakeLock.request("screen").catch(() => null);
        lock?.addEventListener("release", () => {
          lock = null;
          draw();
        });
      } else {
        await lock.release();
      }
      draw();
    },
    { id: "stay-on", "aria-pressed": String(lock !== null) },
  );
}

function outgoing() {
  return outboxPanel({
    waiting,
    rider: mine?.rider.id,
    say,
    time,
    send: () => outbox.send(),
    again: async (entry, body) => {
      await device.change({ ...entry, state: "WAITS", body: { ...entry.body, ...body } });
      await outbox.send();
    },
    dropIt: async (...entries) => {
      for (const entry of entries) {
        await device.drop(entry.nr);
      }
      await reload();
    },
  });
}

// ---- beginning

const HOUR_MS = 60 * 60 * 1000;

/** A stop that was left is gone on with, but the next flat tire begins anew; one that was only opened begins its minute. */
function goneOn(before) {
  if (before?.stop === undefined) {
    return undefined;
  }
  const age = Date.now() - before.began;
  if (age > (before.written ? 1 : 12) * HOUR_MS) {
    return undefined;
  }
  if (before.before.length === 0 && before.end === null) {
    before.began = Date.now();
    before.minute = undefined;
  }
  return before;
}

async function reload() {
  const kept = await device.kept("mine");
  const other = kept?.rider.id !== mine?.rider.id;
  mine = kept;
  if (mine !== undefined) {
    document.documentElement.dataset.theme = mine.rider.theme;
  }
  waiting = await device.waiting();
  // another rider, or the first wheel of this one
  if (other || told?.stop === undefined) {
    const before = told === undefined ? await device.kept("stop") : undefined;
    told = goneOn(before);
    if (told?.stop === undefined || !wheels().some((one) => one.key === told.key)) {
      told = undefined;
      anew();
    }
  } else if (told.stop !== undefined && told.before.length === 0 && told.end === null && !told.bagChanged) {
    // nothing was done yet: what came fresh counts, and what was answered stays
    const same = wheels().find((one) => one.key === told.key);
    if (same !== undefined) {
      told.bike = undefined;
      take(same);
    }
  }
  draw();
}

async function start() {
  try {
    rules = await (await fetch("/trailside/rules.json")).json();
  } catch {
    document.getElementById("broken").hidden = false;
    return;
  }
  await reload();
  window.addEventListener("device-changed", () => reload());
  window.addEventListener("online", () => refreshed());
  window.addEventListener("offline", () => {
    offline = true;
    status();
  });
  await refreshed();
}

async function refreshed() {
  offline = (await outbox.refresh()) === null;
  await reload();
  await outbox.send();
}

await start();
