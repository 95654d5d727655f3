// Charts answer to the finger: under it stands the value, with its day and the way to its entry, and a stretch that is drawn
// along a calendar is shown by itself. Without this module each place has its words as a title, entries are links, and two
// days are chosen below.

const NEAR = 60;
const LEAST_STRETCH = 12;

const SVG = "http://www.w3.org/2000/svg";

const CHARTS = "svg:has(.spot), svg[data-spots]";

/** The places of a chart whose words are too many for its page; null while the server does not answer. */
const asked = async (svg) => {
  try {
    const answer = await fetch(svg.dataset.spots);
    return answer.ok ? await answer.json() : null;
  } catch {
    return null;
  }
};

const put = (svg, places) => {
  for (const { x, y, day, said } of places) {
    const place = document.createElementNS(SVG, "a");
    const hit = document.createElementNS(SVG, "circle");
    place.setAttribute("href", `${svg.dataset.log}&since=${day}&until=${day}`);
    place.setAttribute("tabindex", "-1");
    place.setAttribute("aria-label", said);
    place.classList.add("spot");
    Object.assign(place.dataset, { x, y, said });
    hit.classList.add("spot-hit");
    hit.setAttribute("cx", x);
    hit.setAttribute("cy", y);
    hit.setAttribute("r", 7);
    place.append(hit);
    svg.append(place);
  }
};

const spotsOf = (svg) =>
  [...svg.querySelectorAll(".spot")].map((place) => ({
    place,
    x: Number(place.dataset.x),
    y: Number(place.dataset.y),
  }));

for (const svg of document.querySelectorAll(CHARTS)) {
  let spots = spotsOf(svg);
  const said = document.createElement("p");
  said.className = "chart-said";
  said.setAttribute("role", "status");
  (svg.closest(".chart-scroll") ?? svg).after(said);

  const under = (event) => new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  let shown = null;

  const show = (spot) => {
    if (spot === shown) {
      return;
    }
    shown?.place.classList.remove("on");
    shown = spot;
    spot.place.classList.add("on");
    const words = document.createElement("strong");
    words.textContent = spot.place.dataset.said;
    said.replaceChildren(words);
    const href = spot.place.getAttribute("href");
    if (href !== null) {
      const link = document.createElement("a");
      link.href = href;
      link.textContent = document.documentElement.dataset.openWord;
      said.append(" ", link);
    }
  };

  // along the calendar first: a finger is as high as a chart
  const nearest = ({ x, y }) => {
    const far = (spot) => Math.abs(spot.x - x) + Math.abs(spot.y - y) / 4;
    const near = spots.filter((spot) => far(spot) < NEAR);
    return near.length === 0 ? null : near.reduce((one, other) => (far(other) < far(one) ? other : one));
  };

  const look = (event) => {
    const spot = nearest(under(event));
    if (spot !== null) {
      show(spot);
    }
  };
  svg.addEventListener("pointermove", look);
  svg.addEventListener("pointerdown", look);
  if (svg.dataset.spots !== undefined) {
    let pointed = false;
    svg.addEventListener("pointerenter", async (event) => {
      if (pointed) {
        return;
      }
      pointed = true;
      const places = await asked(svg);
      pointed = places !== null;
      put(svg, places ?? []);
      spots = spotsOf(svg);
      look(event);
    });
  }
  svg.addEventListener("focusin", (event) => {
    const spot = spots.find(({ place }) => place === event.target);
    if (spot !== undefined) {
      show(spot);
    }
  });
  // a finger that looks does not leave the page: the entry opens by its link below
  svg.addEventListener("click", (event) => {
    if (event.pointerType === "touch") {
      event.preventDefault();
    }
  });
  if (svg.dataset.zoom !== undefined) {
    stretches(svg, under);
  }
}

function stretches(svg, under) {
  const { zoom, from, until } = svg.dataset;
  const left = Number(svg.dataset.left);
  const right = Number(svg.dataset.right);
  const first = Date.parse(from);
  const length = Date.parse(until) - first;
  const day = (x) => new Date(first + (length * (x - left)) / (right - left)).toISOString().slice(0, 10);
  const within = (x) => Math.min(right, Math.max(left, x));
  const stretch = document.createElementNS(SVG, "rect");
  stretch.classList.add("stretch");
  let begun = null;

  const draw = (x) => {
    stretch.setAttribute("x", Math.min(begun, x));
    stretch.setAttribute("width", Math.abs(x - begun));
  };
  svg.addEventListener("pointerdown", (event) => {
    if (event.pointerType === "mouse" && event.button === 0) {
      begun = within(under(event).x);
      stretch.setAttribute("y", 0);
      stretch.setAttribute("height", 296);
      draw(begun);
      svg.append(stretch);
    }
  });
  svg.addEventListener("pointermove", (event) => {
    if (begun !== null) {
      draw(within(under(event).x));
    }
  });
  svg.addEventListener("dragstart", (event) => event.preventDefault());
  window.addEventListener("pointerup", (event) => {
    if (begun === null) {
      return;
    }
    const ends = [begun, within(under(event).x)].sort((one, other) => one - other);
    begun = null;
    stretch.remove();
    if (ends[1] - ends[0] >= LEAST_STRETCH) {
      location.assign(`${zoom}?from=${day(ends[0])}&until=${day(ends[1])}`);
    }
  });
}

// a chart by itself, with its looks in it, for whoever wants it in a letter or a notebook
const LOOKS = [
  "fill",
  "fill-opacity",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "stroke-linecap",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "paint-order",
  "stroke-linejoin",
  "stroke-opacity",
  "vector-effect",
  "opacity",
];

const URL_OF = /url\(".*#(.*?)"\)/;

/** A copy with its looks in it; what it is filled with is named in `wanted`. */
const dressed = (original, wanted) => {
  const copy = original.cloneNode(true);
  const from = [original, ...original.querySelectorAll("*")];
  [copy, ...copy.querySelectorAll("*")].forEach((element, i) => {
    const looks = getComputedStyle(from[i]);
    for (const name of LOOKS) {
      const look = looks.getPropertyValue(name);
      const named = URL_OF.exec(look);
      if (named !== null) {
        wanted.add(named[1]);
      }
      element.style.setProperty(name, look.replace(URL_OF, "url(#$1)"));
    }
    element.removeAttribute("class");
    element.removeAttribute("tabindex");
  });
  return copy;
};

const alone = (svg) => {
  const wanted = new Set();
  const copy = dressed(svg, wanted);
  const defs = document.createElementNS(SVG, "defs");
  for (const id of wanted) {
    defs.append(dressed(document.getElementById(id), new Set()));
  }
  copy.prepend(defs);
  copy.style.setProperty("background", getComputedStyle(document.documentElement).backgroundColor);
  copy.setAttribute("xmlns", SVG);
  for (const link of copy.querySelectorAll("a")) {
    link.setAttribute("href", new URL(link.getAttribute("href"), document.baseURI));
  }
  return new XMLSerializer().serializeToString(copy);
};

for (const svg of document.querySelectorAll(CHARTS)) {
  const save = document.createElement("button");
  save.type = "button";
  save.className = "btn soft slim no-print chart-save";
  save.textContent = document.documentElement.dataset.saveChart;
  save.addEventListener("click", () => {
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([alone(svg)], { type: "image/svg+xml" }));
    link.download = `${location.pathname.split("/").at(-1) || "chart"}.svg`;
    link.click();
    URL.revokeObjectURL(link.href);
  });
  (svg.closest(".chart-scroll") ?? svg).nextElementSibling.after(save);
}
