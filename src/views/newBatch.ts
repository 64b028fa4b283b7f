/**
 * The daily case: a new roast batch of a coffee that already has a recipe. Its last recipe is carried over,
 * the dial moved for age, colour and the grinder's period; one confirming shot usually settles it.
 */
import { nextMove } from '@/core/advice/next';
import { grindFeatures } from '@/core/advice/pastDialIn';
import type { Advice, CarryExpectation } from '@/core/advice/types';
import { isOnTargetStatus } from '@/core/advice/types';
import { USUAL_FIRST_DRIP_S } from '@/core/extraction/clock';
import { dialToday } from '@/core/grinder/calibrationPeriod';
import { dialMoveWords } from '@/core/grinder/notation';
import { daysBetween } from '@/core/rest/day';
import { withRatio } from '@/core/schema/recipe';
import { proposeFrom } from '@/core/start/propose';
import { roundTo } from '@/core/start/proposedVariables';
import type { Db } from '@/data/database';
import { findDialIn, findDraft, type StoredDraft, type StoredRecipe } from '@/data/dialIns';
import { periodsOf } from '@/data/calibrationPeriods';
import type { House } from '@/data/house';
import type { StoredRelease } from '@/data/releases';
import { findSetup, type StoredSetup } from '@/data/setups';
import { countShots, listShots } from '@/data/shots';
import { expectationOf } from './batchLevels';
import { factsToday } from './facts';
import { memoryFor } from './grinderMemory';
import { readHouseModel } from './houseModel';
import type { BatchView, Bench } from './shown';
import { judgingOf, targetOf } from '@/core/advice/benchQuestion';

/** A roast this far from the one before asks for another ratio, in roast levels. House heuristic. */
const ANOTHER_ROAST = 0.5;
/** Doubt of a dial whose period nobody can translate, sd in ln time. House heuristic. */
const UNKNOWN_ERA_SD = 0.15;

/** The recipe a batch's own comes from. */
interface Source {
  readonly draft: StoredDraft;
  readonly setup: StoredSetup;
  /** As it reads on the grinder today. */
  readonly dial: number;
  readonly dialSd: number;
}

export interface NewBatch {
  readonly batchId: string;
  readonly roastDate: string;
  readonly label: string;
  readonly restDays: number;
  readonly source: {
    readonly draftId: string;
    readonly roastDate: string;
    readonly dial: number;
  };
  readonly setupId: string;
  readonly recipe: StoredRecipe;
  /** The roast is another: the ratio was moved by the house's model. */
  readonly isRatioMoved: boolean;
  /** Where its dial stands, or goes, as its grinder writes it. */
  readonly dialWords: string;
  readonly advice: Pick<Advice, 'setting' | 'expect'>;
}

export interface OfRelease {
  readonly release: StoredRelease;
  readonly batches: readonly BatchView[];
  readonly bench: Bench | null;
  /** The newest version, where there is one, and whether it was withdrawn as wrong. */
  readonly published: { readonly draftId: string | null } | null;
  readonly isWrong: boolean;
  readonly today: string;
}

/** The newest batch that can be pulled; the newest of all while none can. */
export function newestInUse(batches: readonly BatchView[]): BatchView {
  return batches.find(({ rest }) => rest.state !== 'tooFresh') ?? batches[0]!;
}

/**
 * The recipe a coffee ended on: what the bench proved or a record of the house says, else what was published.
 * Nobody is sent back to one that was withdrawn as wrong, nor to a record that does not say its dial.
 */
function lastRecipeOf({ bench, published, isWrong }: OfRelease): string | null {
  const isEnded =
    bench !== null &&
    (isOnTargetStatus(bench.advice.status) ||
      (bench.draft.decidedOn !== undefined && bench.draft.isDialKnown));
  const draftId = isEnded ? bench.draft.id : (published?.draftId ?? null);
  return isWrong && draftId === published?.draftId ? null : draftId;
}

/** A batch that waits to be pulled on its coffee's last recipe; null where none does. */
export function newBatchOf(db: Db, house: House, asked: OfRelease): NewBatch | null {
  const { release, batches, bench, today } = asked;
  const batch = newestInUse(batches);
  if (batch.rest.state === 'tooFresh' || batch.rest.state === 'fading') return null;
  if (bench?.draft.batchId === batch.id) return null;
  const draftId = lastRecipeOf(asked);
  const source = draftId === null ? null : sourceOf(db, draftId);
  const older = batches.find(({ id }) => id === source?.draft.batchId);
  if (!source || !older || daysBetween(older.roastDate, batch.roastDate) <= 0) return null;
  if (isPulled(db, source.draft, batch.id)) return null;
  const recipe = recipeFor(db, house, { release, older, batch, source, today });
  const { restDays } = batch.rest;
  const carried = carriedInput(db, house, { release, batch, source, recipe, restDays, today });
  const { setting, expect } = nextMove({ ...carried, shots: [] });
  return {
    batchId: batch.id,
    roastDate: batch.roastDate,
    label: batch.label,
    restDays,
    source: { draftId: source.draft.id, roastDate: older.roastDate, dial: source.dial },
    setupId: source.setup.id,
    recipe,
    isRatioMoved: recipe.yieldG !== source.draft.recipe.yieldG,
    dialWords: dialMoveWords(source.setup.grinder, source.dial, setting.dial),
    advice: { setting, expect },
  };
}

