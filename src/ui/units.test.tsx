import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import type { LimitName } from '@/core/limits';
import { renderAs } from '../../tests/support/render';
import { QuantityInput } from './fields';

const AMERICAN = { volume: 'flOz', temperature: 'F' } as const;
function Field({
  quantity,
  start,
  step,
  onKept,
}: {
  quantity: LimitName;
  start: string;
  step: number;
  onKept: (kept: string) => void;
}) {
  const [value, setValue] = useState(start);
  const keep = (kept: string) => {
    setValue(kept);
    onKept(kept);
  };
  return (
    <QuantityInput label="Figure" quantity={quantity} step={step} value={value} onChange={keep} />
  );
}

function open(quantity: LimitName, start: string, step: number) {
  const onKept = jest.fn<void, [string]>();
  const element = <Field quantity={quantity} start={start} step={step} onKept={onKept} />;
  renderAs(element, { units: AMERICAN });
  const field = screen.getByLabelText<HTMLInputElement>(/^Figure/);
  return { field, kept: () => onKept.mock.lastCall?.[0] };
}

describe('a figure in fluid ounces or °F', () => {
  it('is shown and labelled in the person’s unit, and kept in millilitres', () => {
    const { field, kept } = open('shotYieldMl', '48', 1);
    expect(screen.getByText('Figure, fl oz')).toBeTruthy();
    expect(field.value).toBe('1.62');
    fireEvent.change(field, { target: { value: '1.7' } });
    expect(field.value).toBe('1.7');
    expect(Number(kept())).toBeCloseTo(50.275, 3);
  });

  it('stays as typed while it is no number yet', () => {
    const { field, kept } = open('temperatureC', '93', 0.5);
    expect(field.value).toBe('199.4');
    fireEvent.change(field, { target: { value: '19' } });
    fireEvent.change(field, { target: { value: '' } });
    expect([field.value, kept()]).toEqual(['', '']);
    fireEvent.change(field, { target: { value: 'hot' } });
    expect([field.value, kept()]).toEqual(['hot', 'hot']);
  });

  it('is nudged by whole degrees, and by the scale’s step', () => {
    const { field: degrees, kept } = open('temperatureC', '93', 0.5);
    fireEvent.keyDown(degrees, { key: 'ArrowUp' });
    expect(degrees.value).toBe('200.4');
    expect(Number(kept())).toBeCloseTo(93.5556, 4);
  });

  it('knows that an offset has no zero point', () => {
    const { field: offset, kept } = open('displayOffsetC', '1.5', 0.5);
    expect(offset.value).toBe('2.7');
    fireEvent.change(offset, { target: { value: '1.8' } });
    expect(Number(kept())).toBeCloseTo(1, 9);
  });
});
