/**
 * What the cups of one release say in the words of a recipe: the best point so far, the recipe that forgives, what
 * is left to find, and the cups to pull next. Times are from the pump. Source: model.md §4b; heuristic where the
 * parts it puts together are.
 */
import type { Matrix } from 'ml-matrix';
import { LIMITS } from '../limits';
import { RATIO_LIMIT, TEMPERATURE_LIMIT_C } from './proposalLimits';
import { curvatureParticles } from './curvature';
import { codedFrom, placeAt, STEP, type Coded, type TrialPoint } from './coding';
import type { Quadratic } from './contours';
import { isEnough, nextCups } from './nextCups';
import { robustOptimum, toleranceAt, type CafeSpread } from './robust';
import {
  BOX,
  fitSurface,
  likingAt,
  traceOf,
  type Likely,
  type Limits,
  type SignOffset,
  type SurfaceWarning,
} from './surface';

/** A cup that was scored, with the shot it came from. */
export interface ScoredCup extends TrialPoint {
  readonly taster: string;
  readonly liking: number;
  readonly u?: number | undefined;
}

/** A side that others told of a place (surface.ts, ToldSign). */
export interface PlacedSign extends TrialPoint {
  readonly u: number;
  readonly sd: number;
}

export interface BestInput {
  /** The proposal, and the doubt of it, coded. */
  readonly centre: TrialPoint;
  readonly prior: Matrix;
  readonly cups: readonly ScoredCup[];
  /** The side that cafés' cups lean to. */
  readonly told?: readonly PlacedSign[];
  readonly doseG: number;
  readonly release?: number;
  /** Where the signs of this house stand. */
  readonly signOffset?: SignOffset | undefined;
  /** What the trial may change, where somebody said so. */
  readonly bounds?: Bounds | undefined;
  /** Of a machine whose temperature cannot be set. */
  readonly fixedTemperatureC?: number | undefined;
  readonly spread?: CafeSpread;
}

/** The least and the most of each variable; an end nobody said is open. */
export type Bounds = {
  readonly [K in keyof TrialPoint]?: readonly [least: number | undefined, most: number | undefined];
};

type Range = readonly [number, number];

export interface BestRecipe {
  readonly optimum: TrialPoint;
  readonly interval80: { readonly [K in keyof TrialPoint]: Range };
  readonly robust: TrialPoint;
  /** Points an average café cup lies under one that hits the robust recipe. */
  readonly costPoints: number;
  /** How far cup mass, temperature and time may be off before a cup loses .3 points. */
  readonly tolerance: {
    readonly yieldG: number;
    readonly temperatureC: number;
    readonly timeS: number;
  };
  readonly expectedLeft: number;
  /** Liking of its best cup, the tasters' own use of the scale taken out. */
  readonly bestLiking: Likely;
  readonly cups: number;
  /** Different recipes among them. */
  readonly recipes: number;
  readonly tasters: number;
  /** Points each taster scores above the others; taken out of what is found. */
  readonly offsets: Readonly<Record<string, number>>;
  readonly next: readonly TrialPoint[];
  readonly isEnough: boolean;
  readonly warnings: readonly SurfaceWarning[];
  readonly drawing: SurfaceDrawing;
}

/** The surface for a picture of it; coded around the centre. */
export interface SurfaceDrawing extends Quadratic {
  readonly centre: TrialPoint;
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  readonly robust: readonly number[];
  readonly tolerance: readonly number[];
  readonly cups: readonly { readonly x: Coded; readonly liking: number }[];
}

/** Points a first cup at the proposal is expected to lie under the best: ½tr(H̄V₀), before any cup. */
export function firstCupPoints(prior: Matrix): number {
  return curvatureParticles().reduce(
    (sum, { H, weight }) => sum + 0.5 * weight * traceOf(H, prior),
    0,
  );
}

/** Cups nearer than this on every axis are of one recipe: bench shots never repeat to the gram. House heuristic. */
const SAME_STEPS = 0.25;
const Z_80 = 1.2816;

