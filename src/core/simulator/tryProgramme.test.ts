import { STYLE_STEPS } from '../programme/styles';
import { tryProgramme } from './tryProgramme';

const WITH = {
  coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
  basket: { diameterMm: 58, ratedG: 18 },
} as const;

const tried = (programme: (typeof STYLE_STEPS)['classic'], centreS: number, yieldG = 36) =>
  tryProgramme({ ...WITH, recipe: { doseG: 18, yieldG, temperatureC: 93, programme, centreS } });

describe('trying a programme in the simulator', () => {
  it('finds the grind that takes the middle of the window', () => {
    const { result, offBy, grindUm } = tried(STYLE_STEPS.classic, 28);
    expect(Math.abs(result.timeS - 28)).toBeLessThan(0.5);
    expect(Math.abs(offBy)).toBeLessThan(0.02);
    expect(Math.abs(grindUm - 400)).toBeLessThan(20);
  });

  it('says how far off it stays where no grind gets there', () => {
    const slow = [{ drive: 'flow', level: 0.5, seconds: 30, ramp: false }] as const;
    expect(tried(slow, 28).offBy).toBeGreaterThan(0.5);
  });

  it('keeps to the limits of the steps', () => {
    const { result } = tried(STYLE_STEPS.soakFirst, 60, 54);
    const during = (fromS: number, toS: number) =>
      result.trace.filter(({ timeS }) => timeS >= fromS && timeS < toS);
    expect(Math.max(...during(0, 4).map(({ pressureBar }) => pressureBar))).toBeLessThan(3.6);
    expect(Math.max(...during(6, 33).map(({ flowMlS }) => flowMlS))).toBeLessThan(0.01);
    expect(Math.max(...result.trace.map(({ pressureBar }) => pressureBar))).toBeLessThan(9.6);
  });

  it('tells how far it is, never backwards', () => {
    const fractions: number[] = [];
    const recipe = { doseG: 18, yieldG: 36, temperatureC: 93, centreS: 40 };
    tryProgramme({ ...WITH, recipe: { ...recipe, programme: STYLE_STEPS.declining } }, (fraction) =>
      fractions.push(fraction),
    );
    expect(fractions.length).toBeGreaterThan(1);
    expect(fractions).toEqual([...fractions].sort((a, b) => a - b));
    expect(fractions.at(-1)).toBeLessThanOrEqual(1);
  });
});
