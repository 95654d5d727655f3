// The step to take now: what to do, until when, what can hurt, and the answers.

const at = (id) => document.getElementById(id).href;
const [
  ladder,
  { button, drawing, make, part },
  { holds, keepBag, save, step, trail },
  { say },
  { air },
  bags,
  { ring },
  { aloud },
] = await Promise.all([
  import(at("module-ladder")),
  import(at("module-page")),
  import(at("module-stop")),
  import(at("module-words")),
  import(at("module-air")),
  import(at("module-bag")),
  import(at("module-ring")),
  import(at("module-aloud")),
]);

let minute;

/** No minute runs on a page that is drawn anew. */
export function stopClock() {
  clearInterval(minute);
}

export function cautions(list) {
  return list.map(({ words }) => make("p", { class: "caution" }, make("strong", {}, `${say("caution")} `), words));
}

/** What is in a bag that nobody counted, asked once and kept. */
export function toggles() {
  return bags.bagToggles({
    rules: trail.rules,
    say,
    bag: trail.told.stop.bag,
    pumps: Object.keys(trail.told.stop.air.pumps),
    change: async (altered) => {
      trail.told.stop = { ...trail.told.stop, bag: { ...trail.told.stop.bag, ...altered } };
      await save();
      trail.draw();
    },
    right: async () => {
      trail.told.asked.bag = true;
      await keepBag();
      await save();
      trail.draw();
    },
  });
}

/** Whether the bag has to be known before anything else can be told. */
export function asksBag() {
  return Boolean(trail.told.stop.bag.unknown) && ladder.bagMatters(trail.rules, trail.told.stop);
}

function bagPanel() {
  return make(
    "section",
    { id: "step", class: "trail-step", "data-code": "bag" },
    make("p", { class: "quiet" }, say("step", trail.told.before.length + 1)),
    make("h2", { tabindex: "-1" }, say("bag")),
    ...toggles(),
    make("div", { class: "trail-answers trail-small" }, back()),
  );
}

export function stepPanel() {
  if (asksBag()) {
    return bagPanel();
  }
  const rung = ladder.next(trail.rules, trail.told.stop);
  const used = trail.by ?? ladder.ways(trail.rules, trail.told.stop, rung)[0];
  // gas has its caution where gas is used
  const shown = rung.cautions.filter(({ code }) => code !== "CO2" || used === "GAS");
  const panel = make(
    "section",
    { id: "step", class: "trail-step", "data-code": rung.code, "data-awake": true },
    make("p", { class: "quiet" }, say("step", trail.told.before.length + 1)),
    make("h2", { tabindex: "-1" }, rung.title),
    make(
      "div",
      { class: "trail-figure" },
      drawing(rung.code, holds("LIVE_SEALANT"), say) ?? part(rung.symbol),
      rung.seconds > 0 ? clock(rung.code, rung.seconds) : null,
    ),
    make("p", {}, rung.how),
    make("p", {}, make("strong", {}, `${say("until")} `), rung.stop),
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
              const after = ladder.after(trail.rules, trail.told.stop, rung, reply, used);
              trail.told.stop = after;
              trail.told.end = ladder.ending(trail.rules, reply, after);
            }),
          { "data-reply": reply.code, class: i === 0 ? "btn trail" : "btn soft trail" },
        ),
      ),
      rung.uses === null && rung.air === null
        ? null
        : button(
            say(rung.air === null ? "lacks" : "lacks.air"),
            () =>
              step(() => {
                trail.told.stop = ladder.lacking(trail.told.stop, rung);
              }),
            { "data-reply": "lacks" },
          ),
    ),
    ...cautions(shown),
    make(
      "div",
      { class: "trail-answers trail-small" },
      back(),
      readAloud(panel),
      rung.code === "walk"
        ? null
        : button(
            say("give-up"),
            () =>
              step(() => {
                trail.told.end = "WALK";
              }),
            { "data-act": "walk" },
          ),
    ),
  );
  return panel;
}

/** Reads the step that is shown: what to do, until when, what can hurt, and the answers. */
function readAloud(panel) {
  if (!("speechSynthesis" in window)) {
    return null;
  }
  const reader = button(say("aloud"), () => {}, { "data-stop": say("aloud.stop"), "data-act": "aloud" });
  const texts = (places) => [...panel.querySelectorAll(places)].map((place) => place.textContent);
  aloud(reader, () => [
    ...texts("h2, p:not(.quiet, [role=timer])"),
    ...texts(".trail-answers:not(.trail-small) button"),
  ]);
  return reader;
}

export function back() {
  if (trail.told.before.length === 0 || trail.told.written) {
    return null;
  }
  return button(
    say("back"),
    async () => {
      trail.told.stop = trail.told.before.pop();
      trail.told.end = null;
      trail.by = undefined;
      await save();
      trail.draw();
    },
    { "data-act": "back" },
  );
}

/** The running minute; it goes on where it was when the page is opened again. */
function clock(code, seconds) {
  if (trail.told.minute?.code !== code) {
    trail.told.minute = { code, from: Date.now() };
  }
  const place = make("p", { class: "trail-minute", role: "timer" });
  const left = () => Math.ceil(seconds - (Date.now() - trail.told.minute.from) / 1000);
  const show = () => {
    place.textContent = left() > 0 ? say("minute", left()) : say("minute.over");
  };
  show();
  if (left() > 0) {
    minute = setInterval(() => {
      show();
      if (left() <= 0) {
        clearInterval(minute);
        ring();
      }
    }, 1000);
  }
  return place;
}