/** A batch pulled on its own recipe goes on with that one, whatever is on the bench. */
function isPulled(db: Db, { releaseId, setupId, style }: StoredDraft, batchId: string): boolean {
  const dialInId = findDialIn(db, { releaseId, batchId, setupId, style });
  return dialInId !== null && countShots(db, [dialInId]).has(dialInId);
}

/** What is expected of a batch whose recipe on the bench came over; null where it did not. */
export function carryOf(
  db: Db,
  house: House,
  {
    release,
    draft,
    batch,
    restDays: otherwise,
    shots,
    today,
  }: {
    readonly release: StoredRelease;
    readonly draft: StoredDraft;
    readonly batch: Pick<BatchView, 'roast' | 'roastDate'>;
    /** The rest day it is asked for where no shot says. */
    readonly restDays: number;
    readonly shots: readonly { readonly restDays: number }[];
    readonly today: string;
  },
): CarryExpectation | null {
  const source = draft.carriedFrom === null ? null : sourceOf(db, draft.carriedFrom);
  if (!source || source.setup.id !== draft.setupId) return null;
  const restDays = shots.at(-1)?.restDays ?? otherwise;
  return expected(db, house, { release, batch, source, recipe: draft.recipe, restDays, today });
}

function sourceOf(db: Db, draftId: string): Source | null {
  const draft = findDraft(db, draftId);
  const setup = draft && findSetup(db, draft.setupId);
  if (!draft || !setup) return null;
  const last = listShots(db, draft.dialInId).findLast((shot) => shot.draftId === draft.id);
  const [dial, at] = last ? [last.dial, last.pulledAt] : [draft.startDial, draft.createdAt];
  const today = dialToday(dial, at, periodsOf(db, setup.grinder.id));
  return {
    draft,
    setup,
    dial: today ?? dial,
    dialSd: today === null ? UNKNOWN_ERA_SD : 0,
  };
}

interface Carrying {
  readonly release: StoredRelease;
  readonly batch: Pick<BatchView, 'roast' | 'roastDate'>;
  readonly source: Source;
  readonly recipe: StoredRecipe;
  /** The rest day it is asked for: of the last shot, else today's. */
  readonly restDays: number;
  readonly today: string;
}

function expected(
  db: Db,
  house: House,
  { release, batch, source, recipe, restDays, today }: Carrying,
): CarryExpectation {
  const dripS = recipe.clock === 'firstDrip' ? USUAL_FIRST_DRIP_S : 0;
  return expectationOf(db, house, {
    releaseId: release.id,
    roastDate: batch.roastDate,
    roastLevel: batch.roast.level ?? 0,
    restDays,
    today,
    setup: source.setup,
    style: source.draft.style,
    recipe,
    windowMiddleS: (recipe.timeS[0] + recipe.timeS[1]) / 2 + dripS,
    dial: source.dial,
    dialSd: source.dialSd,
  });
}

function carriedInput(db: Db, house: House, carrying: Carrying & { readonly batch: BatchView }) {
  const { release, batch, source, recipe, today } = carrying;
  const { draft, setup } = source;
  const target = targetOf(
    house,
    { ...draft, recipe, startDial: source.dial },
    { roast: batch.roast, opensOn: batch.span.opens },
  );
  return {
    target,
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    ...judgingOf(house, release),
    ...memoryFor(db, house, draft, setup),
    coffee: grindFeatures(factsToday(release, batch, today), draft.style),
    carry: expected(db, house, carrying),
  };
}

/** The last recipe; where the roast is clearly another, its ratio moved as the house's model has it. */
function recipeFor(
  db: Db,
  house: House,
  {
    release,
    older,
    batch,
    source: { draft, setup },
    today,
  }: Pick<Carrying, 'release' | 'source' | 'today'> & {
    readonly older: BatchView;
    readonly batch: BatchView;
  },
): StoredRecipe {
  const { recipe, style, temperatureSchool } = draft;
  const from = older.roast.level ?? 0;
  const to = batch.roast.level ?? 0;
  if (Math.abs(to - from) < ANOTHER_ROAST) return recipe;
  const model = readHouseModel(db, house).modelOf(temperatureSchool);
  const lnRatioOf = (roastLevel: number) =>
    proposeFrom(model, {
      release: { ...factsToday(release, batch, today), id: undefined, roastLevel },
      style,
      setup,
    }).mean.lnRatio;
  const moved = Math.exp(lnRatioOf(to) - lnRatioOf(from));
  return withRatio({ ...recipe, yieldG: roundTo(recipe.yieldG * moved, 0.5) });
}
