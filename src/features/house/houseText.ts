/** The state of the house form: every field as typed, and what is sent of it. No DOM. */
import { BATCH } from '@/core/entity/batch';
import { HOUSE } from '@/core/entity/house';
import { ROAST_WORDS } from '@/core/vocabulary';
import type { House } from '@/data/house';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';

export type HouseText = EntryText<typeof HOUSE> & {
  readonly closedWeekdays: readonly number[];
  readonly closedDates: string;
  /** Readings by roast word, as typed. */
  readonly roastMap: readonly { roastLevel: number; colourBean: string; colourGround: string }[];
};

const READING = { colourBean: BATCH.colourBean, colourGround: BATCH.colourGround } as const;

export function houseTextOf(house: House): HouseText {
  return {
    ...textOf(HOUSE, house),
    closedWeekdays: house.closedWeekdays,
    closedDates: house.closedDates.join(', '),
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
    roastMap: text.roastMap
      .map(({ roastLevel, ...reading }) => ({ roastLevel, ...sentOf(READING, reading) }))
      .filter(
        ({ colourBean, colourGround }) => colourBean !== undefined || colourGround !== undefined,
      ),
  };
}
