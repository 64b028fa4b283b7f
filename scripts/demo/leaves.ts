/** What leaves the demo house beside its recipes, and the bags it holds back for their checks. */
import { findAddress } from '@/data/publications';
import { addDays } from '@/core/rest/day';
import type { Db } from '@/data/database';
import { listMessages } from '@/data/messages';
import { today } from '@/data/today';
import type { DemoWorker } from './worker';

interface Asked {
  readonly db: Db;
  readonly worker: DemoWorker;
  readonly lead: string;
  readonly bench: string;
}

/** Bags of the newest batch: one in use, one held back, one that lay in the freezer for a while. */
export function setBagsAside({ worker, bench }: Asked, releaseId: string): void {
  const { batch } = worker.view(releaseId);
  const bags = [
    { label: 'A', bagG: 250, place: 'shelf by the grinder' },
    { label: 'B', bagG: 250, place: 'drawer, closed' },
    {
      label: 'C',
      bagG: 250,
      place: 'freezer',
      frozenOn: addDays(today(), -3),
      thawedOn: addDays(today(), -1),
    },
  ];
  const [first] = bags.map((sample) =>
    worker.run('saveSample', { batchId: batch.id, sample }, bench),
  );
  worker.run('openSample', { batchId: batch.id, sampleId: first!.sampleId }, bench);
}

/** Papers of a card that were printed: of the version before too, so that some are stale. */
export function printPapers({ worker, bench }: Asked, releaseId: string): void {
  worker.run('notePrinted', { releaseId, paper: 'bag', copies: 120 }, bench);
  worker.run('notePrinted', { releaseId, paper: 'label', copies: 6 }, bench);
}

/** Readers of two cards. */
export function hearReaders({ db, worker }: Asked, releases: readonly string[]): void {
  const said = [
    { language: 'de', words: 'Bei uns mit 17 g etwas dünn, mit 17,8 g sehr schön.' },
    {
      language: 'en',
      words: 'Lovely in a small milk drink. Our grinder needed three steps finer.',
    },
  ];
  releases.forEach((releaseId, i) => {
    const { token } = findAddress(db, releaseId)!;
    const version = worker.view(releaseId).versions[0]!.number;
    worker.run('leaveRemark', { token, version, ...said[i % said.length] }, null);
  });
}

/** The calendar gets an address. */
export function openCalendar({ worker, lead }: Asked): void {
  worker.run('renewCalendar', {}, lead);
}

/** Partners and team were told of all that is older than so many days. */
export function tellOfThePast({ db, worker, lead }: Asked, daysAgo: number): void {
  const since = addDays(today(), -daysAgo);
  const untold = () =>
    listMessages(db).filter(({ filedAt, madeAt }) => filedAt === null && madeAt < since);
  for (let some = untold(); some.length > 0; some = untold())
    for (const { id } of some) worker.run('fileMessage', { messageId: id }, lead);
}
