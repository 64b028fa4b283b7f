/**
 * A round of practice: a hidden simulated coffee, dialled in within a budget of grams. A round is its
 * level, its seed and the moves so far; everything else follows from them, so nothing of it is stored.
 */
import { nextMove } from '../advice/next';
import { isOnTargetStatus, type Advice } from '../advice/types';
import type { Progress } from '../progress';
import { STYLE_STEPS } from '../programme/styles';
import type { Shot } from '../schema/shot';
import type { Target } from '../schema/target';
import { drawStation, type DrawnStation } from '../simulator/drawStation';
import { pullAt } from '../simulator/station';
import { dayOf, likedTaste, SCENARIOS } from './scenarios';
import { LEVEL_FACTS, type LevelFacts, type PracticeLevel } from './levels';

export interface PracticeMove {
  readonly dial: number;
  readonly doseG: number;
  readonly purgeG: number;
}

export interface PracticeRound {
  readonly level: PracticeLevel;
  readonly seed: number;
  readonly moves: readonly PracticeMove[];
}

export interface PracticeState {
  readonly target: Target;
  readonly startDial: number;
  readonly shots: readonly Shot[];
  readonly advice: Advice;
  readonly spentG: number;
  readonly leftG: number;
  readonly outcome: 'open' | 'onTarget' | 'spent';
}

/** What is shown when a round is over. */
export interface PracticeTruth {
  /** The dial, between settings too, whose mean shot takes the middle of the window. */
  readonly idealDial: number;
  /** % of time that a step really changes. */
  readonly stepPct: number;
  /** The same round as the advice would have played it from the same first shot. */
  readonly advised: PracticeState;
}

const START_DIAL = 20;
const BASKET = { diameterMm: 58, ratedG: 18 };
/** A shot is cut off here, s. */
const MOST_S = 60;
const MOST_SHOTS = 25;
/** The coarsest time step that gives the same shot: every state plays its round from the beginning. */
const COARSE_STEP_S = 0.1;

/** Where a round stands after its moves. */
export function playPractice({ level, seed, moves }: PracticeRound): PracticeState {
  return stateAfter(LEVEL_FACTS[level], benchOf(level, seed), seed, moves);
}

/** The truth of a round, and what the advice would have made of it. */
export function practiceTruth(
  { level, seed, moves }: PracticeRound,
  onProgress?: Progress,
): PracticeTruth {
  const facts = LEVEL_FACTS[level];
  const bench = benchOf(level, seed);
  const played = moves.slice(0, 1);
  let advised = stateAfter(facts, bench, seed, played);
  while (advised.outcome === 'open' && advised.shots.length < MOST_SHOTS) {
    onProgress?.(Math.max(advised.shots.length / MOST_SHOTS, advised.spentG / facts.budgetG));
    played.push(advisedMove(advised));
    advised = stateAfter(facts, bench, seed, played);
  }
  return {
    idealDial: bench.idealDial,
    stepPct: 100 * (Math.exp(facts.lnPerStep) - 1),
    advised,
  };
}

/** The move the advice of a state asks for. */
export function advisedMove({ advice: { setting, purgeG } }: PracticeState): PracticeMove {
  return { ...setting, purgeG };
}

/** A round asks for its bench after every move; the newest few are drawn once. */
const drawn = new Map<string, DrawnStation>();
const MOST_DRAWN = 8;

function benchOf(level: PracticeLevel, seed: number): DrawnStation {
  const key = `${level} ${seed}`;
  const bench = drawn.get(key) ?? drawBench(level, seed);
  drawn.delete(key);
  drawn.set(key, bench);
  if (drawn.size > MOST_DRAWN) drawn.delete(drawn.keys().next().value!);
  return bench;
}

function drawBench(level: PracticeLevel, seed: number): DrawnStation {
  const { coffee, grinder, recipe, startSd, lnPerStep, scenario } = LEVEL_FACTS[level];
  const [low, high] = recipe.timeS;
  return drawStation({
    coffee,
    basket: BASKET,
    grinder,
    recipe: { ...recipe, programme: STYLE_STEPS.classic, centreS: (low + high) / 2 },
    startDial: START_DIAL,
    startSd,
    startErrorLn: scenario?.startErrorLn,
    seed,
    lnPerStep,
  });
}

