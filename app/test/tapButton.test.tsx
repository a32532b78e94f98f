import { createEvent, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

import { TapButton } from '@/ui/TapButton';

const shown = () => {
  const onTap = jest.fn();
  render(
    <TapButton label="Just passes: right" onTap={onTap} className="">
      <span>Just passes</span>
    </TapButton>,
  );
  return { onTap, button: screen.getByRole('button', { name: 'Just passes: right' }) };
};

interface Finger {
  ms: number;
  x?: number;
  /** Others that are on the glass. */
  others?: number;
}

/** What a browser tells of a finger that comes or goes; answers whether it is asked for what a mouse would do after it. */
function tell(button: HTMLElement, what: 'touchStart' | 'touchEnd', { ms, x = 0, others = 0 }: Finger): boolean {
  const finger = { clientX: 100 + x, clientY: 700 };
  const stays = what === 'touchStart' ? 1 : 0;
  const touches = Array.from({ length: stays + others }, () => finger);
  const event = createEvent[what](button, { changedTouches: [finger], touches, cancelable: true });
  Object.defineProperty(event, 'timeStamp', { value: 1000 + ms });
  return fireEvent(button, event);
}

describe('a button that is tapped again and again', () => {
  it('acts once a finger leaves it, and asks for no click of that', () => {
    const { onTap, button } = shown();
    for (const since of [0, 300, 600]) {
      tell(button, 'touchStart', { ms: since });
      expect(onTap).toHaveBeenCalledTimes(since / 300);
      expect(tell(button, 'touchEnd', { ms: since + 80, x: 4 })).toBe(false);
      expect(onTap).toHaveBeenCalledTimes(since / 300 + 1);
    }
  });

  it.each<[string, Finger, Finger]>([
    ['slips', { ms: 0 }, { ms: 80, x: 24 }],
    ['rests', { ms: 0 }, { ms: 700 }],
    ['comes after another', { ms: 0, others: 1 }, { ms: 80 }],
    ['leaves another behind', { ms: 0 }, { ms: 80, others: 1 }],
  ])('leaves it to the browser whether a finger tapped that %s', (_, start, end) => {
    const { onTap, button } = shown();
    tell(button, 'touchStart', start);
    expect(tell(button, 'touchEnd', end)).toBe(true);
    expect(onTap).not.toHaveBeenCalled();
    fireEvent.click(button);
    expect(onTap).toHaveBeenCalledTimes(1);
  });

  it('does nothing for a finger that scrolls the page away, nor for one that came from elsewhere', () => {
    const { onTap, button } = shown();
    tell(button, 'touchStart', { ms: 0 });
    fireEvent.touchCancel(button);
    tell(button, 'touchEnd', { ms: 80 });
    expect(onTap).not.toHaveBeenCalled();
  });

  it('is pressed by a mouse and by keys as any button', async () => {
    const { onTap, button } = shown();
    await userEvent.click(button);
    expect(onTap).toHaveBeenCalledTimes(1);
    await userEvent.keyboard('{Enter}');
    await userEvent.keyboard(' ');
    expect(onTap).toHaveBeenCalledTimes(3);
  });
});
