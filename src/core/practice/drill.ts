/**
 * The staged-cups drill: a hidden simulated shot, cut into three cups and handed over in a drawn order.
 * The player says in which order they came, and what the whole shot asks for. A round follows from its
 * seed alone; what is tasted is the simulator's taste, a house heuristic.
 */
import type { Message } from '../message';
import { STYLE_STEPS } from '../programme/styles';
import { chanceFrom } from '../random';
import { tasteOfCup, type CupTaste } from '../simulator/cupTaste';
import { sizeFor } from '../simulator/drawStation';
import { simulateShot } from '../simulator/simulate';
import type { CupPart, ShotResult, SimulatedCoffee, SimulatedShot } from '../simulator/types';
import { tasteDirection, type Verdict } from '../taste/direction';
import { cupEveryS } from '../taste/stagedCups';

export interface DrillRound {
  readonly seed: number;
}

export const DRILL_ANSWERS = ['more', 'leave', 'less', 'prep'] as const;
export type DrillAnswer = (typeof DRILL_ANSWERS)[number];

export interface DrillCup {
  /** What stands on the cup; says nothing of when it came. */
  readonly code: string;
  readonly taste: CupTaste;
  readonly yieldG: number;
  /** 0 first, 2 last. */
  readonly came: number;
}

export interface DrillShot {
  readonly yieldG: number;
  readonly timeS: number;
  readonly taste: CupTaste;
}

export interface Drill {
  readonly roastLevel: number;
  readonly doseG: number;
  readonly cupEveryS: number;
  /** Of the shot as it should be, in the order they are handed over. */
  readonly cups: readonly DrillCup[];
  /** The shot that was served. */
  readonly served: DrillShot;
  /** What the served shot asks for, and in which words. */
  readonly answer: DrillAnswer;
  readonly message: Message;
}

const CODES = ['K', 'M', 'R', 'T', 'V', 'X'] as const;
const BASKET = { diameterMm: 58, ratedG: 18 };
const DOSE_G = 18;
const SHOT_S = 28;
/** The coarsest time step that gives the same shot. */
const COARSE_STEP_S = 0.1;

/** What may be wrong with the served shot; all are equally likely. */
const TROUBLES: Record<DrillAnswer, Trouble> = {
  more: { ratio: 0.42, coarser: 1.15 },
  leave: { ratio: 1, coarser: 1 },
  less: { ratio: 1.8, coarser: 0.94 },
  prep: { ratio: 1, coarser: 1, prep: 0.2 },
};

interface Trouble {
  /** Of the suited ratio and grind. */
  readonly ratio: number;
  readonly coarser: number;
  readonly prep?: number;
}

/** The ratio that suits a roast: dark short, light long (trade practice). */
const suitedRatio = (roastLevel: number) => 2 - 0.4 * roastLevel;

/** In a drill only extraction or preparation is wrong: strength alone asks for no change. */
const ANSWERS: Record<Verdict, DrillAnswer> = {
  under: 'more',
  over: 'less',
  uneven: 'prep',
  right: 'leave',
  weak: 'leave',
  strong: 'leave',
  flat: 'leave',
  unclear: 'leave',
};

export function makeDrill({ seed }: DrillRound): Drill {
  const chance = chanceFrom(seed);
  const roastLevel = chance.oneOf([-1, 0, 1]);
  const coffee = { roastLevel, intensity: chance.oneOf([0, 0.5, 1]), restDays: 16 };
  const pull = pullerOf(coffee, seed);
  const yieldG = DOSE_G * suitedRatio(roastLevel);
  const everyS = cupEveryS(roastLevel);
  const dripS = pull({ yieldG }).firstDripS ?? everyS;
  const staged = pull({ yieldG, cutsS: [dripS + everyS, dripS + 2 * everyS] });
  const { ratio, ...trouble } = TROUBLES[chance.oneOf(DRILL_ANSWERS)];
  const served = pull({ yieldG: yieldG * ratio, ...trouble });
  const tasteIn = ({ channelled }: ShotResult, cup: CupPart) =>
    tasteOfCup({ cup, roastLevel, temperatureC: temperatureFor(roastLevel), channelled });
  const taste = tasteIn(served, served.stages[0]!);
  const { verdict, message } = tasteDirection(taste, roastLevel);
  const codes = chance.shuffled(CODES);
  const cups = staged.stages.map((cup, came) => ({
    code: codes[came]!,
    came,
    yieldG: cup.yieldG,
    taste: tasteIn(staged, cup),
  }));
  return {
    roastLevel,
    doseG: DOSE_G,
    cupEveryS: everyS,
    cups: chance.shuffled(cups),
    served: { yieldG: served.yieldG, timeS: served.timeS, taste },
    answer: ANSWERS[verdict],
    message,
  };
}

const temperatureFor = (roastLevel: number) => 93 - roastLevel;

type Asked = Pick<SimulatedShot, 'yieldG' | 'cutsS' | 'prep'> & { readonly coarser?: number };

/** Pulls shots of one coffee at the grind that suits it. */
function pullerOf(coffee: SimulatedCoffee, seed: number): (asked: Asked) => ShotResult {
  const shot = {
    doseG: DOSE_G,
    temperatureC: temperatureFor(coffee.roastLevel),
    programme: STYLE_STEPS.classic,
  };
  const suited = { ...shot, yieldG: DOSE_G * suitedRatio(coffee.roastLevel) };
  const grindUm = sizeFor(
    SHOT_S,
    (um) =>
      simulateShot({
        coffee,
        basket: BASKET,
        shot: { ...suited, grindUm: um },
        seed: null,
        stepS: COARSE_STEP_S,
      }).timeS,
  );
  return ({ coarser = 1, ...asked }) =>
    simulateShot({
      coffee,
      basket: BASKET,
      shot: { ...shot, ...asked, grindUm: grindUm * coarser },
      seed,
      stepS: COARSE_STEP_S,
    });
}
