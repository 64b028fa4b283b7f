/** Who did what when on one release, each shot and cup with the batch it stands on. Server only. */
import type { Db } from '@/data/database';
import { whereaboutsOf } from '@/data/dialIns';
import { listEvents, type StoredEvent } from '@/data/events';

export interface LogLine extends StoredEvent {
  /** The page where it stands; null where it has none. */
  readonly href: string | null;
}

/** Newest first. */
export function readLog(db: Db, releaseId: string): LogLine[] {
  const events = listEvents(db, releaseId);
  const placeOf = whereaboutsOf(
    db,
    events.flatMap(({ rowId }) => rowId ?? []),
  );
  return events.map((event) => {
    const place = event.rowId === null ? undefined : placeOf.get(event.rowId);
    return {
      ...event,
      href: place ? `/releases/${releaseId}/${place.stage}?dialIn=${place.dialInId}` : null,
    };
  });
}
