// What is asked while the minute runs: which wheel, where and how large the hole is, the liquid, and the bag.

const at = (id) => document.getElementById(id).href;
const [{ button, make }, { keepBag, save, take, tires, trail, wheel, wheels }, { say }, bags, { asksBag, toggles }] =
  await Promise.all([
    import(at("module-page")),
    import(at("module-stop")),
    import(at("module-words")),
    import(at("module-bag")),
    import(at("module-step")),
  ]);

function question(name, title, answers, answered) {
  const asking = !trail.told.asked[name] || trail.open.has(`ask-${name}`);
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
          trail.told.asked[name] = false;
          trail.draw();
        },
        { class: "btn soft slim", "data-change": name },
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
          trail.told.asked[name] = true;
          await save();
          trail.draw();
        },
        { "aria-pressed": String(code === chosen), "data-answer": code },
      ),
    ),
  );
}

export function meanwhile() {
  if (trail.told.end !== null) {
    return null;
  }
  const stop = trail.told.stop;
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
      say(trail.mine === undefined ? "which.tire" : "which"),
      [
        choices(
          "wheel",
          wheels().map((one) => ({ code: one.key, words: one.label })),
          trail.told.key,
          (key) => take(wheels().find((one) => one.key === key)),
        ),
        trail.mine === undefined ? otherTire() : null,
      ].filter((part) => part !== null),
      now.label,
    ),
    question(
      "where",
      say("where"),
      [
        choices(
          "where",
          trail.rules.wheres,
          stop.where,
          (code) => (trail.told.stop = { ...trail.told.stop, where: code }),
        ),
      ],
      trail.rules.wheres.find((one) => one.code === stop.where)?.words,
    ),
    holed
      ? question(
          "size",
          say("size"),
          [
            choices(
              "size",
              trail.rules.sizes,
              stop.size,
              (code) => (trail.told.stop = { ...trail.told.stop, size: code }),
            ),
          ],
          trail.rules.sizes.find((one) => one.code === stop.size)?.words,
        )
      : null,
    question(
      "sealant",
      say("sealant"),
      [
        now.wheel?.liquid ? make("p", { class: "quiet" }, now.wheel.liquid) : null,
        choices("sealant", sealant, is, (code) => {
          trail.told.stop = {
            ...trail.told.stop,
            system: code === "TUBE" ? "TUBE" : "TUBELESS",
            live: code === "LIVE",
          };
          trail.told.sealantSaid = true;
        }),
      ].filter((part) => part !== null),
      sealant.find((one) => one.code === is).words,
    ),
    bagQuestion(stop),
  );
}

/** A bag that nobody counted is asked for with a touch each; a known one can be put right piece by piece. */
function bagQuestion(stop) {
  if (stop.bag.unknown) {
    return asksBag() ? null : question("bag", say("bag"), toggles(), "");
  }
  return question("bag", say("bag"), bag(), bags.inBag({ rules: trail.rules, say, bag: stop.bag }));
}

function otherTire() {
  const field = make("input", { type: "text", id: "other-size", autocomplete: "off" });
  const fault = make("span", { class: "err", role: "status" });
  const get = async () => {
    try {
      const answer = await fetch(`/trailside/tire.json?size=${encodeURIComponent(field.value)}`);
      if (!answer.ok) {
        fault.textContent = (await answer.json()).fault;
        return;
      }
      const tire = await answer.json();
      trail.told.others = [tire, ...trail.told.others.filter((one) => one.size !== tire.size)];
      take(tires().find((one) => one.key === tire.size));
      trail.told.asked.wheel = true;
      await save();
      trail.draw();
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
    rules: trail.rules,
    say,
    bag: trail.told.stop.bag,
    note: now.bike?.bag && !trail.told.bagChanged ? say("bag.preset", now.bike.counted) : say("bag.said"),
    pumps: Object.keys(trail.told.stop.air.pumps),
    usualG: trail.told.grams ?? trail.rules.air.usualG,
    change: (altered, each) => {
      trail.told.stop = { ...trail.told.stop, bag: { ...trail.told.stop.bag, ...altered } };
      trail.told.grams = each ?? trail.told.grams;
      trail.told.asked.bag = false;
      trail.told.bagChanged = true;
      trail.open.add("ask-bag");
      save();
      trail.draw();
    },
    right: async () => {
      trail.told.asked.bag = true;
      trail.open.delete("ask-bag");
      await keepBag();
      await save();
      trail.draw();
    },
  });
}
