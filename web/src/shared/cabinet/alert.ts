const BUZZ_MS = [250, 120, 250];
const TONE_HZ = 880;
const TONE_S = 0.18;
const REST_S = 0.12;
let context: AudioContext | null = null;

/** A buzz and two tones, as far as the device has them; silent where it has not. */
export function alertHand(): void {
  if (typeof navigator.vibrate === 'function') navigator.vibrate(BUZZ_MS);
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  void context.resume().catch(() => undefined);
  for (const n of [0, 1]) {
    const tone = context.createOscillator();
    const loud = context.createGain();
    const at = context.currentTime + n * (TONE_S + REST_S);
    tone.frequency.value = TONE_HZ;
    loud.gain.setValueAtTime(0.4, at);
    loud.gain.exponentialRampToValueAtTime(0.001, at + TONE_S);
    tone.connect(loud).connect(context.destination);
    tone.start(at);
    tone.stop(at + TONE_S);
  }
}
