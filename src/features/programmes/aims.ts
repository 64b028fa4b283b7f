/** What each brew style asks of the house's reference coffee: what a programme is tried with. Server only. */
import { proposeFrom } from '@/core/start/propose';
import type { Recipe } from '@/core/schema/recipe';
import { STYLES, type BrewStyle } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { readHouseModel } from '@/views/houseModel';
import { REFERENCE_COFFEE } from './reference';

export type Aims = Readonly<Record<BrewStyle, Recipe>>;

export function readAims(db: Db, house: House): Aims {
  const model = readHouseModel(db, house).modelOf(house.temperatureSchool);
  const { roastLevel, restDays } = REFERENCE_COFFEE;
  const aims = STYLES.map((style) => {
    const release = { roastLevel, restDays, process: 'washed' as const };
    return [style, proposeFrom(model, { release, style }).recipe];
  });
  return Object.fromEntries(aims) as Record<BrewStyle, Recipe>;
}
