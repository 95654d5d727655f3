// What waits on this device to be sent, and what can be done with it.

const at = (id) => document.getElementById(id).href;
const [device, outbox, { button, make }] = await Promise.all([
  import(at("module-device")),
  import(at("module-outbox")),
  import(at("module-page")),
]);

async function again(entry, body) {
  await device.change({ ...entry, state: "WAITS", body: { ...entry.body, ...body } });
  await outbox.send();
}

/** This rider's one by one; of another rider only how many. `changed` is called once something was dropped. */
export function outboxPanel({ waiting, rider, say, time, changed }) {
  const dropIt = async (...entries) => {
    for (const entry of entries) {
      await device.drop(entry.nr);
    }
    await changed();
  };
  if (waiting.length === 0) {
    return null;
  }
  const own = waiting.filter((entry) => entry.rider === rider);
  const others = waiting.filter((entry) => entry.rider !== rider);
  const line = (entry) => {
    const parts = [make("p", {}, make("strong", {}, entry.words), ` ${time(entry.body.at)}`)];
    const acts = [];
    if (entry.state === "CONFLICT") {
      parts.push(
        make("p", {}, `${say("conflict")} `, make("strong", {}, entry.said)),
        make("p", {}, `${say("conflict.mine")} ${entry.words}`),
      );
      acts.push(
        button(say("keep-stored"), () => dropIt(entry), { "data-act": "keep-stored" }),
        button(say("as-new"), () => again(entry, { id: crypto.randomUUID() }), { "data-act": "as-new" }),
      );
    } else {
      if (entry.state === "GONE") {
        parts.push(make("p", { class: "err" }, say("gone")));
      }
      if (entry.state === "FAULTY") {
        parts.push(make("p", { class: "err" }, say("faulty", entry.said)));
        acts.push(
          button(say("as-now"), () => again(entry, { at: null, id: crypto.randomUUID() }), { "data-act": "as-now" }),
        );
      }
      acts.push(button(say("drop"), () => dropIt(entry), { "data-act": "drop" }));
    }
    return make(
      "li",
      { class: "entry-line", "data-waits": entry.state },
      ...parts,
      make("div", { class: "trail-answers trail-small" }, ...acts),
    );
  };
  return make(
    "section",
    { id: "outbox", class: "group" },
    make("h2", {}, say("waiting")),
    make("p", { class: "quiet" }, say("waiting.count", waiting.length)),
    own.length === 0 ? null : make("ul", {}, ...own.map(line)),
    others.length === 0
      ? null
      : make(
          "div",
          { id: "of-others" },
          make("p", {}, say("other-rider", others.length, others[0].name)),
          button(say("drop"), () => dropIt(...others), { "data-act": "drop-others" }),
        ),
    own.some((entry) => entry.state === "WAITS") ? button(say("send"), () => outbox.send(), { id: "send" }) : null,
  );
}
