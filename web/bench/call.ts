/** How high and how long the call is: a wooden knock, not an alarm. */
const HERTZ = 523;
const SECONDS = 0.35;

/** A quiet call, once. Where a browser lets nothing sound, nothing does. */
export function call(): void {
  if (typeof AudioContext === 'undefined') return;
  const context = new AudioContext();
  const tone = context.createOscillator();
  const volume = context.createGain();
  tone.frequency.value = HERTZ;
  volume.gain.setValueAtTime(0.12, context.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + SECONDS);
  tone.connect(volume).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + SECONDS);
  tone.onended = () => void context.close();
}
