// The stop that is being told on this device: which wheel, what is in the bag, what was answered, and how to go back.

const at = (id) => document.getElementById(id).href;
const [device, ladder] = await Promise.all([import(at("module-device")), import(at("module-ladder"))]);

/**
 * All that the panels share. `told` is what is being told: which wheel, the stop itself, and the stops before each answer;
 * `by` with what air is put in; `open` the details that are open; `bags` what riders said is in bags that nobody counted;
 * `offered` a stop that was left and may be gone on with; `draw` draws all anew.
 */
export const trail = {
  rules: undefined,
  mine: undefined,
  told: undefined,
  waiting: [],
  by: undefined,
  open: new Set(),
  offline: false,
  bags: {},
  offered: undefined,
  draw: () => {},
};

export function holds(fact) {
  return ladder.holds(trail.rules, trail.told.stop, fact);
}

/** A bag that nobody counted is not empty: it is asked for as soon as it matters. */
const UNKNOWN = { counts: {}, charges: [], headShuts: true, pump: null, unknown: true };

/** The name that a bag is kept under which the garage does not know. */
const NOBODYS = "nobody";

/** All that may be flat here: the rider's wheels, or tires by their sizes. */
export function wheels() {
  if (trail.mine === undefined) {
    return tires();
  }
  return trail.mine.bikes.flatMap((bike) =>
    bike.wheels.map((own) => ({
      key: own.id,
      label: `${bike.name}, ${own.label}`,
      bike,
      wheel: own,
      system: own.system,
      live: own.live,
      air: own.air,
      bag: bike.bag ?? trail.bags[bike.id] ?? UNKNOWN,
    })),
  );
}

export function tires() {
  return [...(trail.told?.others ?? []), ...trail.rules.tires].map((tire) => ({
    key: tire.size,
    label: tire.name === "" ? tire.size : `${tire.size}, ${tire.name}`,
    system: "TUBELESS",
    live: true,
    air: tire.air,
    bag: trail.bags[NOBODYS] ?? UNKNOWN,
  }));
}

export function wheel() {
  const all = wheels();
  return all.find((one) => one.key === trail.told.key) ?? all[0];
}

/** Before anybody said which: one that the liquid may help. */
function likeliest() {
  const all = wheels();
  const big = trail.mine === undefined ? all.find((one) => one.key === "57-622") : undefined;
  return big ?? all.find((one) => one.live) ?? all[0];
}

export function anew() {
  const first = trail.mine !== undefined && wheels().length === 0 ? undefined : likeliest();
  trail.told = {
    began: Date.now(),
    key: first?.key,
    asked: {},
    before: [],
    end: null,
    others: trail.told?.others ?? [],
  };
  take(first);
}

export function take(chosen) {
  if (chosen === undefined) {
    return;
  }
  const { stop } = trail.told;
  // a bag that was put right here is not counted anew, and it is the same one for both wheels of a bike
  const sameBag =
    stop !== undefined && (trail.told.bagChanged || chosen.bike === undefined || chosen.bike.id === trail.told.bike);
  if (chosen.key !== trail.told.key) {
    trail.told.sealantSaid = false;
    trail.told.asked.sealant = undefined;
    trail.told.asked.bag = sameBag ? trail.told.asked.bag : undefined;
  }
  const said = stop !== undefined && trail.told.sealantSaid;
  const fresh = ladder.begin({
    system: said ? stop.system : chosen.system,
    live: said ? stop.live : chosen.live,
    bag: structuredClone(sameBag ? stop.bag : chosen.bag),
    air: chosen.air,
  });
  // what was answered of the hole stays: it is the same hole
  trail.told.stop =
    stop === undefined ? fresh : { ...stop, system: fresh.system, live: fresh.live, bag: fresh.bag, air: fresh.air };
  trail.told.key = chosen.key;
  trail.told.bike = chosen.bike?.id;
  // what the garage knows is not asked
  if (chosen.bike !== undefined) {
    trail.told.asked.sealant ??= chosen.system === "TUBE" || chosen.wheel.liquid !== "";
    trail.told.asked.bag ??= !chosen.bag.unknown;
  }
  // a pump that this wheel has no table for is one of the usual sort
  if (trail.told.stop.bag.pump !== null && trail.told.stop.air.pumps[trail.told.stop.bag.pump] === undefined) {
    trail.told.stop.bag.pump = "ROUND";
  }
}

export async function save() {
  await device.keep("stop", trail.told).catch(() => {
    // this device keeps nothing: the stop lasts as long as the page
  });
}

/** What was said of the bag, kept for the next flat tire too. */
export async function keepBag() {
  trail.told.stop = { ...trail.told.stop, bag: { ...trail.told.stop.bag, unknown: false } };
  trail.told.bagChanged = true;
  trail.bags[trail.told.bike ?? NOBODYS] = structuredClone(trail.told.stop.bag);
  await device.keep("bags", trail.bags).catch(() => {
    // this device keeps nothing
  });
}

export async function step(change) {
  trail.offered = undefined;
  trail.told.before.push(structuredClone(trail.told.stop));
  change();
  trail.by = undefined;
  await save();
  trail.draw();
  document.querySelector("#step h2")?.focus();
  window.scrollTo({ top: 0 });
}

const HOUR_MS = 60 * 60 * 1000;

/** Whether a stop that was left was more than opened, and is not long over. */
export function canGoOn(before) {
  const begun = before?.stop !== undefined && (before.before.length > 0 || before.end !== null);
  return begun && Date.now() - before.began <= (before.written ? 1 : 12) * HOUR_MS;
}

/** A stop that was only opened begins its minute anew, on the same wheel. */
export function opened(before) {
  if (before?.stop === undefined || before.before.length > 0 || before.end !== null) {
    return undefined;
  }
  if (Date.now() - before.began > 12 * HOUR_MS) {
    return undefined;
  }
  before.began = Date.now();
  before.minute = undefined;
  return before;
}
