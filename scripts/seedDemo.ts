/**
 * The demo house: an invented roastery, its people and three coffees, dated from today. Everything
 * goes in through the same commands a person's entries do, with the clock set back.
 */
import { randomBytes } from 'node:crypto';
import { propose } from '@/core/start/propose';
import type { Seen } from '@/core/vocabulary';
import { commands } from '@/app/commands';
import { clock } from '@/data/clock';
import { submit } from '@/data/command';
import { openDatabase, type Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { readRelease } from '@/data/releaseView';
import { listSetups } from '@/data/setups';
import { today } from '@/data/today';

const file = process.argv[2];
if (!file) throw new Error('Name the database file to make.');

const realNow = new Date();
const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** Sets the clock to so many days and minutes before now. */
function goTo(daysAgo: number, minutesAgo = 0): void {
  clock.now = () => new Date(realNow.getTime() - daysAgo * DAY_MS - minutesAgo * MINUTE_MS);
}

function run(db: Db, kind: string, input: unknown): Readonly<Record<string, unknown>> {
  return submit(db, commands, { id: randomBytes(16).toString('hex'), kind, input });
}

function dayAgo(days: number): string {
  goTo(days);
  return today();
}

/** Creates a release on the day its bag was roasted. */
function create(db: Db, daysAgo: number, release: Record<string, unknown>): string {
  const roastDate = dayAgo(daysAgo);
  return String(run(db, 'createRelease', { release: { ...release, roastDate } }).releaseId);
}

/** Accepts the rules' own proposal, as the Start stage would. */
function accept(
  db: Db,
  releaseId: string,
  startDial: number,
): { draftId: string; yieldG: number; doseG: number; temperatureC: number } {
  const view = readRelease(db, findHouse(db)!, releaseId, today())!;
  const setup = listSetups(db)[0]!;
  const { recipe, mean } = propose({
    release: view.facts,
    style: 'classic',
    temperatureSchool: 'both',
    history: [],
    setup,
  });
  const { doseG, yieldG, temperatureC, timeS, clock: counted, programme, restDays } = recipe;
  const { draftId } = run(db, 'acceptRecipe', {
    releaseId,
    batchId: view.batch.id,
    setupId: setup.id,
    style: 'classic',
    temperatureSchool: 'both',
    doseG,
    yieldG,
    temperatureC,
    timeS,
    clock: counted,
    programme,
    restDays,
    startDial,
    why: '',
    proposed: mean,
  });
  return { draftId: String(draftId), doseG, yieldG, temperatureC };
}

interface DemoShot {
  readonly dial: number;
  readonly doseOffG?: number;
  readonly yieldOffG?: number;
  readonly timeS: number;
  readonly firstDripS: number;
  readonly purged: boolean;
  readonly seen?: readonly Seen[];
  readonly remark?: string;
}

function pull(db: Db, draft: ReturnType<typeof accept>, shot: DemoShot): string {
  const { doseOffG = 0, yieldOffG = 0, seen = [], remark = '', ...rest } = shot;
  const { shotId } = run(db, 'logShot', {
    ...rest,
    draftId: draft.draftId,
    doseG: Number((draft.doseG + doseOffG).toFixed(1)),
    yieldG: Number((draft.yieldG + yieldOffG).toFixed(1)),
    temperatureC: draft.temperatureC,
    clock: 'pump',
    seen,
    remark,
  });
  return String(shotId);
}

const db = openDatabase(file);

goTo(30);
run(db, 'setUpHouse', { houseName: 'Lanternfell Coffee', leadName: 'Ines Okonjo-Vale' });
run(db, 'saveSetup', {
  setup: {
    name: 'Window bench',
    machineName: 'Two-group machine at the window',
    settableTemperature: true,
    pressureControl: false,
    grinderName: 'Flat-burr grinder, left',
    stepSize: 0.5,
    finerIs: 'lower',
    dialMin: 0,
    dialMax: 30,
    retentionG: 1.8,
    basketName: 'Straight-walled double',
    diameterMm: 58,
    ratedG: 18,
  },
});

// Published: a honey process, confirmed, tasted and on its card.
const veredas = create(db, 19, {
  name: 'Las Veredas Rojas',
  country: 'Colombia',
  region: 'Huila',
  producer: 'Finca Las Veredas Rojas',
  variety: 'Caturra',
  varietyClass: 'ordinary',
  process: 'honey',
  altitudeM: 1700,
  densityGPerL: 712,
  roastLevel: -0.5,
  promisedNotes: ['red apple', 'panela', 'hazelnut'],
});
goTo(7, 60);
const honey = accept(db, veredas, 14);
const honeyShots: DemoShot[] = [
  { dial: 14, timeS: 22.3, firstDripS: 5.1, purged: true },
  { dial: 13, timeS: 26.1, firstDripS: 6, yieldOffG: 3.4, purged: true, remark: 'stopped late' },
  { dial: 13, timeS: 25.4, firstDripS: 5.9, yieldOffG: 0.3, purged: false },
  { dial: 12, timeS: 28.2, firstDripS: 6.4, yieldOffG: -0.2, purged: true },
  { dial: 12, timeS: 27.6, firstDripS: 6.5, yieldOffG: 0.4, doseOffG: 0.1, purged: false },
];
const honeyIds = honeyShots.map((shot, i) => {
  goTo(7, 50 - 7 * i);
  return pull(db, honey, shot);
});
goTo(7, 14);
run(db, 'recordTasting', {
  shotId: honeyIds[3],
  moment: 'warm',
  serving: 'straight',
  scales: {
    acidity: 6,
    sharpness: 2,
    sweetness: 7,
    bitterness: 3,
    dryness: 1,
    body: 6,
    clarity: 7,
    strength: 0,
    liking: 8,
  },
  notesFound: ['red apple', 'panela'],
  remark: 'apple clearer as it cools',
  tdsPct: 9.1,
});
goTo(7, 9);
run(db, 'recordTasting', {
  shotId: honeyIds[4],
  moment: 'cool',
  serving: 'straight',
  scales: {
    acidity: 5,
    sharpness: 3,
    sweetness: 7,
    bitterness: 3,
    dryness: 2,
    body: 6,
    clarity: 7,
    strength: 0,
    liking: 8,
  },
  notesFound: ['red apple', 'hazelnut'],
  remark: '',
  tdsPct: 9.0,
});
goTo(6, 30);
run(db, 'publish', {
  releaseId: veredas,
  draftId: honey.draftId,
  right: 'Red apple and cane sugar, round, with a hazelnut finish.',
  short:
    'Green apple skin and salt. Let it run a few grams longer; if it stays sharp, grind a little finer.',
  long: 'Thin, woody, drying at the end. Stop earlier, then look at the time.',
  whatChanged: '',
});

// Mid dial-in: the last move was not purged, so the next move is to pull it again.
const lume = create(db, 11, {
  name: 'Serra do Lume',
  country: 'Brazil',
  region: 'Minas Gerais',
  producer: 'Sítio Lume Alto',
  variety: 'Yellow Catuaí',
  varietyClass: 'ordinary',
  process: 'natural',
  altitudeM: 1150,
  roastLevel: 0,
  promisedNotes: ['cocoa', 'raisin', 'walnut'],
});
goTo(0, 46);
const natural = accept(db, lume, 15);
const naturalShots: DemoShot[] = [
  { dial: 15, timeS: 19.6, firstDripS: 4.4, purged: true, seen: ['paleCrema'] },
  { dial: 13, timeS: 22.9, firstDripS: 5.2, yieldOffG: 0.4, purged: true },
  { dial: 11.5, timeS: 24.1, firstDripS: 5.4, yieldOffG: -0.3, purged: false },
];
naturalShots.forEach((shot, i) => {
  goTo(0, 38 - 11 * i);
  pull(db, natural, shot);
});

// Just arrived: facts only.
create(db, 2, {
  name: 'Dembi Ridge',
  country: 'Ethiopia',
  region: 'Guji',
  producer: 'Dembi Ridge washing station',
  variety: 'Local landraces',
  varietyClass: 'landrace',
  process: 'washed',
  altitudeM: 2050,
  roastLevel: -1,
  promisedNotes: ['bergamot', 'apricot', 'black tea'],
});

db.close();