export function bestRecipe(input: BestInput): BestRecipe {
  const { centre, cups, told = [], doseG } = input;
  const coded = cups.map((cup) => ({ ...cup, x: codedFrom(centre, cup) }));
  const surface = fitSurface({
    ...input,
    cups: coded,
    told: told.map((sign) => ({ ...sign, x: codedFrom(centre, sign) })),
  });
  const limits = limitsOf(input);
  const { x, costPoints } = robustOptimum(surface, { ...input, limits });
  const robust = placeAt(centre, x);
  const [lnRatio, temperature, lnTime] = toleranceAt(surface, x) as [number, number, number];
  const tasters = new Set(cups.map(({ taster }) => taster)).size;
  const recipes = countRecipes(coded.map((cup) => cup.x));
  const ends = [-1, 1].map((side) =>
    placeAt(
      centre,
      surface.mean.map((mean, j) => mean + side * Z_80 * Math.sqrt(surface.covariance.get(j, j))),
    ),
  ) as [TrialPoint, TrialPoint];
  const between = (name: keyof TrialPoint): Range => [ends[0][name], ends[1][name]];
  return {
    optimum: placeAt(centre, surface.optimum),
    interval80: {
      ratio: between('ratio'),
      temperatureC: between('temperatureC'),
      timeS: between('timeS'),
    },
    robust,
    costPoints,
    tolerance: {
      yieldG: doseG * robust.ratio * (1 - Math.exp(-STEP.lnRatio * lnRatio)),
      temperatureC: STEP.temperatureC * temperature,
      timeS: robust.timeS * (1 - Math.exp(-STEP.lnTimeS * lnTime)),
    },
    expectedLeft: surface.expectedLeft,
    bestLiking: likingAt(surface, surface.optimum),
    cups: cups.length,
    recipes,
    tasters,
    offsets: surface.tasters,
    next: nextCups(surface, {
      tasters: Math.max(1, tasters),
      limits,
    }).map((cup) => placeAt(centre, cup.x)),
    isEnough: isEnough(surface, recipes),
    warnings: surface.warnings,
    drawing: {
      centre,
      optimum: surface.optimum,
      meanH: surface.meanH.to2DArray(),
      mean: surface.mean,
      covariance: surface.covariance.to2DArray(),
      robust: x,
      tolerance: [lnRatio, temperature, lnTime],
      cups: coded.map((cup) => ({ x: cup.x, liking: cup.liking })),
    },
  };
}

/** The box of a trial, as far as anything is proposed in it and the trial may go; a fixed temperature is the only one. */
function limitsOf({ centre, fixedTemperatureC, bounds = {} }: BestInput): Limits {
  const coded = (name: keyof TrialPoint, [lowest, highest]: Range, at: 0 | 1 | 2): Range => {
    const [from = lowest, to = highest] = bounds[name] ?? [];
    const within = [from, to].map((end) => Math.min(highest, Math.max(lowest, end)));
    const [least, most] = within.map(
      (value) => codedFrom(centre, { ...centre, [name]: value })[at],
    );
    const low = Math.min(BOX, Math.max(-BOX, least!));
    return [low, Math.max(low, Math.min(BOX, most!))];
  };
  return [
    coded('ratio', RATIO_LIMIT, 0),
    coded(
      'temperatureC',
      fixedTemperatureC === undefined
        ? TEMPERATURE_LIMIT_C
        : [fixedTemperatureC, fixedTemperatureC],
      1,
    ),
    coded('timeS', [LIMITS.timeS.min, LIMITS.timeS.max], 2),
  ];
}

/** Different recipes among coded cups. */
export function countRecipes(all: readonly (readonly number[])[]): number {
  const seen: (readonly number[])[] = [];
  for (const x of all) {
    const isKnown = seen.some((other) =>
      other.every((value, j) => Math.abs(value - x[j]!) < SAME_STEPS),
    );
    if (!isKnown) seen.push(x);
  }
  return seen.length;
}
