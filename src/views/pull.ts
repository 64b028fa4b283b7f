/** What Pull shows beyond the release: traces, the grinder's curve, the overrun, the house's usual. */
import { benchQuestion } from '@/core/advice/benchQuestion';
import { firstsAfterBreak } from '@/core/advice/breaks';
import { grinderCurve, type CurvePoint } from '@/core/advice/curve';
import { PROCESS_INTENSITY } from '@/core/coffee/features';
import { benchMinutes } from '@/core/patterns/benchMinutes';
import { learnedOverrun, REMEMBERED_OVERRUNS, thinned } from '@/core/trace/read';
import { blendedOf } from '@/core/schema/shares';
import type { Trace } from '@/core/trace/schema';
import { prepared, type Db } from '@/data/database';
import type { House } from '@/data/house';
import { readRecords } from './records';
import { learntFor, type Bench, type ReleaseView } from './release';
import { findTraces } from '@/data/traces';

/** What a dial-in usually takes in this house: the middle of those on target. */
export interface Usual {
  readonly dialIns: number;
  readonly shots: number;
  readonly spentG: number;
  readonly minutes: number;
}

export interface PullView {
  /** What is public, against the bench. */
  readonly published: ReleaseView['published'];
  readonly curve: readonly CurvePoint[];
  /** Thinned, by shot. */
  readonly traces: Readonly<Record<string, Trace>>;
  /** What still runs into the cup after the pump, as measured on this setup, else as told, g. */
  readonly overrunG: number;
  readonly minutes: number;
  /** Null until the house has a few. */
  readonly usual: Usual | null;
  /** Shots that came first after a break: the group was not yet as warm as it gets. */
  readonly firsts: readonly string[];
  /** What a visible millilitre weighs here. */
  readonly cremaGPerMl: number;
  /** The bag in use; null where beans are in none. */
  readonly bag: { readonly label: string; readonly restDays: number } | null;
  /** What simulated instruments stand in for. */
  readonly coffee: SimulatedOf;
}

export interface SimulatedOf {
  readonly roastLevel: number;
  readonly intensity: number;
  readonly restDays: number;
  /** What the coffee and the setup are called: the same names are the same simulated bench. */
  readonly names: string;
}

const DRAWN_EVERY_S = 0.8;

export function readPull(db: Db, house: House, view: ReleaseView, bench: Bench): PullView {
  const { shots, setup, draft } = bench;
  const traces = [
    ...findTraces(
      db,
      shots.map(({ id }) => id),
    ),
  ];
  const moments = shots.map(({ pulledAt }) => pulledAt);
  return {
    published: view.published,
    curve: grinderCurve({
      ...benchQuestion(bench),
      ...learntFor(db, house, { ...view, ...bench }),
    }),
    traces: Object.fromEntries(
      traces.map(([shotId, trace]) => [shotId, thinned(trace, DRAWN_EVERY_S)]),
    ),
    cremaGPerMl: house.cremaGPerMl,
    bag: bagOf(view),
    overrunG: learnedOverrun(listOverruns(db, setup.machine.id), setup.machine.overrunG),
    minutes: benchMinutes(moments),
    usual: usualOf(db, house),
    firsts: firstsAfterBreak(moments).flatMap((isFirst, i) => (isFirst ? [shots[i]!.id] : [])),
    coffee: {
      roastLevel: view.batch.roast.level ?? 0,
      intensity: intensityOf(view),
      restDays: view.batch.rest.restDays,
      names: [view.release.name, setup.name, draft.style].join('\n'),
    },
  };
}

function bagOf({ batch }: ReleaseView): PullView['bag'] {
  const open = batch.samples.find(({ id }) => id === batch.openSampleId);
  return open ? { label: open.label, restDays: batch.rest.restDays } : null;
}

function intensityOf({ release, batch }: ReleaseView): number {
  return blendedOf(release.components, batch.sharesPct).reduce(
    (sum, { sharePct, process }) =>
      sum + (sharePct / 100) * (process ? PROCESS_INTENSITY[process] : 0),
    0,
  );
}

/** The last overruns read off the scale on a machine. */
function listOverruns(db: Db, machineId: string): number[] {
  return (
    prepared(
      db,
      `SELECT s.overrun_g AS overrunG FROM shot s
       JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
       JOIN setup u ON u.id = d.setup_id
       WHERE u.machine_id = ? AND s.overrun_g IS NOT NULL AND s.removed_at IS NULL
       ORDER BY s.pulled_at DESC LIMIT ?`,
    ).all(machineId, REMEMBERED_OVERRUNS) as { overrunG: number }[]
  ).map(({ overrunG }) => overrunG);
}

const LEAST_DIAL_INS = 3;
function usualOf(db: Db, house: House): Usual | null {
  const onTarget = readRecords(db, house).dialIns.filter(({ isOnTarget }) => isOnTarget);
  const middle = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  return onTarget.length < LEAST_DIAL_INS
    ? null
    : {
        dialIns: onTarget.length,
        shots: middle(onTarget.map(({ shots }) => shots)),
        spentG: middle(onTarget.map(({ spentG }) => spentG)),
        minutes: middle(onTarget.map(({ minutes }) => minutes)),
      };
}
