/** The added parts of a card as typed, and what is sent of them. No DOM. */
import { AUDIENCES, type Audience } from '@/core/fits/audience';
import type { Language } from '@/core/language';
import { readNumber } from '@/core/readNumber';
import type { PrintedPhase } from '@/core/rest/printedPhases';
import type { OwnWords } from '@/formats/recipe/parts';
import type { Composed } from './compose';

export interface PhaseText {
  readonly from: string;
  readonly to: string;
  readonly steps: string;
}

export interface FitText {
  readonly audience: Audience;
  readonly isOn: boolean;
  readonly tried: string;
}

export type OtherText = Readonly<Partial<Record<Language, OwnWords>>>;

export interface ComposedText {
  readonly phases: readonly PhaseText[];
  readonly hasMilk: boolean;
  readonly hasDrinks: boolean;
  readonly fits: readonly FitText[];
  readonly otherWords: OtherText;
}

export const phaseText = ({ from, to, steps }: PrintedPhase): PhaseText => ({
  from: String(from),
  to: String(to),
  steps: String(steps),
});

export function composedText({ phases, fits, ...rest }: Composed): ComposedText {
  return {
    ...rest,
    phases: phases.map(phaseText),
    fits: AUDIENCES.map((audience) => {
      const known = fits.find((fit) => fit.audience === audience);
      return { audience, isOn: known !== undefined, tried: known?.tried ?? '' };
    }),
  };
}

/** As the command takes it: what is no figure goes on as the text it is. */
export function composedSent({ phases, fits, hasMilk, hasDrinks, otherWords }: ComposedText) {
  return {
    hasMilk,
    hasDrinks,
    otherWords,
    phases: phases.map(({ from, to, steps }) => ({
      from: readNumber(from) ?? from,
      to: readNumber(to) ?? to,
      steps: readNumber(steps) ?? steps,
    })),
    fits: fits.filter(({ isOn }) => isOn).map(({ audience, tried }) => ({ audience, tried })),
  };
}

/** For the preview; null while a figure of it cannot be read. */
export function composedOf(text: ComposedText): Composed | null {
  const { phases, ...rest } = composedSent(text);
  const isRead = phases.every((phase) => Object.values(phase).every(Number.isFinite));
  return isRead ? { ...rest, phases: phases as PrintedPhase[] } : null;
}
