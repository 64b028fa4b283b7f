'use client';

import { useSyncExternalStore } from 'react';
import { momentWords } from '@/core/dayWords';
import { usePerson } from './person';

const never = () => () => undefined;
const zoneHere = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/**
 * A moment in the time of the house, and beside it what the reader's own clock showed where that differs. What
 * the server sends has the house's alone: it does not know where its readers are.
 */
export function useMoment(): (at: string) => string {
  const { timeZone } = usePerson();
  const reader = useSyncExternalStore(never, zoneHere, () => timeZone);
  return (at) => {
    const house = momentWords(at, timeZone);
    const own = momentWords(at, reader);
    return own === house ? house : `${house} (${own} where you are)`;
  };
}

/** The same as a mark in running text or a table. */
export function Moment({ at }: { at: string }) {
  const moment = useMoment();
  return <time dateTime={at}>{moment(at)}</time>;
}
