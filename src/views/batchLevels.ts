/**
 * What the house's batches teach: how its coffees age, and how far batches of one release lie apart. From it
 * follows what a new batch is expected to do on its coffee's last recipe. Read from the newest dial-ins and
 * kept until a recipe, a batch or a decided shot changes.
 */
import { batchShots, type TimeEffects } from '@/core/advice/batchShots';
import type { CarryExpectation } from '@/core/advice/types';
import { readRoast } from '@/core/coffee/roast';
import { slopePrior } from '@/core/grinder/dial';
import type { CalibrationPeriod } from '@/core/grinder/calibrationPeriod';
import { DOSE_EXPONENT, NOISE_SD, YIELD_EXPONENT } from '@/core/grinder/timeRows';
import { groupBy } from '@/core/groupBy';
import {
  expectBatch,
  learnBatchSd,
  levelAfter,
  type BatchEvidence,
  type LevelRules,
} from '@/core/rest/batchLevels';
import {
  batchSlope,
  expectedSlope,
  learnAgeing,
  shrunkSlope,
  type AgedShot,
  type BatchSlope,
  type Estimate,
  type HouseAgeing,
} from '@/core/rest/houseAgeing';
import { spanOf } from '@/core/rest/rest';
import type { Db } from '@/data/database';
import {
  findDraftsOf,
  listDialIns,
  listNewestDialIns,
  type StoredDialIn,
  type StoredDraft,
} from '@/data/dialIns';
import type { StoredGrinder } from '@/data/equipment';
import { listPeriods } from '@/data/calibrationPeriods';
import type { House } from '@/data/house';
import { cached } from '@/data/cache';
import { findReleases } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { shotsOfDialIns } from '@/data/shots';
import { grinderMemoryOf, onTodaysDial } from './grinderMemory';
import { MODEL_TAGS } from './houseModel';
import { advisedShot, targetOf } from '@/core/advice/benchQuestion';

/** Older dial-ins are of other burrs and other roasts. House heuristic. */
const MOST_DIAL_INS = 200;
const MS_PER_WEEK = 7 * 86_400_000;
/** Where no sound shot of the release stands: its window's middle, this far in doubt. House heuristic. */
const UNPULLED_SD = 0.1;

interface ReadBatch extends BatchEvidence {
  readonly roastDate: string;
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string;
  readonly style: StoredDialIn['style'];
}

interface BatchKnowledge {
  readonly batches: readonly ReadBatch[];
  readonly ageing: HouseAgeing;
  /** sd between batches of one release. */
  readonly batchSd: number;
}

/** What is known of the batches of this house. */
export function readBatchKnowledge(db: Db, house: House): BatchKnowledge {
  return cached(db, { name: 'batch levels', tags: MODEL_TAGS }, () => {
    const batches = readBatches(db, house, listNewestDialIns(db, MOST_DIAL_INS).reverse());
    const ageing = learnAgeing(
      batches.map(({ shots, roastLevel }) => ({ ...batchSlope(shots, NOISE_SD), roastLevel })),
    );
    const byRelease = groupBy(batches, ({ releaseId, setupId, style }) =>
      [releaseId, setupId, style].join(' '),
    );
    const slope = expectedSlope(ageing, 0);
    const batchSd = learnBatchSd([...byRelease.values()], { slope, noiseSd: NOISE_SD });
    return { batches, ageing, batchSd };
  });
}