function stateAfter(
  facts: LevelFacts,
  bench: DrawnStation,
  seed: number,
  moves: readonly PracticeMove[],
): PracticeState {
  const { coffee, grinder, recipe, budgetG, scenario = {} } = facts;
  const target: Target = {
    ...recipe,
    timeS: [...recipe.timeS],
    clock: 'pump',
    doseToleranceG: 0.2,
    yieldToleranceG: 1,
    startDial: START_DIAL,
    tasteFirst: scenario.likedAtS !== undefined,
    roastLevel: coffee.roastLevel,
  };
  const { shots, spentG } = pulledOn(bench, facts, seed, moves);
  const isTrimmed = scenario === SCENARIOS.jump;
  const advice = nextMove({
    target,
    grinder,
    basket: BASKET,
    shots,
    ...(isTrimmed && { doseSchool: 'trim' as const }),
  });
  const leftG = budgetG - spentG;
  // Where the cup decides, a window that follows it is the end.
  const isOnTarget = isOnTargetStatus(advice.status) || advice.window !== null;
  return {
    target,
    startDial: START_DIAL,
    shots,
    advice,
    spentG,
    leftG,
    outcome: isOnTarget ? 'onTarget' : leftG < recipe.doseG ? 'spent' : 'open',
  };
}

interface Pulled {
  readonly shot: Shot;
  readonly chamberDial: number;
}

/** What moves gave on a bench, by the moves up to each: a round is played from its beginning every time. */
const pulledBefore = new WeakMap<DrawnStation, Map<string, Pulled>>();

function pulledOn(
  bench: DrawnStation,
  facts: LevelFacts,
  seed: number,
  moves: readonly PracticeMove[],
): { readonly shots: readonly Shot[]; readonly spentG: number } {
  const before = pulledBefore.get(bench) ?? new Map<string, Pulled>();
  pulledBefore.set(bench, before);
  const shots: Shot[] = [];
  let [chamberDial, spentG, key]: [number | null, number, string] = [null, 0, ''];
  for (const [i, move] of moves.entries()) {
    key += `${move.dial} ${move.doseG} ${move.purgeG};`;
    const pulled: Pulled = before.get(key) ?? pullOne(bench, facts, { move, i, seed, chamberDial });
    before.set(key, pulled);
    ({ chamberDial } = pulled);
    shots.push(pulled.shot);
    spentG += move.doseG + move.purgeG;
  }
  return { shots, spentG };
}

const tenth = (value: number) => Math.round(10 * value) / 10;

function pullOne(
  { station }: DrawnStation,
  { coffee, recipe, scenario = {} }: LevelFacts,
  asked: {
    readonly move: PracticeMove;
    readonly i: number;
    readonly seed: number;
    readonly chamberDial: number | null;
  },
): Pulled {
  const { move, i, seed } = asked;
  const day = dayOf(scenario, i);
  const restDays = coffee.restDays + day.daysLater;
  const { result, chamberDial } = pullAt(
    { ...station, coffee: { ...station.coffee, restDays } },
    asked.chamberDial,
    {
      ...move,
      yieldG: recipe.yieldG,
      temperatureC: recipe.temperatureC,
      programme: STYLE_STEPS.classic,
      mostS: MOST_S,
      isColdMetal: day.isColdMetal,
      beanC: day.beanC,
    },
    // The same shot number scatters alike, whoever plays.
    seed * 1000 + i,
    COARSE_STEP_S,
  );
  const shot: Shot = {
    dial: move.dial,
    doseG: move.doseG,
    ...(move.doseG !== recipe.doseG && { aimDoseG: move.doseG }),
    yieldG: tenth(result.yieldG),
    timeS: tenth(result.timeS),
    ...(result.firstDripS !== null && { firstDripS: tenth(result.firstDripS) }),
    clock: 'pump',
    purged: move.purgeG > 0,
    purgeG: move.purgeG,
    restDays,
    isFirst: day.isFirst,
    seen: [...(result.yieldG < 2 ? (['choke'] as const) : []), ...day.seen],
    ...(scenario.likedAtS !== undefined && {
      taste: likedTaste(result.timeS, scenario.likedAtS),
    }),
  };
  return { shot, chamberDial };
}
