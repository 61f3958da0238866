/** Tones made in the page: nothing is fetched. One at a time. */

const LOUDNESS = 0.35;
/** A tone that begins at once would click, which is heard sooner than the tone: s. */
const ATTACK = 0.004;

let context: AudioContext | null = null;
let sounding: { tone: OscillatorNode; gain: GainNode } | null = null;

/** Makes ready to sound; browsers allow that only while something is pressed. */
export function makeReady() {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext({ latencyHint: 'interactive' });
  void context.resume();
}

/** How long a tone takes to leave the device, by its own account, in ms; null where it isn't known yet. */
export function latency() {
  if (!context) return null;
  return 1000 * ((context.baseLatency || 0) + (context.outputLatency || 0));
}

/** Begins a tone, or with 0 hertz ends the one there is. */
export function sound(hertz: number) {
  if (!context) return;
  const now = context.currentTime;
  if (sounding) {
    sounding.gain.gain.setTargetAtTime(0, now, ATTACK);
    sounding.tone.stop(now + 10 * ATTACK);
    sounding = null;
  }
  if (hertz === 0) return;
  const tone = context.createOscillator();
  const gain = context.createGain();
  tone.frequency.value = hertz;
  gain.gain.setValueAtTime(0, now);
  gain.gain.linearRampToValueAtTime(LOUDNESS, now + ATTACK);
  tone.connect(gain).connect(context.destination);
  tone.start(now);
  sounding = { tone, gain };
}
