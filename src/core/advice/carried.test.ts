import { targetSchema } from '../schema/target';
import type { Shot } from '../schema/shot';
import { nextMove } from './next';
import { isOnTargetStatus, type CarryExpectation, type NextInput } from './types';
import { headOf } from '@/words/adviceWords';

const LIKED = { sharpness: 2, acidity: 6, sweetness: 6, bitterness: 2, dryness: 1, liking: 8 };

const CARRY: CarryExpectation = { dial: 12, restDays: 12, mean: Math.log(28), sd: 0.056 };
const shot = (timeS: number, also: Partial<Shot> = {}): Shot => ({
  dial: 12,
  doseG: 18,
  yieldG: 36,
  timeS,
  clock: 'pump',
  purged: true,
  restDays: 12,
  seen: [],
  ...also,
});
const ask = (shots: readonly Shot[], also: Partial<NextInput> = {}) =>
  nextMove({
    target: targetSchema.parse({
      doseG: 18,
      yieldG: 36,
      timeS: [26, 30],
      clock: 'pump',
      startDial: 12,
    }),
    grinder: {
      stepSize: 1,
      finerIs: 'lower',
      umPerStep: 10,
      min: 0,
      max: 40,
      retentionG: 1,
    },
    basket: { ratedG: 18 },
    shots,
    carry: CARRY,
    ...also,
  });

describe('a new batch on its last recipe', () => {
  it('begins where the expectation puts it', () => {
    const { status, setting, reasons, expect: expected } = ask([]);
    expect(status).toBe('repeat');
    expect(setting.dial).toBe(12);
    expect(reasons.map(({ code }) => code)).toEqual(['newBatch']);
    expect(expected.timeS).toBeCloseTo(28, 0);
    const older = ask([], { carry: { ...CARRY, mean: Math.log(25.2) } });
    expect(older.setting.dial).toBe(10);
    expect(older.move).toMatchObject({ from: 12, to: 10 });
  });

  it('carries over after one shot near the middle, and is confirmed by a liked cup', () => {
    const one = ask([shot(28.2)]);
    expect(one.status).toBe('onTarget');
    expect(isOnTargetStatus(one.status)).toBe(true);
    expect(headOf(one)).toBe('The recipe carries over');
    expect(one.proof!.inWindow).toBeGreaterThan(0.85);
    expect(one.proof!.meanS).toBeGreaterThan(27.5);
    expect(one.proof!.meanS).toBeLessThan(28.6);
    expect(ask([shot(28.2, { taste: LIKED })]).status).toBe('approved');
    expect(ask([shot(28.2, { taste: { ...LIKED, liking: 3 } })]).status).not.toBe('approved');
  });

  it('asks for one more where the window is too narrow to be sure, and moves for a clear gain', () => {
    const target = targetSchema.parse({
      doseG: 18,
      yieldG: 36,
      timeS: [27, 29],
      clock: 'pump',
      startDial: 12,
    });
    const { status, setting, reasons } = ask([shot(30.6)], { target });
    expect(isOnTargetStatus(status)).toBe(false);
    expect(reasons.at(-1)!.code).toBe('oneMore');
    expect(setting.dial).toBe(13);
    expect(ask([shot(28.4)], { target }).setting.dial).toBe(12);
  });

  it('carries over at a dial nobody pulled, where the shots are that sure', () => {
    const far = [shot(33), shot(32.6)];
    const { status, move, proof } = ask(far, { carry: { ...CARRY, sd: 0.12 } });
    expect(status).toBe('onTarget');
    expect(move).toMatchObject({ variable: 'dial', to: 15 });
    expect(proof!.meanS).toBeLessThan(31);
  });

  it('is dialled in anew where two shots lie far from what was expected', () => {
    const { status, reasons } = ask([shot(36.5), shot(37)]);
    expect(reasons[0]!.code).toBe('dialInAnew');
    expect(status).toBe('grind');
  });

  it('names a prep fault and a wrong dose before it judges', () => {
    expect(ask([shot(28, { seen: ['spurt'] })]).status).toBe('prep');
    expect(ask([shot(28, { doseG: 19 })]).status).toBe('measure');
  });

  it('leaves a choke to the large move', () => {
    expect(ask([shot(30, { yieldG: 8 })]).reasons[0]!.code).toBe('choked');
  });

  it('counts from the first drip where the house does', () => {
    const target = targetSchema.parse({
      doseG: 18,
      yieldG: 36,
      timeS: [19, 23],
      clock: 'firstDrip',
      startDial: 12,
    });
    const { status, proof } = ask([shot(21, { clock: 'firstDrip' })], { target });
    expect(status).toBe('onTarget');
    expect(proof!.meanS).toBeCloseTo(21, 0);
  });

  it('takes the plan of a dial-in after eight shots', () => {
    const { reasons } = ask(Array.from({ length: 9 }, (_, i) => shot(i % 2 ? 25 : 31)));
    expect(reasons.map(({ code }) => code)).not.toContain('oneMore');
  });
});
