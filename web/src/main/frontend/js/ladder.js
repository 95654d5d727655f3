// Reads the ladder that the core wrote as a table, and what its tables say of the air. Knows no rule of its own.

/** A fresh stop. `bag` is {counts, charges: [{grams, left}], headShuts, pump}; `air` the tables of the tire. */
export function begin({ system, where = "", size = "NOT_SEEN", live, bag, air, pressure = 0 }) {
  return { system, where, size, live, bag, air, pressure, noted: [], done: [], said: [] };
}

// Straight lines between the lines of a table.
function between(values, step, at) {
  const i = Math.min(values.length - 2, Math.max(0, Math.floor(at / step)));
  return values[i] + (values[i + 1] - values[i]) * (at / step - i);
}

function gasKpa(air, grams) {
  return between(air.gasKpa, air.gasG, grams);
}

function gramsFor(air, kpa) {
  if (kpa <= 0) {
    return 0;
  }
  const above = air.gasKpa.findIndex((value) => value >= kpa);
  const i = Math.max(0, (above < 0 ? air.gasKpa.length - 1 : above) - 1);
  const [low, high] = [air.gasKpa[i], air.gasKpa[i + 1]];
  return air.gasG * (i + (kpa - low) / (high - low));
}

function mostGrams(stop, pressure = stop.pressure) {
  return gramsFor(stop.air, stop.air.ceilingKpa - pressure);
}

function leftG(charge) {
  return charge.grams * charge.left;
}

function usable({ air }, stop, charge) {
  return (
    charge.left >= air.empty &&
    stop.pressure < stop.air.ceilingKpa &&
    (stop.bag.headShuts || leftG(charge) <= mostGrams(stop) + air.nothingG)
  );
}

export function count(rules, stop, item) {
  if (item === "PUMP") {
    return stop.bag.pump === null ? 0 : 1;
  }
  if (item === "GAS") {
    return stop.bag.charges.filter((charge) => usable(rules, stop, charge)).length;
  }
  return stop.bag.counts[item] ?? 0;
}

function word(stop, field) {
  return { SYSTEM: stop.system, WHERE: stop.where, SIZE: stop.size, SEALANT: stop.live ? "LIVE" : "NONE" }[field];
}

export function holds(rules, stop, name) {
  if (name.startsWith("!")) {
    return !holds(rules, stop, name.slice(1));
  }
  const told = rules.facts[name];
  if (told.field !== undefined) {
    return told.in.includes(word(stop, told.field));
  }
  if (told.item !== undefined) {
    return count(rules, stop, told.item) >= told.atLeast;
  }
  if (told.all !== undefined) {
    return told.all.every((other) => holds(rules, stop, other));
  }
  if (told.any !== undefined) {
    return told.any.some((other) => holds(rules, stop, other));
  }
  return stop.noted.includes(name);
}

/** The rung to tell now. */
export function next(rules, stop) {
  return rules.rungs.find(
    (rung) => !stop.done.includes(rung.code) && rung.when.every((fact) => holds(rules, stop, fact)),
  );
}

/** Whether what is in a bag that nobody counted decides which step comes next. */
export function bagMatters(rules, stop) {
  const counts = (each) => Object.fromEntries(rules.items.map(({ code }) => [code, each]));
  const none = { ...stop, bag: { counts: {}, charges: [], headShuts: true, pump: null } };
  const charge = { grams: rules.air.usualG, left: 1 };
  const all = {
    ...stop,
    bag: {
      counts: counts(2),
      charges: [charge, charge],
      headShuts: true,
      pump: Object.keys(stop.air.pumps)[0] ?? null,
    },
  };
  return next(rules, none) !== next(rules, all);
}

/** With what a rung can put air in; the usual way first. */
export function ways(rules, stop, rung) {
  const known = [];
  if (stop.bag.pump !== null && !rung.gasOnly) {
    known.push("PUMP");
  }
  if (count(rules, stop, "GAS") > 0) {
    known.push("GAS");
  }
  return known;
}

function pumped(stop, goal) {
  const pump = stop.air.pumps[stop.bag.pump];
  const to = Math.min(goal, pump.mostKpa);
  if (stop.pressure >= to) {
    return { strokes: 0, low: stop.pressure, likely: stop.pressure, best: stop.pressure };
  }
  const step = pump.mostKpa / (pump.strokes.length - 1);
  const strokes = between(pump.strokes, step, to) - between(pump.strokes, step, stop.pressure);
  return { strokes, low: to, likely: to, best: to };
}

