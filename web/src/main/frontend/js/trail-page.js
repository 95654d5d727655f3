// Pieces of which the page beside the trail is built.

/** An element; names that begin with "on" are listened to. */
export function make(tag, properties = {}, ...children) {
  const element = document.createElement(tag);
  for (const [name, value] of Object.entries(properties)) {
    if (name.startsWith("on")) {
      element.addEventListener(name.slice(2), value);
    } else if (value === true || value === false) {
      element.toggleAttribute(name, value);
    } else if (value !== undefined && value !== null) {
      element.setAttribute(name, value);
    }
  }
  element.append(...children.filter((child) => child !== null && child !== undefined));
  return element;
}

export function button(text, act, more = {}) {
  return make("button", { type: "button", class: "btn soft trail", onclick: act, ...more }, text);
}

const SVG = "http://www.w3.org/2000/svg";

function shape(tag, properties, ...children) {
  const element = document.createElementNS(SVG, tag);
  for (const [name, value] of Object.entries(properties)) {
    element.setAttribute(name, value);
  }
  element.append(...children);
  return element;
}

function onTheClock(hour, radius) {
  const angle = (hour / 12) * 2 * Math.PI;
  return [60 + radius * Math.sin(angle), 60 - radius * Math.cos(angle)];
}

/** Where hole and valve stand by the clock while a step is done. */
const DRAWN = {
  "hole-down": { hole: 6 },
  "air-closed": { hole: 6, valve: 9 },
  "plug-ream": { hole: 12 },
  "plug-in": { hole: 12 },
  "plug-second": { hole: 12 },
  "plug-air": { hole: 6, valve: 9 },
  "plug-second-air": { hole: 6, valve: 9 },
  "plug-down": { hole: 6 },
  "bead-by-gas": { valve: 3 },
  "core-spare": { valve: 12 },
  "beads-on": { valve: 6 },
};

/** Where hole and valve stand while the step `code` is done, or null; `live` where liquid stands in the wheel. */
export function drawing(code, live, say) {
  const drawn = DRAWN[code];
  if (drawn === undefined) {
    return null;
  }
  const words = Object.entries(drawn).map(([what, hour]) => say(`draws.${what}`, hour));
  const picture = shape(
    "svg",
    { viewBox: "-8 0 136 122", class: "trail-wheel", role: "img", "aria-label": words.join(", ") },
    shape("circle", { cx: 60, cy: 60, r: 50, class: "trail-tire" }),
    shape("circle", { cx: 60, cy: 60, r: 38, class: "trail-rim" }),
    shape("path", { d: "M-4 117.5 H124", class: "trail-ground" }),
  );
  if (live) {
    picture.append(shape("path", { d: "M35 103.5 A50 50 0 0 0 85 103.5 Z", class: "trail-pool" }));
  }
  if (drawn.hole !== undefined) {
    const [x, y] = onTheClock(drawn.hole, 50);
    picture.append(shape("circle", { cx: x, cy: y, r: 5.5, class: "trail-hole" }));
  }
  if (drawn.valve !== undefined) {
    const [x, y] = onTheClock(drawn.valve, 38);
    const [x2, y2] = onTheClock(drawn.valve, 24);
    picture.append(shape("path", { d: `M${x} ${y} L${x2} ${y2}`, class: "trail-valve" }));
  }
  return picture;
}

/** The drawing of a part, by its name and its words, or null. */
export function part(symbol) {
  if (symbol === null || symbol === undefined) {
    return null;
  }
  const file = document.querySelector("[data-parts]").dataset.parts;
  const attributes = { class: "trail-part part", role: "img", "aria-label": symbol.words };
  return shape("svg", attributes, shape("use", { href: `${file}#${symbol.code}` }));
}

/** To the nearest ten: nobody counts better. */
export function strokes(count) {
  return Math.max(10, Math.round(count / 10) * 10);
}

export function grams(value) {
  return Number(value.toFixed(1)).toString();
}

/** What was typed into `field` (kPa), or null with its fault said. */
export function gaugeRead(field, fault, { say, unit, mostKpa }) {
  const typed = field.value.trim();
  const value = Number(typed.replace(",", "."));
  if (typed !== "" && Number.isFinite(value) && value >= 0 && value * unit.kpa <= mostKpa) {
    return value * unit.kpa;
  }
  fault.textContent = say("reading.fault", 0, Math.floor(mostKpa / unit.kpa), unit.symbol);
  field.setAttribute("aria-invalid", "true");
  return null;
}
