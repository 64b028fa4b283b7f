/** A release as the screens get it, made by real commands in a house in memory. */
import { findHouse } from '@/data/house';
import { readPull, type PullView } from '@/views/pull';
import { readRelease, type ReleaseView } from '@/views/release';
import { openHouse, send, shotInput, TODAY, type TestHouse } from './house';

export interface ViewedHouse extends TestHouse {
  readonly view: () => ReleaseView;
  /** What Pull shows beyond it. */
  readonly pull: () => PullView;
}

/** A house after these shots, each given as what differs from one on target. */
export function houseWith(...shots: Record<string, unknown>[]): ViewedHouse {
  const house = openHouse();
  for (const changes of shots) send(house.db, 'logShot', shotInput(house.draftId, changes));
  const view = () =>
    readRelease(house.db, findHouse(house.db)!, house.releaseId, { today: TODAY })!;
  const pull = () => readPull(house.db, findHouse(house.db)!, view(), view().bench!);
  return { ...house, view, pull };
}
