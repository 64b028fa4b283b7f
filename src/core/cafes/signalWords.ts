/** A signal of the field in words for the lead: what is off, since when, how sure, and what is asked first. */
import { figure } from '../figure';
import { Z_80 } from '../grinder/dial';
import { shortDayWords } from '../dayWords';
import type { Contribution } from './contributions';
import { INTERVAL_SDS } from './cafeRules';
import type { CafeSignal } from './signals';

export interface SignalNames {
  readonly cafe: (id: string) => string;
  readonly coffee: (id: string) => string;
  /** Middle of the coffee's time from the pump, s, at a café or at most of them; of any coffee where null. */
  readonly timeS: (coffee: string | null, cafe?: string) => number;
}

/** "27 Nov", of a day since 1 Jan 1970. */
export function dayOf(atDay: number): string {
  return shortDayWords(new Date(Math.floor(atDay) * 86_400_000).toISOString());
}

/** "2.1 s fast", of a difference in ln time around a time. */
export function offWords(size: number, timeS: number): string {
  const seconds = timeS * (Math.exp(size) - 1);
  return `${figure(Math.abs(seconds), 1)} s ${seconds < 0 ? 'fast' : 'slow'}`;
}

const chance = (probability: number) => `${figure(Math.min(99, 100 * probability), 0)} %`;

/** One sentence that can stand alone in a list. */
export function signalTitle(signal: CafeSignal, names: SignalNames): string {
  switch (signal.kind) {
    case 'step': {
      const { cafe, coffee, size, fromDay } = signal;
      const what = coffee === null ? 'all coffees' : names.coffee(coffee);
      return `${names.cafe(cafe)}: ${what} ${offWords(size, names.timeS(coffee, cafe))} since ${dayOf(fromDay)}`;
    }
    case 'batch': {
      const { cafes, coffee, batch, size, fromDay } = signal;
      const count = cafes.length === 1 ? 'One café' : `${cafes.length} cafés`;
      return `${count} on the batch of ${shortDayWords(batch)} of ${names.coffee(coffee)} ${cafes.length === 1 ? 'runs' : 'run'} ${offWords(size, names.timeS(coffee))} since ${dayOf(fromDay)}`;
    }
    case 'dose':
      return `${names.cafe(signal.cafe)} doses ${grams(signal.sizeG)} than it did since ${dayOf(signal.fromDay)}`;
    case 'yield':
      return `${names.cafe(signal.cafe)}: ${names.coffee(signal.coffee)} ${grams(signal.sizeG)} in the cup since ${dayOf(signal.fromDay)}`;
    case 'silence':
      return `${names.cafe(signal.cafe)} has missed ${signal.missed} checks in a row since ${dayOf(signal.fromDay)}`;
    case 'weather':
      return `${signal.region}: all cafés ${offWords(signal.size, names.timeS(null))} today: the weather`;
  }
}

const grams = (sizeG: number) => `${figure(Math.abs(sizeG), 1)} g ${sizeG > 0 ? 'more' : 'less'}`;

/** What moved one coffee at one café. */
export interface Moved {
  readonly cafe: string;
  readonly coffee: string;
  readonly parts: readonly Contribution[];
}

/** Why, how sure, and what to ask first. */
export function signalReason(signal: CafeSignal, names: SignalNames, moved?: Moved): string {
  const sure = `${chance(signal.probability)} that it is so${byWords(signal, names)}.`;
  switch (signal.kind) {
    case 'step': {
      const open =
        signal.state === 'open' ? 'May still be withdrawn.' : 'It has stood for five days.';
      const scope =
        signal.coffee === null
          ? 'All its coffees moved together, so it is the café and none of them alone.'
          : 'Its other coffees did not move.';
      return `${sure} ${scope}${movedWords(names, moved)} ${open} Times alone do not tell which: ask for a known weight on the scale, then the machine, then the grinder.`;
    }
    case 'batch':
      return `${sure} Against the batch of ${shortDayWords(signal.before)}, with age, weather and each café taken out: the batch, not the cafés.${ageWords(names, moved)}`;
    case 'dose':
      return `${sure} All its coffees; its scale or its habit. A dose that is written down is not a wrong scale.`;
    case 'yield':
      return signal.isFormer
        ? `${sure} That is the yield of the card before: the old card is still in use there.`
        : `${sure} One coffee alone: a button or a habit.`;
    case 'silence':
      return `${sure} By its own habit of missing checks. Silence is a signal too: call.`;
    case 'weather':
      return `${sure} No café is off; nothing needs to be answered.`;
  }
}

