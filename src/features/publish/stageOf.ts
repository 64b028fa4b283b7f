/** Everything the Publish stage shows of a release. Server only. */
import { dayWords } from '@/core/dayWords';
import type { Db } from '@/data/database';
import { daysBetween } from '@/core/rest/day';
import type { House } from '@/data/house';
import { findPlanned, newestPrinted } from '@/data/printed';
import { listPassedChecks, listPublicNames, listVersions } from '@/data/publications';
import { recipeDiff } from '@/formats/recipe/diff';
import { readDocument } from '@/formats/recipe/readers';
import { readCardOffers } from '@/views/cardOffers';
import type { ReleaseView } from '@/views/release';
import { composeBody, composedFrom, NOTHING_COMPOSED } from './compose';
import { notesInCups, publishedBody } from './document';
import type { PublishStageProps } from './PublishStage';
import { readinessOf } from './readiness';

const NO_WORDS = { right: '', short: '', long: '', whatChanged: '' };

/** What changed is plain where the recipe came over: its batch. */
function carriedWords({ bench, batch }: ReleaseView): string {
  return bench === null || bench.draft.carriedFrom === null
    ? ''
    : `New batch, roasted ${dayWords(batch.roastDate)}; the recipe carries over.`;
}

export function publishStageOf(
  db: Db,
  house: House,
  view: ReleaseView,
  { today, readBack = null }: { readonly today: string; readonly readBack?: number | null },
): PublishStageProps {
  const { bench, versions, address, release } = view;
  const [newest] = listVersions(db, release.id);
  const last = newest ? readDocument(newest.document).body : undefined;
  const words = { ...NO_WORDS, ...last?.sensory, whatChanged: carriedWords(view) };
  const body = bench ? publishedBody(house, view, words, { today, last }) : null;
  const offers = bench
    ? readCardOffers(db, house, view, { bench, printed: last?.phases?.list.length })
    : null;
  const composed = body && offers ? composedFrom(body, last, offers) : NOTHING_COMPOSED;
  const planned = findPlanned(db, release.id);
  const passes = listPassedChecks(db, release.id);
  return {
    releaseId: release.id,
    draftId: bench?.draft.id ?? null,
    isForMilk: bench?.draft.drink === 'milk',
    body,
    words,
    offers,
    composed,
    found: bench ? notesInCups(bench) : [],
    readiness: readinessOf(view),
    differences:
      body && last && offers ? recipeDiff(last, composeBody(body, composed, offers)) : [],
    isAsPublished: bench !== null && (view.published?.isThis ?? false),
    versions: versions.map(({ id, number, publishedAt, publishedBy }) => ({
      number,
      publishedAt,
      publishedBy,
      passes: passes.filter(({ versionId }) => versionId === id),
    })),
    address,
    printed: newestPrinted(db, release.id),
    others: listPublicNames(db),
    planned: planned && {
      onDay: planned.onDay,
      plannedBy: planned.plannedBy,
      heldBecause: planned.heldBecause,
    },
    opensOn: daysBetween(today, view.batch.rest.openOn) > 0 ? view.batch.rest.openOn : null,
    readBack,
  };
}
