let audio: AudioContext | null = null;

/** Makes ready for sounds: browsers allow them only after a tap. */
export function readyForSound(): void {
  audio ??= new AudioContext();
  void audio.resume();
}

/** Says words where the device has a voice; a tone where it has none, and a shake of the hand where it can. */
export function sayAloud(words: string, hertz = 660): void {
  const voices = "speechSynthesis" in window ? speechSynthesis.getVoices() : [];
  if (voices.length > 0) {
    const said = new SpeechSynthesisUtterance(words);
    said.rate = 1.15;
    speechSynthesis.cancel();
    speechSynthesis.speak(said);
  } else tone(hertz);
  navigator.vibrate?.(80);
}

const toneSeconds = 0.18;

function tone(hertz: number): void {
  if (!audio) return;
  const [oscillator, volume] = [audio.createOscillator(), audio.createGain()];
  oscillator.frequency.value = hertz;
  volume.gain.setValueAtTime(0.25, audio.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + toneSeconds);
  oscillator.connect(volume).connect(audio.destination);
  oscillator.start();
  oscillator.stop(audio.currentTime + toneSeconds);
}
