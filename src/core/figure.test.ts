import fc from 'fast-check';
import { figure } from './figure';

test('thousands are grouped, a minus is a minus, and nothing is less than nothing', () => {
  expect(figure(28.44, 1)).toBe('28.4');
  expect(figure(1850, 0)).toBe('1,850');
  expect(figure(-0.83, 1)).toBe('−0.8');
  expect(figure(-0.04, 1)).toBe('0.0');
});

test('a figure is read back within half of its last digit', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      fc.integer({ min: 0, max: 4 }),
      (value, digits) => {
        const read = Number(figure(value, digits).replaceAll(',', '').replace('−', '-'));
        expect(Math.abs(read - value)).toBeLessThanOrEqual(0.5001 * 10 ** -digits);
      },
    ),
  );
});
