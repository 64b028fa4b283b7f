/** How a quantity is typed and shown in a person's units; forms and server keep grams, millilitres and °C. */
import { dialFault, dialWords, readDial, type Notation } from '@/core/grinder/notation';
import { LIMITS, type LimitName } from '@/core/limits';
import { readNumber } from '@/core/readNumber';
import {
  celsiusOf,
  F_PER_C,
  fahrenheitOf,
  fluidOuncesOf,
  ML_PER_FL_OZ,
  VOLUME_LABELS,
  type Units,
} from '@/core/units';
import { inWords } from '@/words/faults';
import { KEPT_DIGITS, tidy } from './nudge';

export interface QuantityUnit {
  readonly label: string;
  readonly toShown: (kept: number) => number;
  readonly toKept: (shown: number) => number;
  /** What one press of an arrow key changes in the shown figure. */
  readonly stepOf: (keptStep: number) => number;
  readonly digits: number;
}

const same = (value: number) => value;

export function quantityUnit(quantity: LimitName, units: Units): QuantityUnit {
  const { unit } = LIMITS[quantity];
  if (unit === 'ml' && units.volume === 'flOz')
    return {
      label: VOLUME_LABELS.flOz,
      toShown: fluidOuncesOf,
      toKept: (shown) => shown * ML_PER_FL_OZ,
      // A millilitre is less than a mark on a cup: a twentieth of a fluid ounce is read.
      stepOf: (step) => 0.05 * step,
      digits: 2,
    };
  if (unit === '°C' && units.temperature === 'F') {
    // A difference of temperature has no zero point to move.
    const isDifference = quantity === 'displayOffsetC';
    return {
      label: '°F',
      toShown: isDifference ? (kept) => kept * F_PER_C : fahrenheitOf,
      toKept: isDifference ? (shown) => shown / F_PER_C : celsiusOf,
      // Half a degree Celsius is most of one Fahrenheit: machines set whole ones.
      stepOf: (step) => 2 * step,
      digits: 1,
    };
  }
  return { label: unit, toShown: same, toKept: same, stepOf: same, digits: 3 };
}

/** How a field's text is shown and read; what is kept is a figure as text, or the text nobody understood. */
export interface Reading {
  readonly label: string;
  readonly show: (kept: string) => string;
  readonly keep: (typed: string) => string;
  /** One press of an arrow key, as kept. */
  readonly stepOf: (step: number) => number;
  /** More to the point than what the server says of a text it cannot read. */
  readonly faultOf: (typed: string) => string | null;
  readonly inputMode: 'decimal' | 'text';
}

/** A quantity in a person's units. */
export function figureReading(quantity: LimitName, units: Units): Reading {
  const unit = quantityUnit(quantity, units);
  return {
    label: unit.label,
    show: (kept) => converted(kept, unit.toShown, unit.digits),
    keep: (typed) => converted(typed, unit.toKept, KEPT_DIGITS),
    stepOf: (step) => unit.toKept(unit.stepOf(step)) - unit.toKept(0),
    faultOf: () => null,
    inputMode: 'decimal',
  };
}

/** A dial in the notation of its grinder. */
export function dialReading(grinder: Notation): Reading {
  const isPlain = (grinder.notation ?? 'numbers') === 'numbers';
  return {
    label: '',
    show: (kept) => {
      const dial = readNumber(kept);
      return isPlain || typeof dial !== 'number' ? kept : dialWords(grinder, dial);
    },
    // "9." is on its way to "9.5": a plain number stays as typed.
    keep: (typed) => (isPlain ? typed : String(readDial(grinder, typed) ?? '')),
    stepOf: same,
    faultOf: (typed) => {
      const wrong = dialFault(grinder, typed);
      return wrong && inWords(wrong);
    },
    inputMode: isPlain || grinder.notation === 'turns' ? 'decimal' : 'text',
  };
}

/** A typed figure in another unit; what is no figure stays as it is. */
function converted(text: string, convert: (value: number) => number, digits: number): string {
  const value = readNumber(text);
  if (typeof value !== 'number') return text;
  const other = convert(value);
  // The same unit keeps the text itself: "36." is on its way to "36.5".
  return other === value ? text : tidy(other, digits);
}
