// What this device keeps: one rider's bikes, the stop that is being told, and entries that wait to be sent.

const NAME = "stratopneum";
const KEPT = "kept";
const OUTBOX = "outbox";

let opened;

function open() {
  opened ??= new Promise((resolve, reject) => {
    const asked = indexedDB.open(NAME, 1);
    asked.onupgradeneeded = () => {
      asked.result.createObjectStore(KEPT);
      asked.result.createObjectStore(OUTBOX, { keyPath: "nr", autoIncrement: true });
    };
    asked.onsuccess = () => resolve(asked.result);
    asked.onerror = () => reject(asked.error);
  });
  return opened;
}

async function within(store, mode, act) {
  const base = await open();
  return new Promise((resolve, reject) => {
    const transaction = base.transaction(store, mode);
    const asked = act(transaction.objectStore(store));
    transaction.oncomplete = () => resolve(asked?.result);
    transaction.onerror = () => reject(transaction.error);
    transaction.onabort = () => reject(transaction.error);
  });
}

export function kept(name) {
  return within(KEPT, "readonly", (store) => store.get(name));
}

export function keep(name, value) {
  return within(KEPT, "readwrite", (store) => store.put(value, name));
}

export function forget(name) {
  return within(KEPT, "readwrite", (store) => store.delete(name));
}

/** Entries that wait, oldest first. */
export function waiting() {
  return within(OUTBOX, "readonly", (store) => store.getAll());
}

export function wait(entry) {
  return within(OUTBOX, "readwrite", (store) => store.add(entry));
}

export function change(entry) {
  return within(OUTBOX, "readwrite", (store) => store.put(entry));
}

export function drop(nr) {
  return within(OUTBOX, "readwrite", (store) => store.delete(nr));
}

/** Nothing of anybody remains. */
export async function wipe() {
  await within(KEPT, "readwrite", (store) => store.clear());
  await within(OUTBOX, "readwrite", (store) => store.clear());
}
