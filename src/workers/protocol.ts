/** Messages between the page and the simulator's worker. */
import type { DrawInput } from '@/core/simulator/drawStation';
import type { DrillRound, Drill } from '@/core/practice/drill';
import type { PracticeRound, PracticeState, PracticeTruth } from '@/core/practice/play';
import type { Pull, Station } from '@/core/simulator/station';
import type { Tried, TryInput } from '@/core/simulator/tryProgramme';
import type { ShotResult } from '@/core/simulator/types';

/** A pull with all it needs; the worker keeps nothing between two of them. */
export interface PullJob {
  readonly station: Station;
  readonly chamberDial: number | null;
  readonly pull: Pull;
  readonly seed: number;
}

export interface PullDone {
  readonly result: ShotResult;
  readonly chamberDial: number;
}

/** What can be asked for, and what is answered to it. */
export interface Jobs {
  readonly pull: { readonly asks: PullJob; readonly answers: PullDone };
  readonly draw: { readonly asks: DrawInput; readonly answers: Station };
  readonly practise: { readonly asks: PracticeRound; readonly answers: PracticeState };
  readonly tell: { readonly asks: PracticeRound; readonly answers: PracticeTruth };
  readonly drill: { readonly asks: DrillRound; readonly answers: Drill };
  readonly tryOut: { readonly asks: TryInput; readonly answers: Tried };
}
export type JobKind = keyof Jobs;

export type ToWorker = {
  [K in JobKind]: { readonly kind: K; readonly id: number; readonly input: Jobs[K]['asks'] };
}[JobKind];

export type FromWorker =
  | { readonly kind: 'progress'; readonly id: number; readonly fraction: number }
  | { readonly kind: 'done'; readonly id: number; readonly result: Jobs[JobKind]['answers'] }
  | { readonly kind: 'failed'; readonly id: number; readonly words: string };
