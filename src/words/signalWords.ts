/** A signal of the cafés in words for the lead: what is off, since when, how sure, and what is asked first. */
import { INTERVAL_SDS } from '@/core/cafes/cafeRules';
import type { Contribution } from '@/core/cafes/contributions';
import type { CafeSignal } from '@/core/cafes/signals';
import { chanceMessage } from '@/core/chance';
import { shortDayWords } from '@/core/dayWords';
import { Z_80 } from '@/core/grinder/dial';
import type { Message } from '@/core/message';
import { say } from './say';

export interface SignalNames {
  readonly cafe: (id: string) => string;
  readonly coffee: (id: string) => string;
  /** How many coffees a café is asked about. */
  readonly coffeesAt: (cafe: string) => number;
  /** Middle of the coffee's time from the pump, s, at a café or at most of them; of any coffee where null. */
  readonly timeS: (coffee: string | null, cafe?: string) => number;
}

/** "27 Nov", of a day since 1 Jan 1970. */
export function dayOf(atDay: number): string {
  return shortDayWords(new Date(Math.floor(atDay) * 86_400_000).toISOString());
}

const said = (name: string, values: Message['values'] = {}): Message => ({
  id: `cafes.${name}`,
  values,
});

/** "2.1 s fast", of a difference in ln time around a time. */
function off(size: number, timeS: number): Message {
  const seconds = timeS * (Math.exp(size) - 1);
  return said('off', { seconds: Math.abs(seconds), side: seconds < 0 ? 'fast' : 'slow' });
}

/** One sentence that can stand alone in a list. */
export function signalTitle(signal: CafeSignal, names: SignalNames): string {
  return say(said(`title.${signal.kind}`, titleValues(signal, names)));
}

function titleValues(signal: CafeSignal, names: SignalNames): Message['values'] {
  const side = (sizeG: number) => ({
    sizeG: Math.abs(sizeG),
    side: sizeG > 0 ? 'more' : 'less',
  });
  switch (signal.kind) {
    case 'step': {
      const { cafe, coffee, size, fromDay } = signal;
      return {
        cafe: names.cafe(cafe),
        scope: scopeOf(signal, names),
        coffee: coffee === null ? '' : names.coffee(coffee),
        off: off(size, names.timeS(coffee, cafe)),
        since: dayOf(fromDay),
      };
    }
    case 'batch': {
      const { cafes, coffee, batch, size, fromDay } = signal;
      return {
        cafes: cafes.length,
        batch: shortDayWords(batch),
        coffee: names.coffee(coffee),
        off: off(size, names.timeS(coffee)),
        since: dayOf(fromDay),
      };
    }
    case 'dose':
      return {
        cafe: names.cafe(signal.cafe),
        ...side(signal.sizeG),
        since: dayOf(signal.fromDay),
      };
    case 'yield':
      return {
        cafe: names.cafe(signal.cafe),
        coffee: names.coffee(signal.coffee),
        ...side(signal.sizeG),
        since: dayOf(signal.fromDay),
      };
    case 'silence':
      return {
        cafe: names.cafe(signal.cafe),
        missed: signal.missed,
        since: dayOf(signal.fromDay),
      };
    case 'weather':
      return { region: signal.region, off: off(signal.size, names.timeS(null)) };
  }
}

/** What moved one coffee at one café. */
export interface Moved {
  readonly cafe: string;
  readonly coffee: string;
  readonly parts: readonly Contribution[];
}

/** Of all its coffees, of its only one, or of one among several. */
const scopeOf = (
  { cafe, coffee }: Extract<CafeSignal, { kind: 'step' }>,
  { coffeesAt }: SignalNames,
): 'all' | 'only' | 'one' => (coffeesAt(cafe) === 1 ? 'only' : coffee === null ? 'all' : 'one');

/** Why, how sure, and what to ask first. */
export function signalReason(signal: CafeSignal, names: SignalNames, moved?: Moved): string {
  const sure = said('sure', {
    chance: chanceMessage(signal.probability, 'start'),
    by: byOf(signal, names),
  });
  return say(said(`reason.${signal.kind}`, { sure, ...reasonValues(signal, names, moved) }));
}

function reasonValues(signal: CafeSignal, names: SignalNames, moved?: Moved): Message['values'] {
  switch (signal.kind) {
    case 'step':
      return {
        scope: scopeOf(signal, names),
        moved: movedOf(names, moved),
        state: signal.state,
      };
    case 'batch':
      return { before: shortDayWords(signal.before), age: ageOf(names, moved) };
    case 'yield':
      return { card: signal.isFormer ? 'former' : 'own' };
    default:
      return {};
  }
}

/** Half of an interval; what rounds to nothing is still not nothing. */
const halfOf = (half: number): Message =>
  half < 0.05 ? said('half.little') : said('half.figure', { half });

/** ", by 2.6 ± 0.8 s": how far, likely so far either way 8 times in 10. */
function byOf(signal: CafeSignal, names: SignalNames): Message | string {
  switch (signal.kind) {
    case 'silence':
      return '';
    case 'dose':
    case 'yield':
      return said('by', {
        size: Math.abs(signal.sizeG),
        half: halfOf(Z_80 * signal.sdG),
        unit: 'g',
      });
    default: {
      const timeS = names.timeS(
        'coffee' in signal ? signal.coffee : null,
        'cafe' in signal ? signal.cafe : undefined,
      );
      return said('by', {
        size: Math.abs(timeS * (Math.exp(signal.size) - 1)),
        half: halfOf(INTERVAL_SDS * signal.sd * timeS),
        unit: 's',
      });
    }
  }
}

/** A part under so much is not worth a word, s. */
const LEAST_S = 0.3;

/** " Age alone would make it 0.6 s fast.": what a batch that runs otherwise does not owe to its roast. */
function ageOf({ timeS }: SignalNames, moved?: Moved): Message | string {
  const age = moved?.parts.find(({ cause }) => cause === 'age');
  if (!moved || !age) return '';
  const atCafe = timeS(moved.coffee, moved.cafe);
  return isWorthSaying(age, atCafe) ? said('age', { off: off(age.size, atCafe) }) : '';
}

const isWorthSaying = ({ size }: Contribution, timeS: number) =>
  timeS * Math.abs(Math.exp(size) - 1) >= LEAST_S;

/** " Harbour Lamp against the days before: the café 2.1 s fast, age .6 s fast." */
function movedOf(names: SignalNames, moved?: Moved): Message | string {
  if (moved === undefined) return '';
  const { cafe, coffee, parts } = moved;
  const timeS = names.timeS(coffee, cafe);
  const told = parts
    .filter((part) => isWorthSaying(part, timeS))
    .sort((a, b) => Math.abs(b.size) - Math.abs(a.size))
    .map(({ cause, size, sd }) =>
      say(
        said('part', {
          cause,
          off: off(size, timeS),
          half: halfOf(INTERVAL_SDS * sd * timeS),
        }),
      ),
    );
  if (told.length === 0) return '';
  return said('moved', { coffee: names.coffee(coffee), parts: told.join(', ') });
}
