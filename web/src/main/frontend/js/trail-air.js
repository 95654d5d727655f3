// What the air in the bag does: for the step that is open, and all of it at once.

const at = (id) => document.getElementById(id).href;
const [ladder, { button, grams, make, strokes }, { trail, wheel }, { marked, pressure, say, short }] =
  await Promise.all([
    import(at("module-ladder")),
    import(at("module-page")),
    import(at("module-stop")),
    import(at("module-words")),
  ]);

function part(one) {
  return one.share > trail.rules.air.full
    ? say("air.whole", marked(grams(one.grams)))
    : say("air.part", marked(grams(one.grams)), Math.round(100 * one.share));
}

export function air(rung) {
  const ways = ladder.ways(trail.rules, trail.told.stop, rung);
  const used = trail.by ?? ways[0];
  const filled = ladder.fill(trail.rules, trail.told.stop, rung, used);
  const goal = trail.told.stop.air.goals[rung.air];
  const lines = [make("p", {}, say("air.goal", trail.rules.goals[rung.air], pressure(goal)))];
  if (ways.length > 1) {
    lines.push(
      make(
        "div",
        { class: "trail-choice", role: "group", "aria-label": say("with") },
        ...ways.map((way) =>
          button(
            say(`by.${way}`),
            () => {
              trail.by = way;
              trail.draw();
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
      make("p", { class: "quiet" }, say("air.left", left(filled.left))),
    );
  }
  if (used === "GAS" && filled.parts.length > 0) {
    lines.push(make("ul", { class: "said", id: "gas" }, ...trail.rules.gas.map((line) => make("li", {}, line))));
  }
  if (used === "GAS" && wheel().wheel?.curdles) {
    lines.push(make("p", { class: "caution" }, wheel().wheel.curdles));
  }
  if (!ladder.enough(trail.rules, trail.told.stop, filled.likely)) {
    lines.push(make("p", { class: "caution" }, say("air.short")));
  }
  return lines.filter((line) => line !== null);
}

function left(charges) {
  const gas = charges.reduce((sum, charge) => sum + charge.grams * charge.left, 0);
  const parts = [];
  if (gas > 0.05) {
    parts.push(say("air.left.gas", marked(grams(gas))));
  }
  if (trail.told.stop.bag.pump !== null) {
    parts.push(say("air.left.pump"));
  }
  return parts.length === 0 ? say("air.left.none") : parts.join(", ");
}

export function budget() {
  const flat = { ...trail.told.stop, pressure: 0 };
  const lines = ladder.budget(trail.rules, flat).map((line) => {
    const gas = line.parts.reduce((sum, one) => sum + one.grams * one.share, 0);
    return (
      say("budget.gas", marked(grams(gas)), pressure(line.likely), short(line.low), short(line.best)) +
      (line.parts.at(-1).held ? say("budget.held") : "")
    );
  });
  if (flat.bag.pump !== null) {
    const some = ladder.fill(trail.rules, flat, { air: trail.rules.air.enough }, "PUMP");
    const all = ladder.fill(trail.rules, flat, { air: "USUAL" }, "PUMP");
    lines.push(
      all.likely < flat.air.goals.USUAL - 0.01
        ? say("budget.pump.weak", strokes(all.strokes), pressure(all.likely))
        : say("budget.pump", strokes(some.strokes), short(some.likely), strokes(all.strokes), short(all.likely)),
    );
  }
  const now = wheel();
  return make(
    "details",
    { id: "budget", open: trail.open.has("budget") },
    make("summary", {}, say("budget")),
    make("p", {}, now.wheel?.limit ?? say("limit.tire", pressure(flat.air.ceilingKpa))),
    now.wheel === undefined || now.wheel.guessed ? make("p", { class: "quiet" }, say("guessed")) : null,
    now.wheel === undefined || now.wheel.told === "" ? null : make("p", {}, now.wheel.told),
    lines.length === 0
      ? make("p", {}, say("budget.none"))
      : make("ul", { class: "said" }, ...lines.map((line) => make("li", {}, line))),
    make("p", { class: "quiet" }, say("budget.note")),
  );
}
