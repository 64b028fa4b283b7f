import 'server-only';

import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { database } from '@/data/database';
import { findHouse, findLead, type House, type Person } from '@/data/house';
import { readRelease, type ReleaseView } from '@/data/releaseView';
import { today } from '@/data/today';

/** The house of this request; an empty database leads to the set-up. */
export const loadHouse = cache((): { house: House; lead: Person } => {
  const house = findHouse(database());
  const lead = findLead(database());
  if (!house || !lead) redirect('/welcome');
  return { house, lead };
});

/** A release as the screens show it, read once per request. */
export const loadRelease = cache((id: string): ReleaseView => {
  const { house } = loadHouse();
  return readRelease(database(), house, id, today()) ?? notFound();
});
