/** How a quantity is typed and shown in a person's units; forms and server keep grams and °C. */
import { LIMITS, type LimitName } from '@/core/limits';
import { celsiusOf, F_PER_C, fahrenheitOf, G_PER_OZ, ouncesOf, type Units } from '@/core/units';

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
  if (unit === 'g' && units.mass === 'oz')
    return {
      label: 'oz',
      toShown: ouncesOf,
      toKept: (shown) => shown * G_PER_OZ,
      stepOf: ouncesOf,
      digits: 3,
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
