/**
 * The advice followed to the letter on grinders with a known truth, from a start 25 % off: does it
 * arrive, how soon, and does it ever leave the bench? Seeded; the truth is the model's own form, so
 * this checks the loop, not the physics.
 */
import { nextMove } from '@/core/advice/next';
import { isOnTargetStatus } from '@/core/advice/types';
import type { Grinder } from '@/core/schema/setup';
import type { Shot } from '@/core/schema/shot';
import { shot, target } from '../support/coffee';

/** A small seeded generator (mulberry32, published) and normal draws from it (Box-Muller). */
function randomOf(seed: number) {
  let state = seed;
  const uniform = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}

interface Truth {
  readonly lnPerStep: number;
  readonly startError: number;
  readonly noiseSd: number;
  readonly badPrep: number;
}

const MOST_SHOTS = 25;
const START = 20;

/** Shots until confirmed, or null when 25 were not enough. */
function dialIn(seed: number, grinder: Grinder, truth: Truth): Shot[] | null {
  const random = randomOf(seed);
  const finer = grinder.finerIs === 'lower' ? -1 : 1;
  const shots: Shot[] = [];
  let dial = START;
  let doseG = 18;
  while (shots.length < MOST_SHOTS) {
    const steps = ((dial - START) * finer) / grinder.stepSize;
    const bad = random.uniform() < truth.badPrep ? 0.75 : 1;
    const lnTime =
      Math.log(28) +
      truth.startError +
      truth.lnPerStep * steps +
      Math.log(doseG / 18) +
      truth.noiseSd * random.normal();
    shots.push(
      shot({
        dial,
        doseG,
        ...(doseG === 18 ? {} : { aimDoseG: doseG }),
        timeS: Math.min(180, Math.exp(lnTime) * bad),
        purged: true,
      }),
    );
    const { status, move } = nextMove({
      target: target({ startDial: START }),
      grinder,
      basket: { ratedG: 18 },
      doseSchool: 'trim',
      shots,
    });
    if (isOnTargetStatus(status)) return shots;
    if (move?.variable === 'dial') {
      dial = move.to;
      doseG = move.doseTrim?.to ?? doseG;
    } else if (move?.variable === 'doseG') doseG = move.to;
  }
  return null;
}

const grinderWith = (changes: Partial<Grinder> = {}): Grinder => ({
  stepSize: 1,
  finerIs: 'lower',
  min: 0,
  max: 40,
  retentionG: 1,
  ...changes,
});

function run(grinder: Grinder, truth: Partial<Truth>, houses = 60) {
  const lengths = Array.from({ length: houses }, (_, seed) => {
    const random = randomOf(1000 + seed);
    const startError = 0.25 * random.normal();
    const full = { lnPerStep: 0.1, startError, noiseSd: 0.045, badPrep: 0, ...truth };
    return dialIn(seed, grinder, full)?.length ?? Infinity;
  }).sort((a, b) => a - b);
  return {
    median: lengths[Math.floor(houses / 2)]!,
    unresolved: lengths.filter((length) => length === Infinity).length / houses,
  };
}

describe('following the advice', () => {
  it('confirms without noise in at most five shots, whichever way is finer', () => {
    for (const finerIs of ['lower', 'higher'] as const)
      for (const startError of [-0.5, -0.25, 0, 0.25, 0.5]) {
        const truth = { lnPerStep: 0.1, startError, noiseSd: 0, badPrep: 0 };
        const shots = dialIn(1, grinderWith({ finerIs }), truth);
        expect(shots?.length ?? Infinity).toBeLessThanOrEqual(5);
      }
  });

  it('learns a grinder twice as quick and one half as quick as it expects', () => {
    for (const lnPerStep of [0.05, 0.2]) {
      const truth = { lnPerStep, startError: -0.3, noiseSd: 0, badPrep: 0 };
      expect(dialIn(2, grinderWith(), truth)?.length ?? Infinity).toBeLessThanOrEqual(6);
    }
  });

  it('needs about half a dozen shots at the median with a real bench’s noise', () => {
    const { median, unresolved } = run(grinderWith(), {});
    expect(median).toBeLessThanOrEqual(6);
    expect(unresolved).toBeLessThanOrEqual(0.05);
  });

  it('gets past one bad preparation in twenty-five', () => {
    const { median, unresolved } = run(grinderWith(), { badPrep: 0.04 });
    expect(median).toBeLessThanOrEqual(6);
    expect(unresolved).toBeLessThanOrEqual(0.05);
  });

  it('works steps far wider than the window, by trimming the dose', () => {
    const { unresolved } = run(grinderWith({ umPerStep: 37 }), { lnPerStep: 0.2 });
    expect(unresolved).toBeLessThanOrEqual(0.1);
  });

  it('works a stepless dial in tenths', () => {
    const fine = grinderWith({ stepSize: 0.1, umPerStep: 2 });
    const { median } = run(fine, { lnPerStep: 0.011 });
    expect(median).toBeLessThanOrEqual(6);
  });
});
