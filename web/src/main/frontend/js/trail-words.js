// Words, numbers and moments as the rider has them.

const { trail } = await import(document.getElementById("module-stop").href);

export function say(key, ...values) {
  const text = trail.rules.words[key];
  return values.reduce((said, value, i) => said.replaceAll(`{${i}}`, value), text ?? key);
}

export function units() {
  return trail.mine === undefined ? trail.rules.units : [trail.mine.rider.unit, trail.mine.rider.beside];
}

/** With the rider's own mark before its fraction. */
export function marked(text) {
  return trail.mine?.rider.comma ? text.replace(".", ",") : text;
}

function number(kpa, unit) {
  return marked((kpa / unit.kpa).toFixed(unit.decimals));
}

/** A form of days and hours as the rider writes them. */
function form(parts) {
  const rider = trail.mine?.rider;
  return new Intl.DateTimeFormat(rider?.region ?? "en-GB", {
    hour12: rider?.hour12 ?? false,
    timeZone: rider?.zone,
    ...parts,
  });
}

export function pressure(kpa) {
  const [unit, beside] = units();
  return `${number(kpa, unit)} ${unit.symbol} (${number(kpa, beside)} ${beside.symbol})`;
}

export function short(kpa) {
  const [unit] = units();
  return `${number(kpa, unit)} ${unit.symbol}`;
}

export function time(moment) {
  return form({ day: "numeric", month: "long", hour: "2-digit", minute: "2-digit" }).format(new Date(moment));
}

/** "18:23" today, with its day otherwise. */
export function hour(moment) {
  const day = form({ day: "numeric", month: "numeric", year: "numeric" });
  return day.format(new Date(moment)) === day.format(new Date())
    ? form({ hour: "2-digit", minute: "2-digit" }).format(new Date(moment))
    : time(moment);
}
