/** Checks and planned cards of every release at hand, for the calendar. Server only. */
import { checkWords, plannedChecks } from '@/core/rest/checkPlan';
import { addDays } from '@/core/rest/day';
import { runToEnd } from '@/core/runToEnd';
import { dayWords } from '@/core/dayWords';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { cached } from '@/data/cache';
import { findPlanned } from '@/data/printed';
import { listAtHand } from '@/data/releases';
import type { CalendarEvent } from '@/formats/calendar';
import { gramsOfCheck } from './checks';
import { releasesInSteps } from './release';
import { LONGEST_USE_DAYS, RESTS_ON } from './today';

/** Past checks stay so long. */
const DAYS_BACK = 30;

export function readCalendar(db: Db, house: House, today: string): readonly CalendarEvent[] {
  return cached(db, { name: 'calendar', tags: RESTS_ON, key: today }, () => {
    const closed = { weekdays: house.closedWeekdays, dates: house.closedDates };
    const ids = listAtHand(db, addDays(today, -LONGEST_USE_DAYS));
    const views = runToEnd(releasesInSteps(db, house, ids, { today }));
    const since = addDays(today, -DAYS_BACK);
    return views.flatMap(({ release, batches, bench }): CalendarEvent[] => {
      const grams = Math.round(gramsOfCheck(bench));
      const checks = batches.flatMap((batch) =>
        plannedChecks(batch, closed).map((check) => ({
          id: `check-${batch.id}-${check.asked?.id ?? check.kind}`,
          day: check.day,
          title: `${release.name}: check ${checkWords(check)}`,
          words: `Batch roasted ${dayWords(batch.roastDate)}. Two shots and a purge, about ${grams} g.`,
        })),
      );
      const planned = findPlanned(db, release.id);
      const card = planned
        ? [
            {
              id: `card-${release.id}`,
              day: planned.onDay,
              title: `${release.name}: the card goes out`,
              words: planned.heldBecause ?? 'As it was composed, if its recipe is still the same.',
            },
          ]
        : [];
      return [...checks, ...card].filter(({ day }) => day >= since);
    });
  });
}
