// Keeps the screen on while a step or a timer is on the page. Without this module, or without the device's leave, it goes
// dark as always.

let lock = null;

export async function keepAwake() {
  if (!("wakeLock" in navigator)) {
    return;
  }
  const wanted = document.visibilityState === "visible" && document.querySelector("[data-awake]") !== null;
  if (wanted && (lock === null || lock.released)) {
    lock = await navigator.wakeLock.request("screen").catch(() => null);
  } else if (!wanted && lock !== null) {
    await lock.release();
    lock = null;
  }
}

document.addEventListener("visibilitychange", keepAwake);
keepAwake();
