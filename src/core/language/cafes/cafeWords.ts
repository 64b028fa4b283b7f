/** What a café's check sheet and the answers it gets say, as each language says it. Figures come written. */
import type { CheckTaste } from '../../entity/cafeCheck';

export interface CafeWords {
  readonly title: string;
  readonly target: string;
  readonly dial: string;
  readonly roasted: string;
  readonly taste: string;
  readonly tastes: Readonly<Record<CheckTaste, string>>;
  readonly remark: string;
  readonly send: string;
  /** Gives up a sheet that was refused. */
  readonly drop: string;
  readonly sent: string;
  readonly waits: string;
  readonly help: string;
  readonly helpNote: string;
  readonly askHelp: string;
  readonly drinks: string;
  /** The house asks for one more round of every coffee. */
  readonly round: string;
  readonly nothing: string;
  readonly away: string;
  readonly clock: string;
  /** What a check asks for, before the grind. */
  readonly doseTo: (off: string, to: string) => string;
  readonly yieldTo: (off: string, to: string) => string;
  readonly choked: string;
  readonly vent: string;
  /** What this machine asks for: what still runs in after the stop, a flush. */
  readonly stopAt: (g: string) => string;
  readonly flush: (s: string) => string;
  readonly stay: string;
  readonly again: string;
  readonly purge: string;
  readonly tasteOff: string;
  readonly from: (from: string, to: string) => string;
  readonly reply: {
    readonly greeting: (people: string) => string;
    readonly fast: (coffee: string, s: string) => string;
    readonly slow: (coffee: string, s: string) => string;
    readonly all: string;
    readonly batch: string;
    readonly dose: (off: string, to: string) => string;
    readonly yield: (coffee: string, off: string, to: string) => string;
    readonly former: string;
    readonly silent: string;
    /** Known weight, then machine, then grinder. */
    readonly order: string;
    readonly one: (what: string) => string;
    readonly round: string;
    readonly thanks: string;
  };
}
