const hertz = 880;
const seconds = 0.15;
const loudness = 0.2;

/** A short tone, where the browser may sound one; a trial goes on without it. */
export function beep(): void {
  if (typeof AudioContext === "undefined") return;
  const audio = new AudioContext();
  const [tone, volume] = [audio.createOscillator(), audio.createGain()];
  tone.frequency.value = hertz;
  volume.gain.value = loudness;
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + seconds);
  tone.onended = () => void audio.close();
}
