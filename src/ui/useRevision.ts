'use client';

import type { Advice } from '@/core/advice/types';
import type { HOLDS, StoredRecipeRow } from '@/core/entity/recipe';
import type { BrewStyle, Drink, TemperatureSchool } from '@/core/vocabulary';
import { useCommand } from './useCommand';

/** A recipe on the bench, and where its grinder stands. */
interface Revised {
  readonly draft: {
    readonly id: string;
    readonly batchId: string;
    readonly setupId: string;
    readonly style: BrewStyle;
    readonly temperatureSchool: TemperatureSchool;
    readonly drink: Drink;
    readonly recipe: StoredRecipeRow & { readonly ratio: number };
    readonly proposed: Readonly<Record<string, number>> | undefined;
  };
  readonly advice: Pick<Advice, 'setting'>;
  /** What stands on the bench, where that is another recipe. */
  readonly benchDraftId?: string | undefined;
}

/** A recipe with a few figures changed, as the next revision on the bench. */
export function useRevision(
  { draft, advice, benchDraftId = draft.id }: Revised,
  releaseId: string,
  changed: {
    readonly why: string;
    readonly drink?: Drink;
    readonly timeS: readonly [number, number];
    readonly doseG?: number;
    readonly yieldG?: number;
    readonly temperatureC?: number;
  } & { readonly [K in keyof typeof HOLDS]?: number },
) {
  const { submit, faults, isBusy } = useCommand();
  const {
    ratio: _ratio,
    holdsYieldG: _yieldG,
    holdsTemperatureC: _temperatureC,
    holdsTimeS: _timeS,
    costPoints: _points,
    // What a trial said of the recipe before says nothing of this one.
    ...sentRecipe
  } = draft.recipe;
  const take = () =>
    void submit('acceptRecipe', {
      releaseId,
      batchId: draft.batchId,
      setupId: draft.setupId,
      style: draft.style,
      temperatureSchool: draft.temperatureSchool,
      drink: draft.drink,
      ...sentRecipe,
      ...changed,
      startDial: advice.setting.dial,
      proposed: draft.proposed,
      basedOn: benchDraftId,
    });
  return { take, faults, isBusy };
}
