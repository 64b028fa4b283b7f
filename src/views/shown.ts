/** A batch and a bench as the screens show them. */
import type { CalibrationPeriod } from '@/core/grinder/calibrationPeriod';
import type { Advice, JudgingRules, ShotMark } from '@/core/advice/types';
import type { RoastReading } from '@/core/coffee/roast';
import type { Rest, RestSpan } from '@/core/rest/rest';
import type { Target } from '@/core/schema/target';
import type { StoredDraft } from '@/data/dialIns';
import type { BatchMark } from '@/data/marks';
import type { StoredBatch } from '@/data/releases';
import type { StoredSetup } from '@/data/setups';
import type { StoredShot } from '@/data/shots';
import type { StoredTasting } from '@/data/tastings';

export interface BenchShot extends StoredShot {
  /** Counted from the first shot of the dial-in. */
  readonly number: number;
  readonly mark: ShotMark;
  readonly tastings: readonly StoredTasting[];
}

export interface Bench {
  readonly draft: StoredDraft;
  /** False where somebody looks at an earlier batch: its recipe is not in force. */
  readonly isOnBench: boolean;
  readonly setup: StoredSetup;
  readonly target: Target;
  readonly judging: JudgingRules;
  /** When the grinder's numbers began to mean something else, oldest first. */
  readonly periods: readonly CalibrationPeriod[];
  /** The newest of them, in the order they were pulled. */
  readonly shots: readonly BenchShot[];
  /** Every shot of the dial-in: those before the newest count in what was spent alone. */
  readonly shotCount: number;
  readonly advice: Advice;
  readonly spentG: number;
}

export interface BatchView extends StoredBatch {
  readonly roast: RoastReading;
  readonly rest: Rest;
  readonly span: RestSpan;
  readonly marks: readonly BatchMark[];
  /** Grams of sample left after the shots and purges so far; null when nothing was noted. */
  readonly leftG: number | null;
}
