import { database } from '@/data/database';
import type { ReleaseView } from '@/data/releaseView';
import { listSetups } from '@/data/setups';
import { readShelf } from '@/data/shelf';
import { today } from '@/data/today';
import { loadHouse } from '@/features/frame/load';
import { stripMarks } from '@/features/frame/stripMarks';
import { originWords } from '@/features/frame/words';
import { ImportDocument } from '@/features/import/ImportDocument';
import { Shelf } from '@/features/today/Shelf';

export default function ShelfPage() {
  const { house } = loadHouse();
  const rows = readShelf(database(), house, today()).map((view) => ({
    id: view.release.id,
    name: view.release.name,
    origin: originWords(view.component),
    restDays: view.rest.restDays,
    state: view.rest.state,
    span: view.span,
    marks: stripMarks(view),
    standing: standingOf(view),
  }));
  return (
    <Shelf rows={rows} hasSetup={listSetups(database()).length > 0} importer={<ImportDocument />} />
  );
}

/** Where a release stands, in a few words. */
function standingOf({ bench, versions }: ReleaseView): string {
  if (versions[0]) return `Version ${versions[0].number} is public`;
  if (!bench) return 'Arrived: read it and begin';
  if (bench.advice.status === 'confirmed') return 'Confirmed, not published';
  return `Dialling in: ${bench.shots.length} shots, ${bench.spentG.toFixed(0)} g`;
}