/** Those of these dial-ins with sound shots, each at its grinder's reference setting. */
function readBatches(db: Db, house: House, dialIns: readonly StoredDialIn[]): ReadBatch[] {
  const releaseIds = [...new Set(dialIns.map(({ releaseId }) => releaseId))];
  const releases = new Map(findReleases(db, releaseIds).map((release) => [release.id, release]));
  const drafts = findDraftsOf(db, releaseIds);
  const newestOf = new Map([...drafts.values()].map((draft) => [draft.dialInId, draft]));
  const shotsOf = shotsOfDialIns(
    db,
    dialIns.map(({ id }) => id),
  );
  const setups = allSetups(db);
  const erasOf = groupBy(listPeriods(db), ({ grinderId }) => grinderId);
  return dialIns.flatMap((dialIn): ReadBatch[] => {
    const { id, releaseId, batchId, setupId, style } = dialIn;
    const batch = releases.get(releaseId)?.batches.find((each) => each.id === batchId);
    const setup = setups.get(setupId);
    const draft = newestOf.get(id);
    const pulled = shotsOf(id).filter(({ isSimulated }) => !isSimulated);
    if (!batch || !setup || !draft || pulled.length === 0) return [];
    const roast = readRoast(batch, house.roastMap);
    const opensOn = spanOf({
      roastLevel: roast.level ?? 0,
      school: house.restSchool,
      span: releases.get(releaseId)?.span,
    }).opens;
    const onToday = pulled.flatMap((shot) =>
      onTodaysDial(advisedShot(shot, []), shot.pulledAt, periods(erasOf, setup.grinder)).map(
        (advised) => ({ advised, draftId: shot.draftId }),
      ),
    );
    const targets = new Map(
      [...new Set(onToday.map(({ draftId }) => draftId))].map((draftId) => [
        draftId,
        targetOf(house, drafts.get(draftId)!, { roast, opensOn }),
      ]),
    );
    const shots = batchShots(
      {
        target: targetOf(house, draft, { roast, opensOn }),
        grinder: setup.grinder,
        shots: onToday.map(({ advised }) => advised),
      },
      settingOf(setup),
      effectsOf(db, house, setup.grinder, style),
      (i) => targets.get(onToday[i]!.draftId)!,
    );
    if (shots.length === 0) return [];
    const week = Date.parse(pulled.at(-1)!.pulledAt) / MS_PER_WEEK;
    const { roastDate } = batch;
    return [
      { roastDate, releaseId, batchId, setupId, style, week, roastLevel: roast.level ?? 0, shots },
    ];
  });
}

const periods = (known: ReadonlyMap<string, readonly CalibrationPeriod[]>, { id }: StoredGrinder) =>
  known.get(id) ?? [];

/** The setting levels are said for: whatever the recipe, a 1:2 of the basket at the reference dial. */
function settingOf({ grinder, basket }: StoredSetup) {
  return { dial: referenceDialOf(grinder), doseG: basket.ratedG, yieldG: 2 * basket.ratedG };
}

const referenceDialOf = ({ referenceDial, min, max }: StoredGrinder) =>
  referenceDial ?? (min + max) / 2;

function effectsOf(
  db: Db,
  house: House,
  grinder: StoredGrinder,
  style: StoredDraft['style'],
): TimeEffects {
  const memory = grinderMemoryOf(db, house, grinder, style);
  if (memory.dialIns === 0)
    return {
      perDial: slopePrior(grinder).mean,
      dose: DOSE_EXPONENT.mean,
      yield: YIELD_EXPONENT.mean,
    };
  const [perDial, dose, ofYield] = memory.mean.slice(4);
  return { perDial: perDial!, dose: dose!, yield: ofYield! };
}

/** How a batch ages at one setting. */
export interface BatchAgeing {
  /** Its sound shots, brought to that setting; their age is left in them. */
  readonly shots: readonly AgedShot[];
  /** Change of ln time by age, shrunk towards the house. */
  readonly slope: Estimate & { readonly isOwn: boolean };
  /** Null before its first sound shot. */
  readonly level: BatchSlope | null;
  /** What a dial number does to ln time. */
  readonly perDial: number;
  /** Batches of the house that tell of ageing. */
  readonly batches: number;
}

