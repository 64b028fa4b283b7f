/** Messages between the page and the simulator's worker. */
import type { DrawInput } from '@/core/shot/drawStation';
import type { PracticeRound, PracticeState, PracticeTruth } from '@/core/practice/play';
import type { Pull, Station } from '@/core/shot/station';
import type { ShotResult } from '@/core/shot/types';

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

export type ToWorker =
  | { readonly kind: 'pull'; readonly id: number; readonly job: PullJob }
  | { readonly kind: 'draw'; readonly id: number; readonly input: DrawInput }
  | { readonly kind: 'practise'; readonly id: number; readonly round: PracticeRound }
  | { readonly kind: 'tell'; readonly id: number; readonly round: PracticeRound };

export type FromWorker =
  | { readonly kind: 'pulled'; readonly id: number; readonly done: PullDone }
  | { readonly kind: 'drawn'; readonly id: number; readonly station: Station }
  | { readonly kind: 'practised'; readonly id: number; readonly state: PracticeState }
  | { readonly kind: 'told'; readonly id: number; readonly truth: PracticeTruth }
  | { readonly kind: 'failed'; readonly id: number; readonly words: string };
