/** Coffees in their span of rest days, each with the setting of the bench. */
import { REST_STATE_LABELS } from '@/core/rest/rest';
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

export function openCoffees(standings: readonly Standings[]): OpenCoffee[] {
  return standings
    .flatMap(({ id, name, active, setting }) =>
      active
        .filter(({ rest }) => rest.state !== 'tooFresh' && rest.state !== 'fading')
        .map((batch) => ({
          releaseId: id,
          batchId: batch.id,
          name,
          roastDate: batch.roastDate,
          rest: `day ${batch.rest.restDays}, ${REST_STATE_LABELS[batch.rest.state].toLowerCase()}`,
          setting: setting && { ...setting, isOfOtherBatch: setting.batchId !== batch.id },
        })),
    )
    .sort((a, b) => a.roastDate.localeCompare(b.roastDate) || a.name.localeCompare(b.name));
}