/** What the shots of a batch say of its ageing, at a recipe's dial, dose and yield. */
export function ageingOf(
  db: Db,
  house: House,
  asked: Pick<ToCarry, 'releaseId' | 'setup' | 'style' | 'recipe' | 'dial' | 'roastLevel'> & {
    readonly batchId: string;
  },
): BatchAgeing {
  const { releaseId, setup, style, batchId, roastLevel } = asked;
  const { ageing } = readBatchKnowledge(db, house);
  const effects = effectsOf(db, house, setup.grinder, style);
  const by = settingChange(setup, effects, asked);
  // What the house knows waits for decided shots; the batch's own are read as they stand.
  const dialIns = listDialIns(db, [releaseId]).filter(
    (one) => one.batchId === batchId && one.setupId === setup.id && one.style === style,
  );
  const shots = readBatches(db, house, dialIns)
    .flatMap((one) => one.shots)
    .map(({ restDays, lnTimeS }) => ({ restDays, lnTimeS: lnTimeS + by }));
  const expected = expectedSlope(ageing, roastLevel);
  const level = shots.length === 0 ? null : batchSlope(shots, NOISE_SD);
  return {
    shots,
    slope: level ? shrunkSlope(level, expected) : { ...expected, isOwn: false },
    level,
    perDial: effects.perDial,
    batches: ageing.batches,
  };
}

/** From the setting levels are said for to a recipe's dial, dose and yield, in ln time. */
function settingChange(
  setup: StoredSetup,
  effects: TimeEffects,
  { dial, recipe }: Pick<ToCarry, 'dial' | 'recipe'>,
): number {
  const at = settingOf(setup);
  return (
    effects.perDial * (dial - at.dial) +
    effects.dose * Math.log(recipe.doseG / at.doseG) +
    effects.yield * Math.log(recipe.yieldG / at.yieldG)
  );
}

/** A batch that is to be pulled on a recipe of its coffee. */
export interface ToCarry {
  readonly releaseId: string;
  readonly roastDate: string;
  readonly roastLevel: number;
  readonly restDays: number;
  /** Day it is asked on. */
  readonly today: string;
  readonly setup: StoredSetup;
  readonly style: StoredDraft['style'];
  readonly recipe: Pick<StoredDraft['recipe'], 'doseG' | 'yieldG'>;
  /** Middle of the recipe's window from the pump, where no shot of the coffee says more. */
  readonly windowMiddleS: number;
  /** The recipe's dial as it reads today. */
  readonly dial: number;
  /** More doubt of the dial, sd in ln time: a period whose shift nobody knows. */
  readonly dialSd: number;
}

/** What a batch is expected to do at the recipe's dial, before its first shot. */
export function expectationOf(db: Db, house: House, asked: ToCarry): CarryExpectation {
  const { batches, ageing, batchSd } = readBatchKnowledge(db, house);
  const { setup, style, dial, restDays, roastLevel, dialSd } = asked;
  const effects = effectsOf(db, house, setup.grinder, style);
  const slope = expectedSlope(ageing, roastLevel);
  const rules: LevelRules = { slope, noiseSd: NOISE_SD, batchSd };
  const own = batches.filter(
    (batch) =>
      batch.releaseId === asked.releaseId &&
      // What came later says nothing of what was expected of this one.
      batch.roastDate < asked.roastDate &&
      batch.setupId === setup.id &&
      batch.style === style,
  );
  const state = levelAfter(own, rules);
  const week = Date.parse(asked.today) / MS_PER_WEEK;
  const ofSetting = settingChange(setup, effects, asked);
  const { mean, sd } =
    state === null
      ? {
          mean: Math.log(asked.windowMiddleS),
          sd: Math.hypot(UNPULLED_SD, batchSd),
        }
      : shifted(expectBatch(state, { week, roastLevel, restDays }, rules), ofSetting);
  return { dial, restDays, mean, sd: Math.hypot(sd, dialSd) };
}

const shifted = ({ mean, sd }: { mean: number; sd: number }, by: number) => ({
  mean: mean + by,
  sd,
});
