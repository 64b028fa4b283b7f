/** What the page of today shows, from how the house stands: rows of strips, a due list, the rest. */
import { batchAge } from '@/core/state/batchAge';
import { say } from '@/words/say';
import type { Due } from '@/core/due/due';
import { daysBetween } from '@/core/rest/day';
import type { BatchView } from '@/views/release';
import type { Standings } from '@/views/today';
import type { CalendarStripProps } from '@/ui/CalendarStrip';
import { markWords } from '@/ui/markWords';

export interface StripRow extends Pick<CalendarStripProps, 'edges' | 'frozen' | 'marks'> {
  readonly key: string;
  readonly releaseId: string;
  readonly name: string;
  readonly batch: string;
  readonly state: string;
}

export interface DueRow extends Due {
  readonly releaseId: string;
  readonly name: string;
  /** The batch the last recipe can be carried over to from here. */
  readonly toCarry: string | null;
}

/** As many past releases are listed by name; the others are found by words and years. */
export const MOST_PAST = 40;

export interface TodayRows {
  readonly strips: readonly StripRow[];
  readonly due: readonly DueRow[];
  /** Releases the house has no more to do with; the newest of them by name. */
  readonly past: { readonly count: number; readonly newest: readonly ReleaseName[] };
}

interface ReleaseName {
  readonly id: string;
  readonly name: string;
}

export function todayRows(
  standings: readonly Standings[],
  today: string,
  { names, count }: { names: readonly ReleaseName[]; count: number },
): TodayRows {
  const present = new Set(standings.map(({ id }) => id));
  const strips = standings.flatMap(({ active, ...release }) =>
    active.map((batch) => stripRow(release, batch, today)),
  );
  const due = standings.flatMap(({ id, name, toCarry, due: items }) =>
    items.map((item) => ({
      ...item,
      releaseId: id,
      name,
      toCarry: item.code === 'newBatch' ? toCarry : null,
    })),
  );
  return {
    // Freshest first: what comes next stands under what is here.
    strips: strips.sort((a, b) => b.edges[0] - a.edges[0]),
    due: due.sort((a, b) => b.urgency - a.urgency),
    past: {
      count: count - present.size,
      newest: names.filter(({ id }) => !present.has(id)).slice(0, MOST_PAST),
    },
  };
}

function stripRow(
  { id, name }: { id: string; name: string },
  { id: batchId, label, roastDate, rest, marks, frozen }: BatchView,
  today: string,
): StripRow {
  const fromToday = (day: string) => daysBetween(today, day);
  return {
    key: batchId,
    releaseId: id,
    name,
    batch: label,
    state: say(batchAge({ roastDate, rest }, today)),
    edges: [
      fromToday(roastDate),
      fromToday(rest.openOn),
      fromToday(rest.bestFrom),
      fromToday(rest.bestTo),
      fromToday(rest.fadesOn),
    ],
    frozen: frozen.map(({ from, to = today }) => [fromToday(from), fromToday(to)] as const),
    marks: marks.map((mark) => ({
      kind: mark.kind,
      day: fromToday(mark.day),
      label: markWords(mark),
    })),
  };
}
