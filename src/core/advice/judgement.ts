/** What the rules of the advice decide of a bench, before it is worked out. */
import type { CodedMessage } from '../message';
import type { AdviceStatus, Move } from './types';

export interface Judgement {
  readonly status: AdviceStatus;
  readonly move: Move | null;
  readonly reasons: readonly CodedMessage[];
  /** A second move to be tasted beside the first. */
  readonly beside?: Move;
}
