/** A check that an address asks for: Field leads to it with what cafés found. */
import { TEXT_LIMITS } from '@/core/limits';
import type { ReleaseView } from '@/views/release';
import type { Asking } from './AskRecheck';

/** Why, and the roast date of the batch in doubt. */
export interface AskedInAddress {
  readonly check?: string | string[] | undefined;
  readonly roast?: string | string[] | undefined;
}

/** Null where nothing is asked; a batch the release does not have leaves the one on the bench. */
export function askedByAddress(
  { batch, batches }: Pick<ReleaseView, 'batch' | 'batches'>,
  { check, roast }: AskedInAddress,
): Asking | null {
  if (typeof check !== 'string') return null;
  const meant = batches.find(({ roastDate }) => roastDate === roast) ?? batch;
  return { batchId: meant.id, why: check.slice(0, TEXT_LIMITS.words) };
}
