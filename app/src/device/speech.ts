/** Whether the browser can speak. */
export const canSay = (): boolean =>
  typeof speechSynthesis === 'object' && typeof SpeechSynthesisUtterance === 'function';

/** Says it aloud, in place of what is being said. */
export function say(text: string): void {
  if (!canSay()) return;
  speechSynthesis.cancel();
  const spoken = new SpeechSynthesisUtterance(text);
  spoken.lang = 'en';
  speechSynthesis.speak(spoken);
}

/** What a browser hears with; not every one has it, and some have it by another name. */
interface Hearing {
  lang: string;
  continuous: boolean;
  onresult: ((event: { resultIndex: number; results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onend: (() => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  start(): void;
  abort(): void;
}
type Ears = new () => Hearing;

const ears = (): Ears | undefined => {
  const { SpeechRecognition, webkitSpeechRecognition } = globalThis as {
    SpeechRecognition?: Ears;
    webkitSpeechRecognition?: Ears;
  };
  return SpeechRecognition ?? webkitSpeechRecognition;
};

/** Whether the browser can hear words. */
export const canHear = (): boolean => ears() !== undefined;

/** Without leave, or without a microphone, it does not help to ask again. */
const FOR_GOOD = ['not-allowed', 'service-not-allowed', 'audio-capture'];

/** A browser that just failed, as without a network, is left alone for so long. */
const AGAIN_MS = 4000;

/** Hears what is said, phrase by phrase, until it is stopped; begins anew where the browser ends by itself. */
export function hear(onPhrase: (words: string) => void, onRefused: () => void): () => void {
  const Found = ears();
  if (!Found) return () => undefined;
  const hearing = new Found();
  let ended = false;
  let failed = false;
  hearing.lang = 'en';
  hearing.continuous = true;
  hearing.onresult = ({ resultIndex, results }) => {
    // It hears what it says itself.
    if (canSay() && speechSynthesis.speaking) return;
    for (let i = resultIndex; i < results.length; i += 1) onPhrase(results[i]![0]!.transcript);
  };
  hearing.onerror = ({ error }) => {
    failed = true;
    if (!FOR_GOOD.includes(error)) return;
    ended = true;
    onRefused();
  };
  hearing.onend = () => {
    const pauseMs = failed ? AGAIN_MS : 0;
    failed = false;
    setTimeout(() => {
      if (!ended) hearing.start();
    }, pauseMs);
  };
  hearing.start();
  return () => {
    ended = true;
    hearing.abort();
  };
}
