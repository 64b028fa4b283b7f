/**
 * What a demo coffee would do on a bench: times by the statistical model of the grinder and the next
 * shot (docs/model.md), extraction and taste by the trade's figures for ratio, temperature and roast.
 * Made up, and only for the demo house.
 */
import { carriedShare } from '@/core/grinder/retention';
import type { Taste } from '@/core/schema/shot';
import type { Chance } from '@/core/random';

export interface DemoCoffee {
  /** Dial at which the accepted recipe runs in the middle of its window, on the first day pulled. */
  readonly trueDial: number;
  readonly roastLevel: number;
  /** Ease of extraction, 0 a medium washed coffee. */
  readonly ease: number;
}

export interface DemoGrinder {
  /** Change of ln time per dial number; the sign says which way is finer. */
  readonly lnTimePerDial: number;
  readonly retentionG: number;
}

export interface PulledShot {
  readonly dial: number;
  readonly doseG: number;
  readonly yieldG: number;
  readonly temperatureC: number;
  readonly purgeG: number;
  readonly daysLater: number;
  readonly isBadPrep: boolean;
}

export interface DemoRecipe {
  readonly doseG: number;
  readonly yieldG: number;
  readonly centreS: number;
}

const NOISE_SD = 0.045;
const LN_TIME_PER_DAY = -0.008;
const BAD_PREP_LN_TIME = -0.3;
/** First drip after .226 of the shot: 6.3 of 27.9 s in the model's reference shot. */
const DRIP_SHARE = 0.226;

/** Keeps what is left in the grinder between shots. */
export class DemoBench {
  private chamberDial: number | null = null;

  constructor(
    private readonly coffee: DemoCoffee,
    private readonly grinder: DemoGrinder,
    private readonly recipe: DemoRecipe,
    private readonly chance: Chance,
  ) {}

  /** Seconds from the pump and to the first drip, to the tenth. */
  pull(shot: PulledShot): { timeS: number; firstDripS: number } {
    const { lnTimePerDial, retentionG } = this.grinder;
    const carried = carriedShare({ retentionG, doseG: shot.doseG, purgeG: shot.purgeG });
    const chamber = this.chamberDial ?? shot.dial;
    const dial = (1 - carried) * shot.dial + carried * chamber;
    this.chamberDial = shot.dial;
    const lnTimeS =
      Math.log(this.recipe.centreS) +
      lnTimePerDial * (dial - this.coffee.trueDial) +
      Math.log(shot.doseG / this.recipe.doseG) +
      Math.log(shot.yieldG / this.recipe.yieldG) +
      LN_TIME_PER_DAY * shot.daysLater +
      (shot.isBadPrep ? BAD_PREP_LN_TIME : 0) +
      NOISE_SD * this.chance.normal();
    const timeS = Math.min(150, Math.max(9, Math.exp(lnTimeS)));
    const firstDripS = timeS * DRIP_SHARE * Math.exp(0.06 * this.chance.normal());
    return { timeS: tenth(timeS), firstDripS: tenth(firstDripS) };
  }
}

const tenth = (value: number) => Math.round(10 * value) / 10;

/** Extraction of the model's reference coffee at 93 °C by ratio. */
const EXTRACTION_BY_RATIO = [
  [1, 14.8],
  [1.5, 17.9],
  [2, 19.8],
  [2.5, 20.9],
  [3, 21.6],
] as const;

function extractionAt(ratio: number): number {
  const upper = Math.max(
    1,
    EXTRACTION_BY_RATIO.findIndex(([at]) => at >= ratio),
  );
  const [from, to] = [EXTRACTION_BY_RATIO[upper - 1]!, EXTRACTION_BY_RATIO[upper]!];
  return from[1] + ((ratio - from[0]) / (to[0] - from[0])) * (to[1] - from[1]);
}

const PCT_PER_C = 0.18;
const PCT_PER_EASE = 1.1;

/** What a refractometer reads, to the tenth. */
export function tdsOf(
  { ease }: DemoCoffee,
  { doseG, yieldG, temperatureC }: Pick<PulledShot, 'doseG' | 'yieldG' | 'temperatureC'>,
  chance: Chance,
): { tdsPct: number; extractionPct: number } {
  const ratio = Math.min(3, Math.max(1, yieldG / doseG));
  const extractionPct =
    extractionAt(ratio) +
    PCT_PER_C * (temperatureC - 93) +
    PCT_PER_EASE * ease +
    0.25 * chance.normal();
  return { tdsPct: tenth((extractionPct * doseG) / yieldG), extractionPct };
}

/** A cup sheet for an extraction: sharp below the coffee's own best, bitter and dry above it. */
export function tasteOf(
  { roastLevel }: DemoCoffee,
  extractionPct: number,
  palate: number,
  chance: Chance,
): Taste {
  const best = 20.2 - 0.3 * roastLevel;
  const over = extractionPct - best;
  const score = (mean: number) =>
    Math.min(10, Math.max(0, Math.round(mean + palate + 0.6 * chance.normal())));
  return {
    acidity: score(5.2 - 1.3 * roastLevel - 0.5 * over),
    sharpness: score(1.8 - 0.5 * roastLevel - 0.9 * over),
    sweetness: score(6.8 - 0.5 * Math.abs(over)),
    bitterness: score(2.4 + 0.9 * roastLevel + 0.8 * over),
    dryness: score(1.4 + 0.6 * over),
    body: score(5.6 + 0.7 * roastLevel),
    clarity: score(6.4 - 0.6 * roastLevel),
    liking: score(7.6 - 0.7 * Math.abs(over)),
    strength: 0,
  };
}
