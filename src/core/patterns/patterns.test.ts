import fc from 'fast-check';
import { halves, medianOf } from './series';
import { meanOf } from './summary';

describe('summaries', () => {
  it('give the mean with the 80 % interval of Student’s t', () => {
    // t(.9, 4) = 1.5332; sd of 1…5 is 1.5811, over the root of 5.
    const found = meanOf([1, 2, 3, 4, 5])!;
    expect(found.mean).toBe(3);
    expect(found.half80).toBeCloseTo((1.5332 * 1.5811) / Math.sqrt(5), 3);
    expect(meanOf([4])).toEqual({ mean: 4, half80: null, count: 1 });
    expect(meanOf([])).toBeNull();
  });

  it('give the middle value, and halves that hold everything in order', () => {
    expect(medianOf([5, 1, 4])).toBe(4);
    expect(medianOf([5, 1, 4, 2])).toBe(3);
    expect(medianOf([])).toBeNull();
    fc.assert(
      fc.property(fc.array(fc.integer()), (series) => {
        const [older, newer] = halves(series);
        expect([...older, ...newer]).toEqual(series);
        expect(newer.length - older.length).toBe(series.length % 2);
      }),
    );
  });
});
