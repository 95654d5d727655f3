// Words, numbers and moments as the rider has them.

const { trail } = await import(document.getElementById("module-stop").href);

export function say(key, ...values) {
  const text = trail.rules.words[key];
  return values.reduce((said, value, i) => said.replaceAll(`{${i}}`, value), text ?? key);
}

export function units() {
  return trail.mine === undefined ? trail.rules.units : [trail.mine.rider.unit, trail.mine.rider.beside];
}

function number(kpa, unit) {
  return (kpa / unit.kpa).toFixed(unit.decimals);
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
  return new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "long",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: trail.mine?.rider.zone,
  }).format(new Date(moment));
}

/** "18:23" today, with its day otherwise. */
export function hour(moment) {
  const zone = { timeZone: trail.mine?.rider.zone };
  const day = new Intl.DateTimeFormat("en-GB", { dateStyle: "short", ...zone });
  return day.format(new Date(moment)) === day.format(new Date())
    ? new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit", ...zone }).format(new Date(moment))
    : time(moment);
}
