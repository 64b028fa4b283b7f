/** The releases of the house as the start page lists them. */
import type { Db } from './database';
import type { House } from './house';
import { readRelease, type ReleaseView } from './releaseView';
import { listReleaseNames } from './releases';

/** Every release as it stands today, newest first. */
export function readShelf(db: Db, house: House, today: string): ReleaseView[] {
  return listReleaseNames(db).flatMap(({ id }) => readRelease(db, house, id, today) ?? []);
}
