/** The state of the house form: every field as typed, and what is sent of it. No DOM. */
import { BATCH } from '@/core/entity/batch';
import { quantity } from '@/core/entity/field';
import { HOUSE } from '@/core/entity/house';
import type { Fill } from '@/core/fits/drinks';
import { ROAST_WORDS } from '@/core/vocabulary';
import type { House } from '@/data/house';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';

export type HouseText = EntryText<typeof HOUSE> & {
  readonly closedWeekdays: readonly number[];
  readonly closedDates: string;
  /** The cups of the bar, as typed. */
  readonly drinks: readonly DrinkText[];
  /** Readings by roast word, as typed. */
  readonly roastMap: readonly { roastLevel: number; colourBean: string; colourGround: string }[];
};

export interface DrinkText {
  readonly name: string;
  readonly cupMl: string;
  readonly shots: string;
  readonly fill: Fill;
}

const CUP = { cupMl: quantity('cupMl', {}) } as const;
const READING = { colourBean: BATCH.colourBean, colourGround: BATCH.colourGround } as const;

export function houseTextOf(house: House): HouseText {
  return {
    ...textOf(HOUSE, house),
    closedWeekdays: house.closedWeekdays,
    closedDates: house.closedDates.join(', '),
    drinks: house.drinks.map(({ cupMl, shots, ...drink }) => ({
      ...drink,
      cupMl: String(cupMl),
      shots: String(shots),
    })),
    roastMap: ROAST_WORDS.map(({ level }) => ({
      roastLevel: level,
      ...textOf(READING, house.roastMap.find(({ roastLevel }) => roastLevel === level) ?? {}),
    })),
  };
}

export function houseSent(text: HouseText) {
  return {
    ...sentOf(HOUSE, text),
    currency: text.currency.trim().toUpperCase(),
    closedWeekdays: text.closedWeekdays,
    closedDates: text.closedDates
      .split(',')
      .map((day) => day.trim())
      .filter((day) => day !== ''),
    // A row nothing was typed into is none.
    drinks: text.drinks
      .filter(({ name, cupMl }) => name.trim() !== '' || cupMl.trim() !== '')
      .map(({ name, cupMl, shots, fill }) => ({
        name,
        ...sentOf(CUP, { cupMl }),
        shots: Number(shots),
        fill,
      })),
    roastMap: text.roastMap
      .map(({ roastLevel, ...reading }) => ({ roastLevel, ...sentOf(READING, reading) }))
      .filter(
        ({ colourBean, colourGround }) => colourBean !== undefined || colourGround !== undefined,
      ),
  };
}
