import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import { roastLevelFromColour } from '../coffee/roast';
import { easeOf } from './ease';

const known = {
  roastLevel: 0,
  process: 'washed',
  varietyClass: 'ordinary',
  densityGPerL: 700,
} as const;

describe('ease', () => {
  it('is 0 for a medium washed ordinary coffee, give or take its density', () => {
    const { ease, interval80, missing } = easeOf(known);
    expect(ease).toBe(0);
    expect(interval80[1]).toBeCloseTo(1.2816 * 0.2, 3);
    expect(missing).toHaveLength(0);
  });

  it('adds the contributions and their doubts in squares', () => {
    const { ease, interval80 } = easeOf({
      roastLevel: -1,
      process: 'natural',
      varietyClass: 'landrace',
      densityGPerL: 730,
    });
    expect(ease).toBeCloseTo(-1 + 0.5 - 0.5 - 0.2, 12);
    const sd = Math.hypot(0.15, 0.25, 0.5, 0.2);
    expect(interval80[1] - ease).toBeCloseTo(1.28155 * sd, 4);
  });

  it('uses altitude only where density is not measured', () => {
    const measured = easeOf({ ...known, altitudeM: 2200 });
    expect(measured.contributions.map(({ factor }) => factor)).not.toContain('altitude');
    const { densityGPerL: _, ...unmeasured } = known;
    expect(easeOf({ ...unmeasured, altitudeM: 2200 }).ease).toBeCloseTo(-0.2, 12);
  });

  it('ranks missing facts by what they would narrow', () => {
    const { missing } = easeOf({});
    expect(missing.map((fact) => fact.factor)).toEqual([
      'roast',
      'process',
      'variety',
      'structure',
    ]);
    expect(missing[0]!.narrowsBy).toBeGreaterThan(missing[3]!.narrowsBy);
  });

  it('weights a blend by share, and equal parts make the same as one', () => {
    const part = { process: 'natural', varietyClass: 'robusta', densityGPerL: 690 } as const;
    const whole = easeOf({ roastLevel: 1, ...part });
    const halves = easeOf({
      roastLevel: 1,
      components: [
        { ...part, sharePct: 50 },
        { ...part, sharePct: 50 },
      ],
    });
    expect(halves.ease).toBeCloseTo(whole.ease, 12);
  });

  it('never narrows when a fact is taken away', () => {
    const keys = ['roastLevel', 'process', 'varietyClass', 'densityGPerL'] as const;
    fc.assert(
      fc.property(fc.subarray([...keys]), (removed) => {
        const left = Object.fromEntries(
          Object.entries({ ...known }).filter(([key]) => !removed.includes(key as never)),
        );
        const width = ({ interval80: [low, high] }: ReturnType<typeof easeOf>) => high - low;
        expect(width(easeOf(left))).toBeGreaterThanOrEqual(width(easeOf(known)) - 1e-12);
      }),
    );
  });
});

describe('roast level from colour', () => {
  const map = [
    { colour: 60, roastLevel: 1 },
    { colour: 80, roastLevel: 0 },
    { colour: 100, roastLevel: -1 },
  ];

  it('is linear between named levels and flat beyond', () => {
    expect(roastLevelFromColour(70, map)).toBeCloseTo(0.5, 12);
    expect(roastLevelFromColour(95, map)).toBeCloseTo(-0.75, 12);
    expect(roastLevelFromColour(20, map)).toBe(1);
    expect(roastLevelFromColour(150, map)).toBe(-1);
  });

  it('overrules the word', () => {
    expect(easeOf({ ...known, roastLevel: 1, colourGround: 80, colourMap: map }).ease).toBe(0);
  });

  it('refuses a map of one level', () => {
    expect(faultOf(() => roastLevelFromColour(70, map.slice(1, 2))).message).toMatch(/two levels/);
  });
});
