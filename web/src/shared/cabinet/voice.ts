/** A voice that lies on the device itself, so that it speaks without signal; null where there is none. */
function ownVoice(): SpeechSynthesisVoice | null {
  if (typeof speechSynthesis === 'undefined') return null;
  const voices = speechSynthesis.getVoices().filter((voice) => voice.localService);
  return voices.find((voice) => voice.lang.startsWith('en')) ?? null;
}

/** Whether this device can read aloud without signal. */
export const canSpeak = (): boolean => ownVoice() !== null;

/** Reads a text aloud instead of what is being read; silent where the device has no voice of its own. */
export function speak(text: string): void {
  const voice = ownVoice();
  if (!voice) return;
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(spoken(text));
  said.voice = voice;
  said.lang = voice.lang;
  speechSynthesis.speak(said);
}

export const hush = (): void => {
  if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
};

/** Signs as they are said: arrows, minus, degrees. */
export function spoken(text: string): string {
  return text
    .replaceAll('▲', 'up')
    .replaceAll('▼', 'down')
    .replaceAll('◄', 'left')
    .replaceAll('►', 'right')
    .replace(/[−-](?=\d)/g, 'minus ')
    .replace(/°F\b/g, ' degrees Fahrenheit')
    .replace(/°C\b/g, ' degrees Celsius')
    .replace(/\s+/g, ' ')
    .trim();
}
