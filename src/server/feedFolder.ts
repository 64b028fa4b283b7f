/** Keeps the folder of cards for a web host up with what is public, where the house names one. */
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { publicState } from '@/data/publications';
import { refreshSite } from './site';

let fed = '';
let feeding: Promise<void> | undefined;

/** Feeds it when what is public changed since it was last fed; one after the other. */
export async function feedFolder(db: Db): Promise<void> {
  await feeding;
  const folder = findHouse(db)?.siteFolder ?? '';
  const state = `${folder} ${publicState(db)}`;
  if (folder === '' || state === fed) return;
  feeding = refreshSite(db, folder).then(() => {
    fed = state;
  });
  try {
    await feeding;
  } finally {
    feeding = undefined;
  }
}
