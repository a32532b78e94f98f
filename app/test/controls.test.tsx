import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';

import { lengthsOf } from '@/views/lengths';

import { AnswerButtons } from '@/parts/check/AnswerButtons';
import { LengthEntry } from '@/parts/LengthEntry';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';

const lengths = lengthsOf();

function Entry({ around = false, onChange }: { around?: boolean; onChange: (mm: number) => void }) {
  const [mm, setMm] = useState(254);
  return (
    <LengthEntry
      label="Width"
      value={mm}
      least={50}
      most={400}
      lengths={lengths}
      around={around}
      onChange={(to) => {
        setMm(to);
        onChange(to);
      }}
    />
  );
}

describe('a length is entered', () => {
  it('by taps, an eighth of an inch at a time', async () => {
    const onChange = jest.fn();
    render(<Entry onChange={onChange} />);
    await userEvent.click(screen.getByRole('button', { name: 'Larger: Width' }));
    expect(onChange).toHaveBeenLastCalledWith(expect.closeTo(254 + lengths.stepMm, 6));
    expect(screen.getByRole('slider', { name: 'Width' }).getAttribute('aria-valuetext')).toBe('10⅛ in');
  });

  it('by arrow keys on the dial', () => {
    const onChange = jest.fn();
    render(<Entry onChange={onChange} />);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Width' }), { key: 'ArrowLeft' });
    expect(onChange).toHaveBeenLastCalledWith(expect.closeTo(254 - lengths.stepMm, 6));
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Width' }), { key: 'PageUp' });
    expect(onChange).toHaveBeenLastCalledWith(expect.closeTo(254 - lengths.stepMm + 25.4, 6));
  });

  it('as people write it, with the reason beside the field when it cannot be read', async () => {
    const onChange = jest.fn();
    render(<Entry onChange={onChange} />);
    await userEvent.click(screen.getByRole('button', { name: 'Type width' }));
    const field = screen.getByRole('textbox', { name: 'Width, typed' });
    await userEvent.type(field, '9 3/4');
    expect(onChange).toHaveBeenLastCalledWith(expect.closeTo(247.65, 6));
    await userEvent.clear(field);
    await userEvent.type(field, 'ten');
    expect(screen.getByRole('alert').textContent).toMatch('cannot be read as a length');
    expect((field as HTMLInputElement).value).toBe('ten');
  });

  it('around with the tape: 31.4 in around is 10 in across', () => {
    const onChange = jest.fn();
    render(<Entry around onChange={onChange} />);
    expect(screen.getByRole('slider').getAttribute('aria-valuetext')).toBe('31⅜ in');
    fireEvent.keyDown(screen.getByRole('slider'), { key: 'ArrowRight' });
    expect(onChange.mock.lastCall[0]).toBeCloseTo((252 * lengths.stepMm) / Math.PI, 6);
  });
});

describe('controls', () => {
  it('a stepper stops at its ends', async () => {
    const onChange = jest.fn();
    render(
      <Stepper label="strokes in all" value={0.5} shown="½" step={0.5} least={0.5} most={200} onChange={onChange} />,
    );
    expect((screen.getByRole('button', { name: 'Fewer: strokes in all' }) as HTMLButtonElement).disabled).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'More: strokes in all' }));
    expect(onChange).toHaveBeenCalledWith(1);
  });

  it('one of a few says which is chosen', async () => {
    const onChange = jest.fn();
    render(
      <Segmented
        label="Felt"
        options={[
          { value: 'ok', title: 'Soft' },
          { value: 'hard', title: 'Hard' },
        ]}
        value="ok"
        onChange={onChange}
      />,
    );
    expect(screen.getByRole('radio', { name: 'Soft' }).getAttribute('aria-checked')).toBe('true');
    await userEvent.click(screen.getByRole('radio', { name: 'Hard' }));
    expect(onChange).toHaveBeenCalledWith('hard');
  });

  it('one tap answers for a balloon at the hole', async () => {
    const onAnswer = jest.fn();
    render(<AnswerButtons onAnswer={onAnswer} onMeasure={() => {}} />);
    for (const name of [/^Stops/, /^Just passes/, /^Falls through/])
      await userEvent.click(screen.getByRole('button', { name }));
    expect(onAnswer.mock.calls.flat()).toEqual(['stops', 'passes', 'falls']);
  });
});
