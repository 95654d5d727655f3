// Rings and vibrates, where the device can do either.

const BEATS = 3;
const BEAT_S = 0.35;

/** Three notes and three shakes; resolves when they are over. */
export function ring() {
  navigator.vibrate?.([250, 120, 250, 120, 250]);
  return sound().catch(() => {});
}

async function sound() {
  if (!("AudioContext" in window)) {
    return;
  }
  const audio = new AudioContext();
  // a page that nobody has touched may not make a sound
  if (audio.state === "suspended") {
    await audio.close();
    return;
  }
  for (let beat = 0; beat < BEATS; beat++) {
    const note = audio.createOscillator();
    const loud = audio.createGain();
    const from = audio.currentTime + beat * BEAT_S;
    note.frequency.value = 880;
    loud.gain.setValueAtTime(0.3, from);
    loud.gain.exponentialRampToValueAtTime(0.001, from + BEAT_S * 0.8);
    note.connect(loud).connect(audio.destination);
    note.start(from);
    note.stop(from + BEAT_S * 0.8);
  }
  await new Promise((resolve) => {
    setTimeout(resolve, BEATS * BEAT_S * 1000);
  });
  await audio.close();
}
