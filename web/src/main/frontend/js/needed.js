// Fetches the modules that a page needs, by what is on it; each says in its head what the page does without it.

const NEEDED_BY = {
  account: "input[data-zone], form[data-send-again], [data-strength]",
  aloud: "#aloud",
  awake: "[data-awake]",
  charts: "svg .spot, svg[data-spots]",
  copy: "[data-copy-when]",
  gauge: ".live-gauge",
  import: "#import-state",
  live: "form[data-live]",
  map: "form[data-map]",
  ticks: "#tick-all",
  upload: "form[data-upload]",
  wait: "[data-seconds]",
};

const { dataset } = document.getElementById("modules");
for (const [name, wanted] of Object.entries(NEEDED_BY)) {
  if (document.querySelector(wanted) !== null) {
    import(dataset[name]);
  }
}
