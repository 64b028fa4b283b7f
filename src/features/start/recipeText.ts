import type { Proposal } from '@/core/start/propose';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import { readNumber } from '@/ui/fields';

/** The figures of a recipe as typed; the lead may change any before accepting. */
export interface RecipeText {
  readonly doseG: string;
  readonly yieldG: string;
  readonly temperatureC: string;
  readonly timeLowS: string;
  readonly timeHighS: string;
  readonly restFrom: string;
  readonly restTo: string;
  readonly startDial: string;
  readonly programme: string;
  readonly why: string;
}

export function textOf({ recipe }: Proposal, startDial: string): RecipeText {
  return {
    doseG: String(recipe.doseG),
    yieldG: String(recipe.yieldG),
    temperatureC: String(recipe.temperatureC),
    timeLowS: String(recipe.timeS[0]),
    timeHighS: String(recipe.timeS[1]),
    restFrom: String(recipe.restDays[0]),
    restTo: String(recipe.restDays[1]),
    startDial,
    programme: recipe.programme ?? '',
    why: '',
  };
}

/** Names of the figures the lead changed from the proposal. */
export function overruled(text: RecipeText, proposed: RecipeText): (keyof RecipeText)[] {
  const figures = [
    'doseG',
    'yieldG',
    'temperatureC',
    'timeLowS',
    'timeHighS',
    'restFrom',
    'restTo',
  ] as const;
  return figures.filter((name) => readNumber(text[name]) !== readNumber(proposed[name]));
}

export interface AcceptContext {
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string | undefined;
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  readonly clock: Proposal['recipe']['clock'];
  readonly mean: Proposal['mean'];
}

export function acceptInputOf(text: RecipeText, context: AcceptContext) {
  const { mean, ...rest } = context;
  return {
    ...rest,
    doseG: readNumber(text.doseG),
    yieldG: readNumber(text.yieldG),
    temperatureC: readNumber(text.temperatureC),
    timeS: [readNumber(text.timeLowS), readNumber(text.timeHighS)],
    programme: text.programme,
    restDays: [readNumber(text.restFrom), readNumber(text.restTo)],
    startDial: readNumber(text.startDial),
    why: text.why,
    proposed: mean,
  };
}