/** Half of an interval; what rounds to nothing is still not nothing. */
const halfWords = (half: number) => (half < 0.05 ? 'under 0.1' : figure(half, 1));

/** ", by 2.6 ± 0.8 s": how far, likely so far either way 8 times in 10. */
function byWords(signal: CafeSignal, names: SignalNames): string {
  switch (signal.kind) {
    case 'silence':
      return '';
    case 'dose':
    case 'yield':
      return `, by ${figure(Math.abs(signal.sizeG), 1)} ± ${halfWords(Z_80 * signal.sdG)} g`;
    default: {
      const timeS = names.timeS(
        'coffee' in signal ? signal.coffee : null,
        'cafe' in signal ? signal.cafe : undefined,
      );
      const sizeS = Math.abs(timeS * (Math.exp(signal.size) - 1));
      return `, by ${figure(sizeS, 1)} ± ${halfWords(INTERVAL_SDS * signal.sd * timeS)} s`;
    }
  }
}

const CAUSE_WORDS: Readonly<Record<Contribution['cause'], string>> = {
  cafe: 'the café',
  dial: 'its dial',
  batch: 'the batch',
  age: 'age',
  weather: 'weather',
};

/** A part under so much is not worth a word, s. */
const LEAST_S = 0.3;

/** " Age alone would make it 0.6 s fast.": what a batch that runs otherwise does not owe to its roast. */
function ageWords({ timeS }: SignalNames, moved?: Moved): string {
  const age = moved?.parts.find(({ cause }) => cause === 'age');
  if (!moved || !age) return '';
  const atCafe = timeS(moved.coffee, moved.cafe);
  return isWorthSaying(age, atCafe)
    ? ` Age alone would make it ${offWords(age.size, atCafe)}.`
    : '';
}

const isWorthSaying = ({ size }: Contribution, timeS: number) =>
  timeS * Math.abs(Math.exp(size) - 1) >= LEAST_S;

/** " Harbour Lamp against one to three weeks ago: the café 2.1 s fast, age .6 s fast." */
function movedWords(names: SignalNames, moved?: Moved): string {
  if (moved === undefined) return '';
  const { cafe, coffee, parts } = moved;
  const timeS = names.timeS(coffee, cafe);
  const told = parts
    .filter((part) => isWorthSaying(part, timeS))
    .sort((a, b) => Math.abs(b.size) - Math.abs(a.size))
    .map(
      ({ cause, size, sd }) =>
        `${CAUSE_WORDS[cause]} ${offWords(size, timeS)} (± ${halfWords(INTERVAL_SDS * sd * timeS)})`,
    );
  if (told.length === 0) return '';
  return ` ${names.coffee(coffee)} against one to three weeks ago: ${told.join(', ')}.`;
}

const minuteOf = (day: number) => Math.round(1440 * day);

/** The same signal has the same name from day to day: what was found is remembered by it. */
export function signalKey(signal: CafeSignal): string {
  switch (signal.kind) {
    case 'step':
      return `step ${signal.cafe} ${minuteOf(signal.openedDay)}`;
    case 'batch':
      return `${batchKeys(signal.coffee)}${signal.batch}`;
    case 'dose':
      return `dose ${signal.cafe} ${Math.floor(signal.fromDay / 7)}`;
    case 'yield':
      return `yield ${signal.cafe} ${signal.coffee} ${Math.floor(signal.fromDay / 7)}`;
    case 'silence':
      return `silence ${signal.cafe} ${minuteOf(signal.fromDay)}`;
    case 'weather':
      return `weather ${signal.region} ${signal.size > 0 ? 'slow' : 'fast'}`;
  }
}

const batchKeys = (coffee: string) => `batch ${coffee} `;

/** The batch of a coffee that a remembered signal was about; null for any other signal. */
export function batchOfKey(key: string, coffee: string): string | null {
  const start = batchKeys(coffee);
  return key.startsWith(start) ? key.slice(start.length) : null;
}
