// The bag: what is in it, and putting that right with wet fingers.

const { button, grams, make } = await import(document.getElementById("module-page").href);

/** What is in a bag, in words. */
export function inBag({ rules, say, bag }) {
  const parts = rules.items
    .filter(({ code }) => code !== "GAS" && (bag.counts[code] ?? 0) > 0)
    .map(({ code, words }) => `${bag.counts[code]} ${words.toLowerCase()}`);
  const full = bag.charges.filter((charge) => charge.left > 0);
  parts.push(...full.map((charge) => say("bag.grams", grams(charge.grams * charge.left))));
  if (bag.pump !== null) {
    parts.push(say("air.left.pump"));
  }
  return parts.length === 0 ? say("bag.empty") : parts.join(", ");
}

/**
 * Asks what is in the bag.
 *
 * `note` says where the numbers come from, `pumps` which pumps the wheel has a table for; `change` takes what is altered
 * and what a cartridge holds where that was said, `right` that nothing more is.
 */
export function bagPanel({ rules, say, bag, note, pumps: known, usualG, change, right }) {
  const full = bag.charges.filter((charge) => charge.left > rules.air.full);
  const opened = bag.charges.find((charge) => charge.left > 0 && charge.left <= rules.air.full);
  const size = bag.charges[0]?.grams ?? usualG;
  const charges = (count, each, part) => [
    ...(part > 0 ? [{ grams: each, left: part }] : []),
    ...Array(count).fill({ grams: each, left: 1 }),
  ];
  const pumps = [
    { code: "", words: say("bag.pump.none") },
    ...(!known.includes("OWN") ? [] : [{ code: "OWN", words: say("bag.pump.OWN") }]),
    ...rules.pumps,
  ];
  const pick = (id, label, options, chosen, act) =>
    make(
      "div",
      { class: "field" },
      make("label", { for: id }, label),
      make(
        "select",
        { id, onchange: (event) => act(event.target.value) },
        ...options.map(({ code, words }) =>
          make("option", { value: code, selected: String(code) === String(chosen) }, words),
        ),
      ),
    );
  return [
    make("p", { class: "quiet" }, note),
    ...rules.items.map(({ code, words }) => {
      const count = code === "GAS" ? full.length : (bag.counts[code] ?? 0);
      const set = (value) =>
        code === "GAS"
          ? change({ charges: charges(value, size, opened?.left ?? 0) })
          : change({ counts: { ...bag.counts, [code]: value } });
      return make(
        "p",
        { class: "trail-count", "data-item": code },
        make("span", {}, words),
        button("\u2212", () => set(Math.max(0, count - 1)), {
          "aria-label": say("bag.fewer", words),
          "data-act": "fewer",
        }),
        make("strong", {}, String(count)),
        button("+", () => set(Math.min(99, count + 1)), { "aria-label": say("bag.more", words), "data-act": "more" }),
      );
    }),
    pick(
      "bag-grams",
      say("bag.cartridge"),
      [...new Set([...rules.air.cartridgesG, size])]
        .sort((a, b) => a - b)
        .map((value) => ({ code: value, words: say("bag.grams", grams(value)) })),
      size,
      (value) => change({ charges: charges(full.length, Number(value), opened?.left ?? 0) }, Number(value)),
    ),
    pick(
      "bag-opened",
      say("bag.opened"),
      [0, 0.25, 0.5, 0.75, ...(opened === undefined ? [] : [opened.left])]
        .filter((value, i, all) => all.indexOf(value) === i)
        .sort((a, b) => a - b)
        .map((value) => ({
          code: value,
          words: value === 0 ? say("bag.opened.none") : say("bag.opened.some", Math.round(100 * value)),
        })),
      opened?.left ?? 0,
      (value) => change({ charges: charges(full.length, size, Number(value)) }),
    ),
    pick("bag-pump", say("bag.pump"), pumps, bag.pump ?? "", (value) => change({ pump: value === "" ? null : value })),
    pick(
      "bag-head",
      say("bag.head"),
      [
        { code: "yes", words: say("yes") },
        { code: "no", words: say("no") },
      ],
      bag.headShuts ? "yes" : "no",
      (value) => change({ headShuts: value === "yes" }),
    ),
    button(say("bag.right"), right, { class: "btn trail", "data-act": "bag-right" }),
  ];
}

/** What riders usually carry, and how much of it where nobody counts. */
const USUAL = { PLUG: 2, TUBE: 1, PATCH: 2, BOOT: 1 };

/** Asks with one touch each what is in a bag that nobody counted. */
export function bagToggles({ rules, say, bag, pumps, change, right }) {
  const has = (code) =>
    code === "GAS" ? bag.charges.length > 0 : code === "PUMP" ? bag.pump !== null : (bag.counts[code] ?? 0) > 0;
  const usualPump = pumps.includes("ROUND") ? "ROUND" : (pumps[0] ?? null);
  const toggle = (code) => {
    const on = !has(code);
    if (code === "GAS") {
      return change({ charges: on ? [{ grams: rules.air.usualG, left: 1 }] : [] });
    }
    if (code === "PUMP") {
      return change({ pump: on ? usualPump : null });
    }
    return change({ counts: { ...bag.counts, [code]: on ? USUAL[code] : 0 } });
  };
  return [
    make("p", {}, say("bag.toggles")),
    make(
      "div",
      { class: "trail-choices", role: "group", "aria-label": say("bag") },
      ...["PLUG", "TUBE", "PATCH", "BOOT", "GAS", "PUMP"].map((code) =>
        button(say(`bag.has.${code}`), () => toggle(code), {
          "aria-pressed": String(has(code)),
          "data-has": code,
        }),
      ),
    ),
    make(
      "div",
      { class: "trail-answers" },
      button(say("bag.toggles.done"), right, { class: "btn trail", "data-act": "bag-known" }),
    ),
  ];
}
