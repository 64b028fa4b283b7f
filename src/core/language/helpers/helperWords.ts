/** The words of what a card's page can do for its reader, as each language says them. */
import type { AdviceStatus } from '../../advice/types';
import type { CardReaderTaste } from '../../advice/cardReader';

export interface HelperWords {
  readonly today: {
    readonly title: string;
    readonly roasted: string;
    readonly find: string;
    readonly isDay: (day: number) => string;
    readonly isIn: (days: string, grind: string) => string;
    readonly tooFresh: (day: number) => string;
    readonly tooOld: (day: number) => string;
    readonly noDay: string;
  };
  readonly fit: {
    readonly title: string;
    readonly diameter: string;
    readonly rated: string;
    readonly heat: string;
    readonly heatHint: string;
    readonly clock: string;
    readonly canShape: string;
    readonly lever: string;
    readonly noScale: string;
    readonly pressurised: string;
    readonly show: string;
    readonly none: string;
  };
  readonly shot: {
    readonly title: string;
    readonly time: string;
    readonly out: string;
    readonly outMl: string;
    readonly dose: string;
    readonly drip: string;
    readonly moved: string;
    readonly movedHint: string;
    readonly tasted: string;
    readonly taste: Readonly<Record<CardReaderTaste, string>>;
    readonly notTasted: string;
    readonly ask: string;
    readonly again: string;
    readonly nth: (number: number) => string;
  };
  readonly clock: {
    readonly title: string;
    readonly start: string;
    readonly drip: string;
    readonly stop: string;
    readonly reset: string;
    readonly take: string;
  };
  readonly remark: {
    readonly title: string;
    readonly text: string;
    readonly hint: string;
    readonly send: string;
    readonly sent: string;
    readonly failed: string;
  };
  readonly answer: {
    /** What to do, where nothing is moved. */
    readonly keep: Readonly<Record<Exclude<AdviceStatus, 'grind' | 'dose'>, string>>;
    readonly grind: (amount: string) => string;
    readonly finer: (steps: string) => string;
    readonly coarser: (steps: string) => string;
    readonly dose: (g: string) => string;
    readonly stopAt: (g: string) => string;
    readonly heat: (c: string) => string;
    readonly fast: (s: string) => string;
    readonly slow: (s: string) => string;
    /** Of a shot whose yield was another: what its time means at the card's. */
    readonly fastFor: (g: string) => string;
    readonly slowFor: (g: string) => string;
    readonly inside: string;
    readonly tasted: Readonly<Record<CardReaderTaste, string>>;
    readonly oneThing: string;
  };
  readonly wrong: (field: string, from: string, to: string) => string;
  readonly broke: string;
}
