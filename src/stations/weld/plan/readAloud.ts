/** A voice that this device speaks with by itself: others would send the text away. */
export function localVoice(): SpeechSynthesisVoice | null {
  if (typeof speechSynthesis === 'undefined') return null;
  const own = speechSynthesis.getVoices().filter((voice) => voice.localService);
  return own.find((voice) => voice.lang.startsWith('en')) ?? own[0] ?? null;
}

/** Speaks a text, and stops what is being spoken. */
export function readAloud(text: string): void {
  const voice = localVoice();
  if (!voice) return;
  stopReading();
  const said = new SpeechSynthesisUtterance(text);
  said.voice = voice;
  speechSynthesis.speak(said);
}

export function stopReading(): void {
  if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
}
