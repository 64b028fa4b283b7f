import { DRILL_ANSWERS, makeDrill } from './drill';

const DRILLS = Array.from({ length: 18 }, (_, i) => makeDrill({ seed: i + 1 }));

describe('the staged-cups drill', () => {
  it('hands over three cups of one shot, whose first is the sharpest and last the thinnest', () => {
    for (const { cups } of DRILLS) {
      const [first, second, last] = [...cups].sort((a, b) => a.came - b.came);
      expect(first!.taste.sharpness).toBeGreaterThan(second!.taste.sharpness);
      expect(last!.taste.body).toBeLessThan(second!.taste.body);
      expect(last!.taste.dryness).toBeGreaterThan(second!.taste.dryness);
      expect(new Set(cups.map(({ code }) => code)).size).toBe(3);
    }
  });

  it('asks for each of its answers now and then, and mixes the cups', () => {
    expect(new Set(DRILLS.map(({ answer }) => answer))).toEqual(new Set(DRILL_ANSWERS));
    const orders = new Set(DRILLS.map(({ cups }) => cups.map(({ came }) => came).join('')));
    expect(orders.size).toBeGreaterThanOrEqual(4);
  });

  it('is the same round for the same seed', () => {
    expect(makeDrill({ seed: 7 })).toEqual(DRILLS[6]);
  });

  it('changes cups sooner for dark and later for light', () => {
    const every = new Map(DRILLS.map(({ roastLevel, cupEveryS }) => [roastLevel, cupEveryS]));
    expect(every.get(1)).toBeLessThan(every.get(0)!);
    expect(every.get(0)).toBeLessThan(every.get(-1)!);
  });
});
