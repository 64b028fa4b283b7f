/**
 * A round of practice: a hidden simulated coffee, dialled in within a budget of grams. A round is its
 * level, its seed and the moves so far; everything else follows from them, so nothing of it is stored.
 */
import { nextMove } from '../advice/next';
import { isProvenStatus, type Advice } from '../advice/types';
import type { Progress } from '../progress';
import { STYLE_STEPS } from '../programme/styles';
import type { Shot } from '../schema/shot';
import type { Target } from '../schema/target';
import { drawStation, type DrawnStation } from '../shot/drawStation';
import { pullAt } from '../shot/station';
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
  readonly outcome: 'open' | 'confirmed' | 'spent';
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

function benchOf(level: PracticeLevel, seed: number): DrawnStation {
  const { coffee, grinder, recipe, startSd, lnPerStep } = LEVEL_FACTS[level];
  const [low, high] = recipe.timeS;
  return drawStation({
    coffee,
    basket: BASKET,
    grinder,
    recipe: { ...recipe, programme: STYLE_STEPS.classic, centreS: (low + high) / 2 },
    startDial: START_DIAL,
    startSd,
    seed,
    lnPerStep,
  });
}

function stateAfter(
  { coffee, grinder, recipe, budgetG }: LevelFacts,
  { station }: DrawnStation,
  seed: number,
  moves: readonly PracticeMove[],
): PracticeState {
  const target: Target = {
    ...recipe,
    timeS: [...recipe.timeS],
    clock: 'pump',
    doseToleranceG: 0.2,
    yieldToleranceG: 1,
    startDial: START_DIAL,
    tasteFirst: false,
    roastLevel: coffee.roastLevel,
  };
  const shots: Shot[] = [];
  let chamberDial: number | null = null;
  let spentG = 0;
  moves.forEach((move, i) => {
    const { result, chamberDial: after } = pullAt(
      station,
      chamberDial,
      {
        ...move,
        yieldG: recipe.yieldG,
        temperatureC: recipe.temperatureC,
        programme: STYLE_STEPS.classic,
        mostS: MOST_S,
      },
      // The same shot number scatters alike, whoever plays.
      seed * 1000 + i,
      COARSE_STEP_S,
    );
    chamberDial = after;
    spentG += move.doseG + move.purgeG;
    const tenth = (value: number) => Math.round(10 * value) / 10;
    shots.push({
      dial: move.dial,
      doseG: move.doseG,
      ...(move.doseG !== recipe.doseG && { aimDoseG: move.doseG }),
      yieldG: tenth(result.yieldG),
      timeS: tenth(result.timeS),
      ...(result.firstDripS !== null && { firstDripS: tenth(result.firstDripS) }),
      clock: 'pump',
      purged: move.purgeG > 0,
      purgeG: move.purgeG,
      seen: result.yieldG < 2 ? ['choke'] : [],
    });
  });
  const advice = nextMove({ target, grinder, basket: BASKET, shots });
  const leftG = budgetG - spentG;
  const isProven = isProvenStatus(advice.status);
  return {
    target,
    startDial: START_DIAL,
    shots,
    advice,
    spentG,
    leftG,
    outcome: isProven ? 'confirmed' : leftG < recipe.doseG ? 'spent' : 'open',
  };
}
