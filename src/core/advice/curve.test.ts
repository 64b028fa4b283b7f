import { say } from '@/words/say';
import type { Shot } from '../schema/shot';
import { targetSchema } from '../schema/target';
import { grinderCurve } from './curve';
import { nextMove } from './next';

const grinder = { stepSize: 1, finerIs: 'lower', min: 0, max: 40, retentionG: 3 } as const;
const target = targetSchema.parse({ doseG: 18, yieldG: 36, timeS: [26, 30], clock: 'pump' });

function shot(dial: number, timeS: number, changes: Partial<Shot> = {}): Shot {
  return { dial, doseG: 18, yieldG: 36, timeS, clock: 'pump', purged: true, seen: [], ...changes };
}

const curveOf = (...shots: Shot[]) =>
  grinderCurve({ target, grinder, basket: { ratedG: 18 }, shots });

describe('the grinder’s curve', () => {
  it('falls towards coarser and narrows with shots', () => {
    const few = curveOf(shot(12, 22));
    const many = curveOf(shot(12, 22), shot(10, 27), shot(9, 29.5), shot(10, 26.6));
    const times = many.map(({ timeS }) => timeS);
    expect(times).toEqual([...times].sort((a, b) => b - a));
    const widthAt = (curve: typeof few, dial: number) => {
      const { interval80 } = curve.find((point) => point.dial === dial)!;
      return interval80[1] - interval80[0];
    };
    expect(widthAt(many, 10)).toBeLessThan(widthAt(few, 10));
  });

  it('stays on the dial, has the settings of the grinder, and is not too long to draw', () => {
    const curve = curveOf(shot(1, 28), shot(39, 12));
    expect(curve[0]!.dial).toBe(0);
    expect(curve.at(-1)!.dial).toBeLessThanOrEqual(40);
    expect(curve.length).toBeLessThanOrEqual(41);
    expect(curve.every(({ dial }) => Number.isInteger(dial))).toBe(true);
  });

  it('counts on the clock of the target', () => {
    const onDrip = { ...target, clock: 'firstDrip' as const, timeS: [20, 24] as [number, number] };
    const shots = [shot(12, 22, { firstDripS: 6 })];
    const curve = grinderCurve({ target: onDrip, grinder, basket: { ratedG: 18 }, shots });
    const pump = curveOf(...shots);
    expect(curve.find(({ dial }) => dial === 12)!.timeS).toBeLessThan(
      pump.find(({ dial }) => dial === 12)!.timeS,
    );
  });
});

describe('beans in another state', () => {
  const ask = (...shots: Shot[]) => nextMove({ target, grinder, basket: { ratedG: 18 }, shots });

  it('are no evidence, and the shot is asked for again', () => {
    const advice = ask(shot(12, 28), shot(12, 27), shot(12, 28.3, { beans: 'frozen' }));
    expect(advice.marks.map(({ otherBeans }) => otherBeans)).toEqual([false, false, true]);
    expect(advice.marks[2]).toMatchObject({ valid: false, landed: false, weight: null });
    expect(advice).toMatchObject({ status: 'prep', move: null });
    expect(say(advice.reasons[0]!.message)).toMatch(/from the freezer.*at room temperature/);
  });

  it('become the rule once most shots are of them', () => {
    const frozen = { beans: 'frozen' } as const;
    const advice = ask(shot(12, 28), shot(12, 28, frozen), shot(12, 28.4, frozen));
    expect(advice.marks.map(({ otherBeans }) => otherBeans)).toEqual([true, false, false]);
    expect(advice.status).toBe('onTarget');
  });
});

describe('never the wrong way', () => {
  it('asks for no faster shot after one that was too fast, whatever the shots before say', () => {
    const shots = [shot(10, 31), shot(11, 30.5), shot(12, 25.5)];
    const { move, expect: expected } = nextMove({ target, grinder, basket: { ratedG: 18 }, shots });
    const stay = grinderCurve({ target, grinder, basket: { ratedG: 18 }, shots });
    if (move?.variable === 'dial') expect(move.to).toBeLessThan(12);
    expect(expected.timeS).toBeGreaterThanOrEqual(
      stay.find(({ dial }) => dial === 12)!.timeS - 0.2,
    );
  });
});
