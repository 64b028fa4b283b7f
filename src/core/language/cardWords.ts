/** Every fixed word of a card, its page and its papers, as each language says it. */
import type { Audience } from '../fits/audience';
import type { FitCode } from '../fits/fit';
import type { BrewStyle, Clock, Process, Served } from '../vocabulary';

/** The lines of a card, by the name they have in the program. */
export type CardLine =
  | 'Coffee'
  | 'Components'
  | 'Roast'
  | 'Dose'
  | 'In the cup'
  | 'Time'
  | 'Temperature'
  | 'Ratio'
  | 'Tolerances'
  | 'Taste holds'
  | 'Programme'
  | 'Step by step'
  | 'Temperature is meant'
  | 'Basket'
  | 'Made on'
  | 'Grind'
  | 'Water'
  | 'Rest'
  | 'Served'
  | 'Look for'
  | 'The lot'
  | 'Contains'
  | 'When it is right'
  | 'When it ran short'
  | 'When it ran long'
  | 'Repeated'
  | 'Temperature school';

/** Figures come as the language writes them. */
export interface CardWords {
  readonly labels: Readonly<Record<CardLine, string>>;
  readonly clock: Readonly<Record<Clock, string>>;
  readonly process: Readonly<Record<Process, string>>;
  /** By the level each stands for, as in ROAST_WORDS. */
  readonly roast: Readonly<Record<'-2' | '-1' | '-0.5' | '0' | '0.5' | '1' | '2', string>>;
  readonly style: Readonly<Record<BrewStyle, string>>;
  readonly served: Readonly<Record<Served, string>>;
  readonly tolerances: (doseG: string, yieldG: string) => string;
  readonly holds: {
    readonly inTheCup: (g: string) => string;
    readonly within: (list: string, costPoints: string | null) => string;
  };
  readonly basket: (name: string, diameterMm: string, ratedG: string) => string;
  readonly madeOn: (machine: string, grinder: string, dial: string) => string;
  /** "2 steps" of a grinder. */
  readonly steps: (shown: string) => string;
  /** Against the card before: so many steps of that grinder (`steps`) finer or coarser. */
  readonly grindSince: (steps: string, isFiner: boolean, version: number) => string;
  readonly asSet: string;
  readonly atGroup: (shown: string) => string;
  readonly water: (hardness: string | null, alkalinity: string | null) => string;
  readonly rest: (from: string, to: string, roastDay: string) => string;
  readonly lot: {
    readonly harvest: string;
    readonly lot: string;
    readonly grownAt: (metres: string) => string;
  };
  readonly labelling: string;
  readonly roasted: (word: string) => string;
  readonly repeated: (times: number) => string;
  readonly version: (number: number, day: string) => string;
  readonly whatChanged: string;
  readonly newest: string;
  readonly caution: string;
  readonly card: {
    readonly paper: string;
    readonly document: string;
    readonly roastedOn: string;
    readonly earlier: string;
    readonly straight: string;
    readonly inMilk: string;
    readonly models: string;
  };
  readonly phases: {
    readonly title: string;
    readonly days: (from: string, to: string) => string;
    readonly asCard: string;
    readonly kept: (phased: string, one: string) => string;
    readonly against: (day: string) => string;
  };
  /** "about half a step finer"; steps are reference steps of .10 in ln time. */
  readonly grind: {
    readonly little: string;
    readonly one: string;
    readonly oneOrTwo: string;
    readonly twoOrThree: string;
    readonly several: string;
    readonly finer: (amount: string) => string;
    readonly coarser: (amount: string) => string;
  };
  readonly drinks: {
    readonly title: string;
    readonly drink: string;
    readonly cup: string;
    readonly espresso: string;
    readonly button: string;
    readonly fill: string;
    readonly milk: string;
    readonly water: string;
    readonly rough: string;
  };
  readonly fits: {
    readonly title: string;
    readonly computed: string;
    readonly tried: string;
    readonly audience: Readonly<Record<Audience, string>>;
    readonly notes: Readonly<Record<FitCode, FitSentence>>;
  };
  /** The café's sheet. */
  readonly sheet: {
    readonly title: string;
    readonly blanks: string;
    readonly checks: readonly string[];
    readonly check: string;
    readonly dose: string;
    readonly out: string;
    readonly time: string;
    readonly dial: string;
    readonly taste: string;
  };
}

export interface FitFigures {
  readonly steps: string;
  readonly s: string;
  readonly c: string;
  readonly ml: string;
  readonly share: string;
  /** What was missing stands under nought where the machine is hotter. */
  readonly isHotter: boolean;
  readonly style: string;
  readonly nearest: string;
}

export type FitSentence = (figures: FitFigures) => string;
