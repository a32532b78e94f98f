import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { BeatCount } from '@/features/inflation/BeatCount';
import { SoundFields } from '@/features/inflation/SoundFields';
import { useStationSound } from '@/features/inflation/stationSound';
import { useStationVoice } from '@/features/inflation/useStationVoice';
import { calledOut } from '@/wording/calledOut';
import { batchSpoken } from '@/wording/inflation';

import { show } from './studio';

/** A browser that speaks and hears, as far as the app asks of it. */
const spoken: string[] = [];
class Ears {
  static open: Ears[] = [];
  onresult: ((event: object) => void) | null = null;
  onend: (() => void) | null = null;
  onerror: ((event: { error: string }) => void) | null = null;
  starts = 0;
  start() {
    this.starts += 1;
    if (!Ears.open.includes(this)) Ears.open.push(this);
  }
  abort() {
    Ears.open = Ears.open.filter((each) => each !== this);
  }
  hears(transcript: string) {
    act(() => this.onresult?.({ resultIndex: 0, results: [[{ transcript }]] }));
  }
}
const synthesis = {
  speaking: false,
  cancel: () => undefined,
  speak: ({ text }: { text: string }) => spoken.push(text),
};

beforeEach(() => {
  spoken.splice(0);
  Ears.open = [];
  synthesis.speaking = false;
  Object.assign(globalThis, {
    speechSynthesis: synthesis,
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
    SpeechRecognition: Ears,
  });
  useStationSound.setState({ beat: false, everyS: 1, says: false, hears: false });
});

const heard: string[] = [];
function Voiced({ checking = false, prompt = null }: { checking?: boolean; prompt?: string | null }) {
  useStationVoice({
    ...{ begin: 'Batch A begins', prompt, checking },
    onTap: (what) => heard.push(what),
    onUndo: () => heard.push('undo'),
    onCheck: () => heard.push('check'),
    onAnswer: (answer) => heard.push(`answer ${answer}`),
  });
  return null;
}

describe('a dose by a beat', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('is counted ahead and stroke by stroke, and ends by itself', () => {
    show(<BeatCount dose={2.5} timed={false} hearsKeys />);
    act(() => screen.getByRole('button', { name: 'Count 2½ strokes' }).click());
    const at = (seconds: number) => act(() => jest.advanceTimersByTime(1000 * seconds));
    at(0.1);
    expect(screen.getByText('ready 3')).toBeTruthy();
    at(3);
    expect(screen.getByText('1')).toBeTruthy();
    at(2);
    expect(screen.getByText('2½')).toBeTruthy();
    at(1);
    expect(screen.getByRole('button', { name: 'Count 2½ strokes' })).toBeTruthy();
  });

  it('is stopped, and has nothing to count of a dose that is none', () => {
    const { unmount } = show(<BeatCount dose={3} timed hearsKeys />);
    act(() => screen.getByRole('button', { name: 'Count 3.0 s' }).click());
    act(() => screen.getByRole('button', { name: 'Stop' }).click());
    act(() => jest.advanceTimersByTime(9000));
    expect(screen.getByRole('button', { name: 'Count 3.0 s' })).toBeTruthy();
    unmount();
    show(<BeatCount dose={0} timed={false} hearsKeys />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a station by ear', () => {
  it('is silent and deaf until someone wants it', async () => {
    show(<Voiced prompt="Time to check one" />);
    expect([spoken, Ears.open]).toEqual([[], []]);
    show(<SoundFields />);
    await userEvent.click(screen.getByRole('switch', { name: 'Say what to do' }));
    expect(spoken).toEqual(['Batch A begins', 'Time to check one']);
  });

  it('takes what is called out as taps, and as answers at the hole', async () => {
    useStationSound.setState({ hears: true });
    heard.splice(0);
    const { rerender } = show(<Voiced />);
    Ears.open[0]!.hears('done done and one popped');
    Ears.open[0]!.hears('please undo that');
    rerender(<Voiced checking />);
    Ears.open[0]!.hears('that one is too big, too big');
    expect(heard).toEqual(['done', 'done', 'popped', 'undo', 'answer stops']);
    // Its own voice is no one's.
    synthesis.speaking = true;
    Ears.open[0]!.hears('done');
    expect(heard).toHaveLength(5);
    // A browser that ends by itself is asked again.
    act(() => Ears.open[0]!.onend?.());
    await waitFor(() => expect(Ears.open[0]!.starts).toBe(2));
  });

  it('is deaf again where the microphone is refused', () => {
    useStationSound.setState({ hears: true });
    show(<Voiced />);
    act(() => Ears.open[0]!.onerror?.({ error: 'no-speech' }));
    expect(useStationSound.getState().hears).toBe(true);
    act(() => Ears.open[0]!.onerror?.({ error: 'not-allowed' }));
    expect(useStationSound.getState().hears).toBe(false);
    expect(Ears.open).toEqual([]);
  });

  it('passes over other words, and says a batch as it is read', () => {
    expect(calledOut('the wrong size, undone, checkered', false)).toEqual([{ kind: 'tap', what: 'size' }]);
    expect(calledOut('done', true)).toEqual([]);
    expect(batchSpoken({ mark: 'B', width: '9½ in', dose: 7, timed: false, left: 32 })).toBe(
      'Batch B: 9½ in, 7 strokes. 32 to make.',
    );
    expect(batchSpoken({ mark: 'B', width: '9½ in', dose: null, timed: false, left: 1 })).toBe(
      'Batch B: 9½ in. 1 to make.',
    );
  });
});
