/** What the helpers of a card's page share: their form, the card's own document, and figures typed in any manner. */
import { helperWords } from '@/words/helperWords';
import { isLanguage, type Language } from '@/core/language';
import { figureIn } from '@/words/figures';
import { LIMITS, type LimitName } from '@/core/limits';
import { readNumber } from '@/core/readNumber';
import type { RecipeBody } from '@/formats/recipe/document';

export type Helper = (form: HTMLFormElement, box: HTMLElement) => void;

export function languageOf(box: HTMLElement): Language {
  const said = box.dataset.helpers ?? '';
  return isLanguage(said) ? said : 'en';
}

/** The published document of this page, asked for once. */
let coming: Promise<RecipeBody> | undefined;

export function bodyOf(box: HTMLElement): Promise<RecipeBody> {
  coming ??= fetch(box.dataset.document!)
    .then((answer) => answer.json())
    .then((document: { body: RecipeBody }) => document.body);
  return coming;
}

/** A recipe as it was fitted to the reader's setup on this page; the card's own shots are judged by it then. */
export interface Fitted {
  readonly card: Pick<
    RecipeBody['recipe'],
    'doseG' | 'yieldG' | 'timeS' | 'clock' | 'temperatureC'
  >;
  readonly ratedG: number;
}

let fitted: Fitted | null = null;

export const keepFitted = (one: Fitted | null): void => {
  fitted = one;
};

export const fittedOr = (body: RecipeBody): Fitted =>
  fitted ?? { card: body.recipe, ratedG: body.setup.ratedG };

/** A figure of the form; undefined where nothing stands. */
export interface Typed {
  readonly value: number | undefined;
  /** What is wrong with it. */
  readonly fault: string | undefined;
}

export function figureOf(
  form: HTMLFormElement,
  name: string,
  limit: LimitName,
  language: Language,
  { isNeeded = false }: { readonly isNeeded?: boolean } = {},
): Typed {
  const field = form.elements.namedItem(name) as HTMLInputElement;
  const text = field.value.trim();
  const { min, max } = LIMITS[limit];
  const read = text === '' ? undefined : readNumber(text);
  const value = typeof read === 'number' ? read : undefined;
  const isMissing = text === '' && isNeeded;
  const isOut = text !== '' && (value === undefined || !(value >= min && value <= max));
  const isWrong = isMissing || isOut;
  field.setAttribute('aria-invalid', String(isWrong));
  const label = field.labels![0]!.firstChild!.textContent!;
  return isWrong
    ? {
        value: undefined,
        fault: helperWords(language)('wrong', {
          field: label,
          from: figureIn(language, min, 0),
          to: figureIn(language, max, 0),
        }),
      }
    : { value, fault: undefined };
}

/** Shows paragraphs in the answer of a form, and says them to whoever listens. */
export function show(form: HTMLFormElement, paragraphs: readonly string[]): void {
  const output = form.querySelector('output:not([data-clock])')!;
  output.replaceChildren(
    ...paragraphs.map((text) => Object.assign(document.createElement('p'), { textContent: text })),
  );
}

/** Runs what a form is for when it is sent; what breaks is said. */
export function onSend(form: HTMLFormElement, language: Language, act: () => Promise<void>): void {
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    act().catch(() => show(form, [helperWords(language)('broke')]));
  });
}
