import fc from 'fast-check';
import { apart, pooled } from './batchDifferences';

describe('batches side by side', () => {
  it('pool by how sure each is', () => {
    expect(pooled([])).toBeNull();
    expect(
      pooled([
        { mean: 3, sd: 0.1 },
        { mean: 4, sd: 0.1 },
      ]),
    ).toEqual({
      mean: 3.5,
      sd: expect.closeTo(0.0707, 4) as number,
    });
    expect(
      pooled([
        { mean: 3, sd: 0.1 },
        { mean: 4, sd: 10 },
      ])!.mean,
    ).toBeCloseTo(3, 3);
  });

  it('differ only by more than they scatter, and never alone', () => {
    const at = (mean: number, sd = 0.05) => ({ mean, sd });
    expect(apart([at(3.3), null])).toEqual([false, false]);
    expect(apart([at(3.3), at(3.32), at(3.31)])).toEqual([false, false, false]);
    expect(apart([at(3.3), at(3.31), at(3.6)])[2]).toBe(true);
  });

  it('keep their verdicts whatever is added to all of them', () => {
    const one = fc.record({
      mean: fc.double({ min: -2, max: 2, noNaN: true }),
      sd: fc.double({ min: 0.02, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 6 }), (list) => {
        const moved = list.map(({ mean, sd }) => ({ mean: mean + 7, sd }));
        expect(apart(moved)).toEqual(apart(list));
      }),
    );
  });
});
