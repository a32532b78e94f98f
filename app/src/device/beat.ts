/** How long a tick is heard, s, and how high: a beat, and what begins or ends. */
const TICK_S = 0.045;
const PITCH_HZ = { low: 620, high: 1080 } as const;
/** A browser needs so long to begin to sound, s. */
const LEAD_S = 0.08;

export interface Tick {
  /** From now, s. */
  atS: number;
  high: boolean;
}

/** Sounds ticks at their moments, by the clock of the sound itself; tells each as it comes. Answers how it is stopped. */
export function soundTicks(ticks: readonly Tick[], onTick: (i: number) => void): () => void {
  const audio = typeof AudioContext === 'function' ? new AudioContext() : null;
  if (audio) for (const tick of ticks) sound(audio, tick);
  const timers = ticks.map(({ atS }, i) => setTimeout(() => onTick(i), 1000 * (LEAD_S + atS)));
  const lastMs = 1000 * (LEAD_S + (ticks.at(-1)?.atS ?? 0));
  const began = performance.now();
  return () => {
    timers.forEach(clearTimeout);
    // The last tick is told as it begins: it is still to be heard.
    const over = performance.now() - began >= lastMs - 1;
    setTimeout(() => void audio?.close(), over ? 4000 * TICK_S : 0);
  };
}

function sound(audio: AudioContext, { atS, high }: Tick): void {
  const at = audio.currentTime + LEAD_S + atS;
  const tone = new OscillatorNode(audio, { frequency: high ? PITCH_HZ.high : PITCH_HZ.low });
  const loud = new GainNode(audio, { gain: 0 });
  loud.gain.setValueAtTime(0.5, at);
  loud.gain.exponentialRampToValueAtTime(0.001, at + TICK_S);
  tone.connect(loud).connect(audio.destination);
  tone.start(at);
  tone.stop(at + TICK_S);
}