function letIn({ air }, stop, wanted) {
  const most = mostGrams(stop);
  let out = 0;
  const parts = [];
  const left = [];
  for (const charge of stop.bag.charges) {
    const grams = stop.bag.headShuts ? Math.min(leftG(charge), Math.min(wanted, most) - out) : leftG(charge);
    if (
      charge.left < air.empty ||
      out >= wanted - air.nothingG ||
      grams <= air.nothingG ||
      out + grams > most + air.nothingG
    ) {
      left.push(charge);
      continue;
    }
    out += grams;
    const share = grams / charge.grams;
    parts.push({
      grams: charge.grams,
      share,
      held: leftG(charge) > grams + air.nothingG && out >= most - air.nothingG,
    });
    left.push({ grams: charge.grams, left: Math.max(0, charge.left - (stop.bag.headShuts ? share : charge.left)) });
  }
  const at = (share) => stop.pressure + gasKpa(stop.air, out * share);
  return { parts, left, low: at(air.delivered.low), likely: at(air.delivered.likely), best: at(air.delivered.best) };
}

/** What a rung puts in: pressures (kPa gauge), strokes or parts of cartridges, and the cartridges afterwards. */
export function fill(rules, stop, rung, by) {
  const goal = stop.air.goals[rung.air];
  if (by === "PUMP") {
    return { parts: [], left: stop.bag.charges, ...pumped(stop, goal) };
  }
  const wanted = stop.pressure < goal ? gramsFor(stop.air, goal - stop.pressure) / rules.air.delivered.likely : 0;
  return { strokes: 0, ...letIn(rules, stop, wanted) };
}

/** What all of the air would do, cartridge by cartridge, each with those before it. */
export function budget(rules, stop) {
  const lines = [];
  for (let i = 1; i <= stop.bag.charges.length; i++) {
    const part = { ...stop, bag: { ...stop.bag, charges: stop.bag.charges.slice(0, i) } };
    const all = part.bag.charges.reduce((sum, charge) => sum + leftG(charge), 0);
    const filled = letIn(rules, part, all);
    if (filled.parts.length > lines.length) {
      lines.push(filled);
    }
  }
  return lines;
}

export function enough({ air }, stop, kpa) {
  return kpa >= stop.air.goals[air.enough] - air.nothingKpa;
}

/** After an answer; `by` says with what air went in. */
export function after(rules, stop, rung, reply, by) {
  const counts = { ...stop.bag.counts };
  const noted = new Set([...stop.noted, ...reply.notes]);
  if (rung.uses !== null) {
    counts[rung.uses] = Math.max(0, (counts[rung.uses] ?? 0) - 1);
    noted.add("BAG_USED");
  }
  let charges = stop.bag.charges;
  let pressure = stop.pressure;
  if (rung.air !== null) {
    const filled = fill(rules, stop, rung, by);
    charges = filled.left;
    pressure = filled.likely;
    if (filled.parts.length > 0) {
      noted.add("GAS_IN").add("BAG_USED");
    }
    if (enough(rules, stop, pressure)) {
      noted.delete("LITTLE_AIR");
    } else {
      noted.add("LITTLE_AIR");
    }
  }
  if (reply.airGone) {
    pressure = 0;
  }
  return {
    ...stop,
    bag: { ...stop.bag, counts, charges },
    pressure,
    noted: [...noted],
    done: [...stop.done, rung.code],
    said: [...stop.said, { rung: rung.code, reply: reply.code, by: rung.air === null ? null : by }],
  };
}

/** What the rung needs is not there, whatever the list says. */
export function lacking(stop, rung) {
  const bag =
    rung.uses !== null
      ? { ...stop.bag, counts: { ...stop.bag.counts, [rung.uses]: 0 } }
      : { ...stop.bag, charges: [], pump: rung.gasOnly ? stop.bag.pump : null };
  return { ...stop, bag, said: [...stop.said, { rung: rung.code, reply: "lacks", by: null }] };
}

/** How a reply ends the stop, or null where it goes on. */
export function ending(rules, reply, stop) {
  if (reply.end === "RIDE" && rules.limps.some((fact) => holds(rules, stop, fact))) {
    return "LIMP";
  }
  return reply.end;
}

/** What is left to do at home. */
export function chores(rules, stop, end) {
  const ended = end === "WALK" ? { ...stop, noted: [...stop.noted, "WALKED"] } : stop;
  return rules.chores.filter((chore) => chore.when.every((fact) => holds(rules, ended, fact)));
}
