import { DRAFT } from '@/core/entity/draft';
import { entriesOf, type FormValues } from '@/core/entity/field';
import { HOLDS, RECIPE } from '@/core/entity/recipe';
import type { Proposal } from '@/core/start/propose';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';
import type { SentStep } from '@/ui/programme/stepText';

const { clock: _clock, programme: _programme, steps: _steps, ...ALL } = RECIPE;
// What a trial said of the recipe before says nothing of this one.
const FIGURES = Object.fromEntries(
  Object.entries(ALL).filter(([name]) => !(name in HOLDS)),
) as Omit<typeof ALL, keyof typeof HOLDS>;

/** The figures of a recipe as typed; the lead may change any before accepting. */
const RECIPE_FORM = { ...FIGURES, startDial: DRAFT.startDial, why: DRAFT.why } as const;
export type RecipeText = EntryText<typeof RECIPE_FORM>;

export function recipeTextOf({ recipe }: Proposal, startDial: number | undefined): RecipeText {
  return textOf(RECIPE_FORM, { ...recipe, ...(startDial !== undefined && { startDial }) });
}

/** What the lead changed from the proposal, in the words the log keeps. */
export function overruled(text: RecipeText, proposed: RecipeText): string[] {
  const [typed, before] = [sentOf(FIGURES, text), sentOf(FIGURES, proposed)];
  return entriesOf(FIGURES)
    .filter(([name]) => JSON.stringify(typed[name]) !== JSON.stringify(before[name]))
    .map(([, { label }]) => label.toLowerCase());
}

export interface AcceptContext extends FormValues<Pick<typeof RECIPE, 'clock' | 'programme'>> {
  readonly steps: readonly SentStep[];
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string | undefined;
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  /** The model's own figures. */
  readonly proposed: Proposal['mean'];
  readonly overruled: readonly string[];
  /** The revision on the bench when this form was filled in. */
  readonly basedOn: string | null;
}

export function acceptSent(text: RecipeText, context: AcceptContext) {
  return { ...context, ...sentOf(RECIPE_FORM, text) };
}
