import { pastDialIn } from '../advice/pastDialIn';
import { chanceFrom } from '../random';
import type { Shot } from '../schema/shot';
import { targetSchema } from '../schema/target';
import { slopePrior } from '../grinder/dial';
import { learnGrinder, type PastDialIn } from './memory';
import { chamberAfter, effectiveDial } from '../grinder/retention';
import { HINT_FROM_DIAL_INS, retentionHint } from './retentionHint';

const GRINDER = { stepSize: 1, finerIs: 'lower', min: -40, max: 40 } as const;
const TRUE_G = 4;
const PLAIN = { light: 0, dark: 0, intensity: 0 };

/** Dial-ins of three unpurged moves each on a grinder that keeps four grams, pulled by a steady and an unsteady hand. */
function shotsOf(seed: number, noiseOf: (i: number) => number): Shot[] {
  const chance = chanceFrom(seed);
  const level = Math.log(28) + 0.1 * chance.normal();
  let chamber: number | null = null;
  return [-2, 1, 3, 0, 0].map((dial, i) => {
    const passage = { retentionG: TRUE_G, doseG: 18, purgeG: 0 };
    const stood: number = chamber ?? dial;
    const ground = effectiveDial(dial, stood, passage);
    chamber = chamberAfter(dial, stood, passage);
    const timeS = Math.exp(level - 0.1 * ground + noiseOf(i) * chance.normal());
    return {
      ...{ dial, doseG: 18, yieldG: 36, timeS, clock: 'pump', purged: false, seen: [] },
      pulledBy: i % 2 === 0 ? 'Ines' : 'Tobin',
    } as Shot;
  });
}

const target = targetSchema.parse({
  doseG: 18,
  yieldG: 36,
  timeS: [26, 30],
  clock: 'pump',
  startDial: 0,
});

function pastOf(count: number, retentionG: number, noiseOf = () => 0.03): PastDialIn[] {
  return Array.from({ length: count }, (_, seed) =>
    pastDialIn(
      {
        target,
        grinder: { ...GRINDER, retentionG },
        basket: { ratedG: 18 },
        shots: shotsOf(seed, noiseOf),
      },
      PLAIN,
      0,
    ),
  );
}

const slope = slopePrior({ ...GRINDER, retentionG: TRUE_G });
const hintFor = (toldG: number, count = HINT_FROM_DIAL_INS) =>
  retentionHint((retentionG) => pastOf(count, retentionG), slope, toldG);

describe('what a grinder keeps, by its past dial-ins', () => {
  it('is named where the profile is far off, either way', () => {
    expect(hintFor(2)!.retentionG).toBe(4);
    expect(hintFor(8)!.retentionG).toBe(4);
    expect(hintFor(2)!.lnGain).toBeGreaterThan(2);
  });

  it('is not named where the profile is right, nor from few dial-ins', () => {
    expect(hintFor(TRUE_G)).toBeNull();
    expect(hintFor(2, HINT_FROM_DIAL_INS - 1)).toBeNull();
  });
});

describe('how each person’s shots scatter', () => {
  // Tobin pulls every other shot, and his scatter three times as much.
  const noiseOf = (i: number) => (i % 2 === 0 ? 0.02 : 0.06);
  const learn = (count: number) => {
    const past = pastOf(count, TRUE_G, noiseOf as () => number);
    return learnGrinder(past, slope, 0);
  };

  it('is learnt for each, and drawn to the grinder’s while there are few shots', () => {
    const { people, noiseSd } = learn(60);
    expect(people!.Tobin!.sd).toBeGreaterThan(1.4 * people!.Ines!.sd);
    expect(people!.Ines!.sd).toBeLessThan(noiseSd);
    expect(people!.Ines!.shots).toBeGreaterThan(150);
    const few = learn(2);
    expect(Math.abs(Math.log(few.people!.Ines!.sd / few.noiseSd))).toBeLessThan(0.15);
  });
});
