/** Three short notes, so that it is heard from under a machine; where the browser has no sound it stays silent. */
export function sound(): void {
  if (typeof AudioContext === "undefined") return;
  const context = new AudioContext();
  for (const at of [0, 0.35, 0.7]) {
    const note = context.createOscillator();
    const loud = context.createGain();
    note.frequency.value = 880;
    loud.gain.value = 0.2;
    note.connect(loud).connect(context.destination);
    note.start(context.currentTime + at);
    note.stop(context.currentTime + at + 0.2);
  }
  setTimeout(() => void context.close(), 1500);
}
