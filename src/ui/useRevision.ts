'use client';

import type { Advice } from '@/core/advice/types';
import type { RecipeValues } from '@/core/entity/recipe';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import { useCommand } from './useCommand';

/** A recipe on the bench, and where its grinder stands. */
interface Revised {
  readonly draft: {
    readonly id: string;
    readonly batchId: string;
    readonly setupId: string;
    readonly style: BrewStyle;
    readonly temperatureSchool: TemperatureSchool;
    readonly recipe: RecipeValues & { readonly ratio: number };
    readonly proposed: Readonly<Record<string, number>> | undefined;
  };
  readonly advice: Pick<Advice, 'setting'>;
}

/** The recipe on the bench with a few figures changed, as its next revision. */
export function useRevision(
  { draft, advice }: Revised,
  releaseId: string,
  changed: {
    readonly why: string;
    readonly timeS: readonly [number, number];
    readonly doseG?: number;
    readonly yieldG?: number;
    readonly temperatureC?: number;
  },
) {
  const { submit, faults, isBusy } = useCommand();
  const { ratio: _ratio, ...sentRecipe } = draft.recipe;
  const take = () =>
    void submit('acceptRecipe', {
      releaseId,
      batchId: draft.batchId,
      setupId: draft.setupId,
      style: draft.style,
      temperatureSchool: draft.temperatureSchool,
      ...sentRecipe,
      ...changed,
      startDial: advice.setting.dial,
      proposed: draft.proposed,
      basedOn: draft.id,
    });
  return { take, faults, isBusy };
}
