/** The state of the house form: every field as typed, and what is sent of it. No DOM. */
import { ROAST_WORDS } from '@/core/vocabulary';
import type { House } from '@/data/house';
import { readNumber } from '@/core/readNumber';

export interface HouseText {
  readonly name: string;
  readonly brewStyle: string;
  readonly temperatureSchool: string;
  readonly restSchool: string;
  readonly clock: string;
  readonly tasteFirst: boolean;
  readonly doseToleranceG: string;
  readonly yieldToleranceG: string;
  readonly currency: string;
  readonly coffeePricePerKg: string;
  readonly closedWeekdays: readonly number[];
  readonly closedDates: string;
  readonly publicAddress: string;
  /** Readings by roast word, as typed. */
  readonly roastMap: readonly { roastLevel: number; colourBean: string; colourGround: string }[];
}

const shown = (value: number | undefined) => (value === undefined ? '' : String(value));

export function houseTextOf(house: House): HouseText {
  const { rowVersion: _rowVersion, rules: _rules, halfLife: _halfLife, ...own } = house;
  const { coffeePricePerKg, closedDates, roastMap, ...rest } = own;
  return {
    ...rest,
    doseToleranceG: shown(house.doseToleranceG),
    yieldToleranceG: shown(house.yieldToleranceG),
    coffeePricePerKg: shown(coffeePricePerKg),
    closedDates: closedDates.join(', '),
    roastMap: ROAST_WORDS.map(({ level }) => {
      const own = roastMap.find(({ roastLevel }) => roastLevel === level);
      return {
        roastLevel: level,
        colourBean: shown(own?.colourBean),
        colourGround: shown(own?.colourGround),
      };
    }),
  };
}

export function houseInputOf(text: HouseText) {
  return {
    ...text,
    doseToleranceG: readNumber(text.doseToleranceG),
    yieldToleranceG: readNumber(text.yieldToleranceG),
    coffeePricePerKg: readNumber(text.coffeePricePerKg),
    currency: text.currency.trim().toUpperCase(),
    closedDates: text.closedDates
      .split(',')
      .map((day) => day.trim())
      .filter((day) => day !== ''),
    roastMap: text.roastMap
      .map(({ roastLevel, colourBean, colourGround }) => ({
        roastLevel,
        colourBean: readNumber(colourBean),
        colourGround: readNumber(colourGround),
      }))
      .filter(
        ({ colourBean, colourGround }) => colourBean !== undefined || colourGround !== undefined,
      ),
  };
}
