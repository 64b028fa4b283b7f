import { STYLE_STEPS } from '@/core/programme/styles';
import { programmeSchema } from '@/core/schema/programme';
import {
  added,
  changed,
  drawnOf,
  inputOf,
  lifted,
  mayAdd,
  removed,
  stretched,
  switched,
  textOf,
} from './stepText';

const SOAK = textOf(STYLE_STEPS.soakFirst);

it('sends what it was given', () => {
  for (const steps of Object.values(STYLE_STEPS)) {
    expect(inputOf(textOf(steps))).toEqual(steps);
    expect(drawnOf(textOf(steps))).toEqual(steps);
  }
});

it('draws what can be drawn while a figure is half typed, and sends it as typed', () => {
  const half = changed(SOAK, 2, { level: '2.', seconds: 'x', limitBar: '40' });
  expect(drawnOf(half)[2]).toMatchObject({ level: 2, seconds: 0.5, limitBar: 12 });
  expect(programmeSchema.safeParse(inputOf(half)).success).toBe(false);
});

it('lifts and stretches a step within what a pump can do', () => {
  expect(lifted(SOAK, 0, 0.5)[0]!.level).toBe('8.5');
  expect(lifted(lifted(SOAK, 0, 4), 0, 4)[0]!.level).toBe('10');
  expect(lifted(SOAK, 1, -0.5)[1]!.level).toBe('0');
  expect(stretched(SOAK, 1, -1)[1]!.seconds).toBe('29');
  expect(stretched(SOAK, 0, -9)[0]!.seconds).toBe('0.5');
});

it('begins at a usual level when the unit changes; a pause stays a pause', () => {
  expect(switched(SOAK, 0)[0]).toMatchObject({ drive: 'pressure', level: '9', limitBar: '' });
  expect(switched(SOAK, 1)[1]).toMatchObject({ drive: 'pressure', level: '0' });
  expect(switched(textOf(STYLE_STEPS.classic), 0)[0]).toMatchObject({
    drive: 'flow',
    level: '2.5',
  });
});

it('adds a step like the one before, and never a pause at the end', () => {
  const more = added(SOAK, 2);
  expect(more).toHaveLength(4);
  expect(more[3]).toMatchObject({ drive: 'flow', level: '2.5', seconds: '10' });
  const afterPause = added(SOAK.slice(0, 2), 1);
  expect(afterPause[2]).toMatchObject({ drive: 'pressure', level: '9' });
  expect(programmeSchema.safeParse(inputOf(afterPause)).success).toBe(true);
  const full = Array.from({ length: 12 }, () => SOAK[0]!);
  expect(mayAdd(full)).toBe(false);
  expect(added(full, 3)).toBe(full);
});

it('keeps the last step there is', () => {
  expect(removed(SOAK, 0)).toHaveLength(2);
  expect(removed(SOAK.slice(0, 1), 0)).toHaveLength(1);
});
