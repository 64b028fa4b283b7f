import type { Proposal } from '@/core/start/propose';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import { readNumber } from '@/ui/readNumber';

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
    why: '',
  };
}

/** What a lead can overrule, in the words the log keeps. */
const OVERRULABLE = {
  doseG: 'dose',
  yieldG: 'yield',
  temperatureC: 'temperature',
  timeLowS: 'time',
  timeHighS: 'time',
  restFrom: 'rest',
  restTo: 'rest',
} as const;

/** What the lead changed from the proposal, each once. */
export function overruled(text: RecipeText, proposed: RecipeText): string[] {
  const names = Object.keys(OVERRULABLE) as (keyof typeof OVERRULABLE)[];
  const changed = names.filter((name) => readNumber(text[name]) !== readNumber(proposed[name]));
  return [...new Set(changed.map((name) => OVERRULABLE[name]))];
}

export interface AcceptContext {
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string | undefined;
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  readonly clock: Proposal['recipe']['clock'];
  readonly mean: Proposal['mean'];
  readonly overruled: readonly string[];
  /** The programme in words and in steps. */
  readonly programme: string;
  readonly steps: readonly Record<string, unknown>[];
  /** The revision on the bench when this form was filled in. */
  readonly basedOn: string | null;
}

export function acceptInputOf(text: RecipeText, context: AcceptContext) {
  const { mean, ...rest } = context;
  return {
    ...rest,
    doseG: readNumber(text.doseG),
    yieldG: readNumber(text.yieldG),
    temperatureC: readNumber(text.temperatureC),
    timeS: [readNumber(text.timeLowS), readNumber(text.timeHighS)],
    restDays: [readNumber(text.restFrom), readNumber(text.restTo)],
    startDial: readNumber(text.startDial),
    why: text.why,
    proposed: mean,
  };
}
