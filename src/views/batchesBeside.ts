/** Batches of a release side by side, at the dial and recipe of the bench. Server only. */
import { meanOf } from '@/core/patterns/summary';
import { NOISE_SD } from '@/core/grinder/timeRows';
import { fromPump } from '@/core/extraction/clock';
import { apart, pooled } from '@/core/advice/batchDifferences';
import { carryOver, REFERENCE_S, type CarryVerdict } from '@/core/advice/carry';
import { levelOn, type Estimate } from '@/core/rest/houseAgeing';
import { Z_80 } from '@/core/grinder/dial';
import type { Db } from '@/data/database';
import { listDialIns } from '@/data/dialIns';
import type { House } from '@/data/house';
import { shotsOfDialIns } from '@/data/shots';
import { tastingsOfDialIns } from '@/data/tastings';
import { ageingOf, expectationOf } from './batchLevels';
import type { Bench, ReleaseView } from './release';

/** Day whose level batches are compared on: where the ageing curve has its nought. */
const LEVEL_DAY = 14;
/** Newest batches shown. */
const MOST_BATCHES = 6;
/** sd of one cup's liking. House heuristic (model.md §4b). */
const CUP_SD = 0.8;
/** Shots a verdict on a new batch goes by: later ones belong to its own dial-in. */
const VERDICT_SHOTS = 3;

export interface BatchBeside {
  readonly id: string;
  readonly roastDate: string;
  readonly label: string;
  readonly roastLevel: number | null;
  readonly colourGround: number | undefined;
  readonly weightLossPct: number | undefined;
  readonly shots: number;
  /** Where its last shot stood. */
  readonly dial: number | null;
  /** Seconds from the pump at the bench's dial and recipe on day 14; null before a sound shot. */
  readonly level: { readonly timeS: number; readonly interval80: readonly [number, number] } | null;
  readonly liking: { readonly mean: number; readonly cups: number } | null;
  /** What its first shots said of the recipe before; null of the first batch. */
  readonly verdict: CarryVerdict | null;
  readonly isTimeApart: boolean;
  readonly isLikingApart: boolean;
}

export interface BatchesBeside {
  readonly dial: number;
  readonly batches: readonly BatchBeside[];
  /** Of the release over its batches. */
  readonly level: BatchBeside['level'];
}

export function readBatchesBeside(
  db: Db,
  house: House,
  { release, batches, today }: ReleaseView,
  bench: Bench,
): BatchesBeside {
  const { draft, setup, advice } = bench;
  const { dial } = advice.setting;
  const dialIns = listDialIns(db, [release.id]);
  const shotsOf = shotsOfDialIns(
    db,
    dialIns.map(({ id }) => id),
  );
  const tastingsOf = tastingsOfDialIns(
    db,
    dialIns.map(({ id }) => id),
  );
  const at = { releaseId: release.id, setup, style: draft.style, recipe: draft.recipe, dial };
  const found = batches.slice(0, MOST_BATCHES).map((batch) => {
    const roastLevel = batch.roast.level ?? 0;
    const own = dialIns.filter(({ batchId }) => batchId === batch.id);
    const shots = own.flatMap(({ id }) => shotsOf(id)).filter(({ isSimulated }) => !isSimulated);
    const likings = own
      .flatMap(({ id }) => tastingsOf(id))
      .flatMap(({ serving, scales: { liking } }) =>
        serving === 'straight' && liking !== undefined ? [liking] : [],
      );
    const aged = ageingOf(db, house, { ...at, batchId: batch.id, roastLevel });
    const level: Estimate | null = aged.level && levelOn(aged.level, aged.slope, LEVEL_DAY, 0);
    const first = aged.shots[0];
    const prior =
      first &&
      expectationOf(db, house, {
        ...at,
        roastDate: batch.roastDate,
        roastLevel,
        restDays: first.restDays,
        today,
        windowMiddleS: fromPump(
          (draft.recipe.timeS[0] + draft.recipe.timeS[1]) / 2,
          draft.recipe.clock,
        ),
        dialSd: 0,
      });
    const isFirst = batches.every((other) => other.roastDate >= batch.roastDate);
    const verdict =
      prior && !isFirst
        ? carryOver({
            prior: { mean: prior.mean - Math.log(REFERENCE_S), sd: prior.sd },
            window: [
              fromPump(draft.recipe.timeS[0], draft.recipe.clock),
              fromPump(draft.recipe.timeS[1], draft.recipe.clock),
            ],
            noiseSd: NOISE_SD,
            shots: aged.shots
              .slice(0, VERDICT_SHOTS)
              .map(({ lnTimeS }) => ({ moveLn: 0, timeS: Math.exp(lnTimeS) })),
            goal: house.proofGoalPct / 100,
          }).verdict
        : null;
    return { batch, shots, level, likings, verdict };
  });
  const timesApart = apart(found.map(({ level }) => level));
  const likingEstimates = found.map(({ likings }): Estimate | null =>
    likings.length === 0
      ? null
      : { mean: meanOf(likings)!.mean, sd: CUP_SD / Math.sqrt(likings.length) },
  );
  const likingsApart = apart(likingEstimates);
  return {
    dial,
    batches: found.map(({ batch, shots, level, likings, verdict }, i) => ({
      id: batch.id,
      roastDate: batch.roastDate,
      label: batch.label,
      roastLevel: batch.roast.level,
      colourGround: batch.colourGround,
      weightLossPct: batch.weightLossPct,
      shots: shots.length,
      dial: shots.at(-1)?.dial ?? null,
      level: level && secondsOf(level),
      liking: likingOf(likingEstimates[i] ?? null, likings.length),
      verdict,
      isTimeApart: timesApart[i]!,
      isLikingApart: likingsApart[i]!,
    })),
    level: levelOver(found.flatMap(({ level }) => level ?? [])),
  };
}

const likingOf = (estimate: Estimate | null, cups: number) =>
  estimate && { mean: estimate.mean, cups };

const secondsOf = ({ mean, sd }: Estimate) => ({
  timeS: Math.exp(mean),
  interval80: [Math.exp(mean - Z_80 * sd), Math.exp(mean + Z_80 * sd)] as const,
});

function levelOver(levels: readonly Estimate[]): BatchBeside['level'] {
  const level = levels.length < 2 ? null : pooled(levels);
  return level && secondsOf(level);
}
