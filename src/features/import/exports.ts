/** What the house has written down, as the sheets it can bring in again. Server only. */
import { CLOCK_LABELS, PROCESS_LABELS, SEEN_LABELS, STYLE_LABELS } from '@/core/vocabulary';
import { MOMENT_LABELS, SERVED_LABELS, SERVING_LABELS, VARIETY_LABELS } from '@/core/vocabulary';
import { CRUSH_LABELS } from '@/core/coffee/roast';
import type { Db } from '@/data/database';
import { findDraft, listDialIns, type StoredDialIn } from '@/data/dialIns';
import type { House } from '@/data/house';
import { listDecided } from '@/data/history';
import { findRelease, listReleaseNames, type StoredRelease } from '@/data/releases';
import { findSetup } from '@/data/setups';
import { listShots, listTastings } from '@/data/shots';
import { dayOf, timeOf } from '@/data/today';
import { SCALES } from '@/formats/sheets/tastingColumns';
import { SHEETS, type SheetName } from './sheets';

type Row = Readonly<Record<string, string | number | undefined>>;

/** Header and rows of a sheet, in the order of its columns. */
export function exportSheet(db: Db, house: House, sheet: SheetName): (string | number)[][] {
  const { columns } = SHEETS[sheet];
  const names = Object.keys(columns);
  const header = names.map((name) => columns[name]!.headers[0]!);
  const rows = ROWS[sheet](db, house).map((row) => names.map((name) => row[name] ?? ''));
  return [header, ...rows];
}

const ROWS: Readonly<Record<SheetName, (db: Db, house: House) => Row[]>> = {
  releases: releaseRows,
  recipes: recipeRows,
  shots: (db) => listDialIns(db).flatMap((dialIn) => shotRows(db, dialIn)),
  tastings: (db) => listDialIns(db).flatMap((dialIn) => tastingRows(db, dialIn)),
};

/** A row for each component of each batch. */
function releaseRows(db: Db): Row[] {
  return listReleaseNames(db).flatMap(({ id }) => {
    const release = findRelease(db, id)!;
    return release.batches.flatMap((batch) =>
      release.components.map((part): Row => ({
        release: release.name,
        roastDate: batch.roastDate,
        batch: batch.label,
        roast: batch.roastLevel,
        colourGround: batch.colourGround,
        colourBean: batch.colourBean,
        weightLoss: batch.weightLossPct,
        sample: batch.sampleG,
        crush: batch.crush && CRUSH_LABELS[batch.crush],
        share: part.sharePct,
        country: part.country,
        region: part.region,
        producer: part.producer,
        variety: part.variety,
        varietyClass: part.varietyClass && VARIETY_LABELS[part.varietyClass],
        process: part.process && PROCESS_LABELS[part.process],
        altitude: part.altitudeM,
        density: part.densityGPerL,
        moisture: part.moisturePct,
        notes: release.promisedNotes.join(', '),
        served: SERVED_LABELS[release.serving],
      })),
    );
  });
}

function recipeRows(db: Db, house: House): Row[] {
  return listDecided(db, house).map((past): Row => {
    const { recipe, setup, draftId, dial } = past;
    const draft = findDraft(db, draftId)!;
    return {
      ...whereOf(findRelease(db, past.releaseId)!, draft.batchId),
      setup: setup.name,
      style: STYLE_LABELS[past.style],
      decidedOn: dayOf(past.decidedAt),
      dose: recipe.doseG,
      yield: recipe.yieldG,
      temperature: recipe.temperatureC,
      timeLow: recipe.timeS[0],
      timeHigh: recipe.timeS[1],
      clock: CLOCK_LABELS[recipe.clock],
      programme: draft.programme,
      restFrom: recipe.restDays[0],
      restTo: recipe.restDays[1],
      dial: dial ?? undefined,
      why: draft.why,
    };
  });
}

function shotRows(db: Db, dialIn: StoredDialIn): Row[] {
  const where = whereOfDialIn(db, dialIn);
  if (!where) return [];
  return listShots(db, dialIn.id).map((shot) => ({
    ...where,
    pulledOn: dayOf(shot.pulledAt),
    pulledAt: timeOf(shot.pulledAt),
    dial: shot.dial,
    dose: shot.doseG,
    yield: shot.yieldG,
    time: shot.timeS,
    firstDrip: shot.firstDripS,
    clock: CLOCK_LABELS[shot.clock],
    temperature: shot.temperatureC,
    purged: shot.purged ? 'yes' : 'no',
    seen: shot.seen.map((word) => SEEN_LABELS[word].replaceAll(',', ' ')).join('; '),
    tds: shot.tdsPct,
    person: shot.pulledBy,
    remark: shot.remark,
  }));
}

function tastingRows(db: Db, dialIn: StoredDialIn): Row[] {
  const where = whereOfDialIn(db, dialIn);
  if (!where) return [];
  const shots = new Map(listShots(db, dialIn.id).map((shot) => [shot.id, shot]));
  return listTastings(db, dialIn.id).map((tasting) => {
    const shot = shots.get(tasting.shotId)!;
    return {
      ...where,
      tastedOn: dayOf(tasting.tastedAt),
      pulledOn: dayOf(shot.pulledAt),
      pulledAt: timeOf(shot.pulledAt),
      taster: tasting.tastedBy,
      moment: MOMENT_LABELS[tasting.moment],
      serving: SERVING_LABELS[tasting.serving],
      ...Object.fromEntries(SCALES.map((scale) => [scale, tasting.scales[scale]])),
      signs: tasting.scales.signs?.join('; '),
      notesFound: tasting.notesFound.join('; '),
      remark: tasting.remark,
    };
  });
}

function whereOfDialIn(db: Db, { releaseId, batchId, setupId, style }: StoredDialIn): Row | null {
  const release = findRelease(db, releaseId);
  if (!release?.batches.some(({ id }) => id === batchId)) return null;
  const setup = findSetup(db, setupId);
  return { ...whereOf(release, batchId), setup: setup?.name, style: STYLE_LABELS[style] };
}

function whereOf(release: StoredRelease, batchId: string): Row {
  const batch = release.batches.find(({ id }) => id === batchId);
  return { release: release.name, roastDate: batch?.roastDate };
}
