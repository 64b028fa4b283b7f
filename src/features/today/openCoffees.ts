/** Coffees in their span of rest days, each with the setting of the bench. */
import { batchAge } from '@/core/state/batchAge';
import { say } from '@/words/say';
import type { OpenSetting, Standings } from '@/views/today';

export interface OpenCoffee {
  readonly releaseId: string;
  readonly batchId: string;
  readonly name: string;
  readonly roastDate: string;
  /** "day 12, best". */
  readonly rest: string;
  /** Null before the release has a recipe. */
  readonly setting: (OpenSetting & { readonly isOfOtherBatch: boolean }) | null;
}

export function openCoffees(standings: readonly Standings[], today: string): OpenCoffee[] {
  return standings
    .flatMap(({ id, name, active, setting }) =>
      active
        .filter(({ rest }) => rest.state !== 'tooFresh' && rest.state !== 'fading')
        .map((batch) => ({
          releaseId: id,
          batchId: batch.id,
          name,
          roastDate: batch.roastDate,
          rest: say(batchAge(batch, today, 'inside')),
          setting: setting && { ...setting, isOfOtherBatch: setting.batchId !== batch.id },
        })),
    )
    .sort((a, b) => a.roastDate.localeCompare(b.roastDate) || a.name.localeCompare(b.name));
}
