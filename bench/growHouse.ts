/**
 * A house with months or years of work in it, grown with a seed: as many releases, shots, cups and cards
 * as a busy roastery makes, written through the same statements the program uses. Made up throughout.
 */
import { chanceFrom, type Chance } from '@/core/random';
import type { Process } from '@/core/vocabulary';
import { clock } from '@/data/clock';
import { openDatabase, type Db } from '@/data/database';
import { ensureDialIn, insertDraft, putOnBench } from '@/data/dialIns';
import { insertEvent } from '@/data/events';
import { findLead } from '@/data/people';
import { insertVersion, withdrawPublic } from '@/data/publications';
import { insertBatch, insertRelease } from '@/data/releases';
import { listSetups } from '@/data/setups';
import { insertShot } from '@/data/shots';
import { insertTasting, type TastingFields } from '@/data/tastings';
import { findHouse } from '@/data/house';
import { renewTasteEvidence } from '@/views/tasteEvidence';
import { makeDocument, writeDocument } from '@/formats/recipe/document';

export interface Growth {
  /** How far back the house goes. */
  readonly days: number;
  readonly releases: number;
  readonly seed: number;
}

/** 1,074 releases, some 8,000 shots, 5,500 cups and 13,000 events in ten years; the same pace for three months. */
const RELEASES_A_DAY = 1074 / 3650;
export const growthOf = (days: number): Growth => ({
  days,
  releases: Math.round(RELEASES_A_DAY * days),
  seed: 7,
});

const PROCESSES: readonly Process[] = ['washed', 'natural', 'honey', 'anaerobicNatural'];
const PLACES = [
  ['Ethiopia', 'Guji', 'Local landraces'],
  ['Colombia', 'Huila', 'Caturra'],
  ['Kenya', 'Nyeri', 'SL28'],
  ['Brazil', 'Minas Gerais', 'Yellow Catuai'],
] as const;
const REMARKS = ['vibrant, sweet as it cools', 'a little short', 'channelled on one side', ''];

/** Cards of coffees this old are withdrawn: their bags are empty. */
const PUBLIC_FOR_DAYS = 60;
const SHOTS_EACH = 6;
/** Every fifth coffee was tasted in eight recipes by two: yield and temperature beyond the recipe's, and time. */
const TRIAL_EVERY = 5;
const TRIAL = [
  [0, 0, 28],
  [5, 0, 28],
  [-5, 0, 28],
  [0, 1.5, 28],
  [0, -1.5, 28],
  [0, 0, 33],
  [0, 0, 24],
  [5, 1.5, 30],
] as const;
const NOTES = ['plum', 'cocoa', 'lemon', 'honey', 'walnut', 'cherry'] as const;
const HOUR_MS = 3_600_000;
const DAY_MS = 86_400_000;

/** Grows the database of a file that holds a house with a lead and a setup, and learns what its cups teach. */
export async function growHouse(file: string, { days, releases, seed }: Growth): Promise<void> {
  const db = openDatabase(file);
  const end = Date.now();
  const chance = chanceFrom(seed);
  db.transaction(() => {
    for (let i = 0; i < releases; i++) {
      const daysAgo = Math.round(days * (1 - i / releases)) + 14;
      growRelease(db, chance, { i, at: end - daysAgo * DAY_MS, daysAgo });
    }
  })();
  clock.now = () => new Date();
  await renewTasteEvidence(db, findHouse(db)!);
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}

function cupOf(chance: Chance, shotId: string, tastedAt: string): TastingFields {
  return {
    moment: 'warm',
    serving: 'straight',
    notesFound: [chance.oneOf(NOTES)],
    scales: { sweetness: 7, liking: Math.round(6 + chance.normal()), acidity: 5 },
    shotId,
    tastedAt,
    remark: chance.oneOf(REMARKS),
  };
}

interface Grown {
  readonly i: number;
  readonly at: number;
  readonly daysAgo: number;
}

function growRelease(db: Db, chance: Chance, { i, at, daysAgo }: Grown): void {
  const lead = findLead(db)!;
  const setups = listSetups(db);
  const setup = setups[i % setups.length]!;
  const moment = (afterMs: number) => new Date(at + afterMs).toISOString();
  const tell = (kind: string, afterMs: number, id = `${kind}${i}-${afterMs}`) => {
    clock.now = () => new Date(at + afterMs);
    const words = `${kind} of lot ${i}`;
    insertEvent(db, { id: `grown-${id}`, personId: lead.id, releaseId, kind, words, result: {} });
  };
  // As ids of the program begin: the particles of a release's surface are drawn by them.
  const releaseId = `${i.toString(16).padStart(5, '0')}grown`;
  const batchId = `${releaseId}-1`;
  const [country, region, variety] = chance.oneOf(PLACES);
  const process = chance.oneOf(PROCESSES);
  const roastLevel = chance.oneOf([-1, -0.5, 0, 0.5, 1]);
  const component = {
    sharePct: 100,
    country,
    region,
    variety,
    process,
    producer: `Growers of ${i}`,
  };
  const name = `Lot ${i} ${region}`;
  const promisedNotes = ['plum', 'cocoa'];
  clock.now = () => new Date(at);
  insertRelease(db, releaseId, { name, promisedNotes, components: [component] }, lead.id);
  insertBatch(db, batchId, releaseId, {
    roastDate: moment(0).slice(0, 10),
    roastLevel,
    sampleG: 800,
  });
  tell('createRelease', 0);
  const key = { releaseId, batchId, setupId: setup.id, style: 'classic' };
  const dialInId = ensureDialIn(db, `${releaseId}d`, key, moment(8 * DAY_MS));
  const draftId = `${releaseId}q`;
  const yieldG = Math.round(2 * 18 * (2.1 - 0.25 * roastLevel + 0.1 * chance.normal())) / 2;
  const recipe = {
    doseG: 18,
    yieldG,
    temperatureC: Math.round(2 * (92.5 - 1.5 * roastLevel + 0.5 * chance.normal())) / 2,
    timeS: [26, 30] as [number, number],
    clock: 'pump' as const,
    programme: '9 bar, flat',
    restDays: [8, 28] as [number, number],
  };
  const draft = { temperatureSchool: 'both', startDial: 12, why: '', recipe } as const;
  insertDraft(db, draftId, dialInId, draft, lead.id, moment(8 * DAY_MS));
  putOnBench(db, releaseId, draftId);
  tell('acceptRecipe', 8 * DAY_MS);
  for (let n = 0; n < SHOTS_EACH; n++) {
    const afterMs = 9 * DAY_MS + n * 360_000;
    const timeS = n < 2 ? 22 + n : Math.round(10 * (28 + 0.8 * chance.normal())) / 10;
    const shotId = `${releaseId}s${n}`;
    insertShot(
      db,
      shotId,
      {
        draftId,
        pulledAt: moment(afterMs),
        dial: n < 2 ? 13 - n : 11,
        doseG: 18,
        yieldG,
        timeS,
        firstDripS: 6,
        clock: 'pump',
        temperatureC: recipe.temperatureC,
        purged: n === 1 || n === 2,
        remark: chance.oneOf(REMARKS),
      },
      lead.id,
    );
    tell('logShot', afterMs);
    if (n < SHOTS_EACH - 2) continue;
    const cupAt = moment(afterMs + 60_000);
    insertTasting(db, `${shotId}t`, cupOf(chance, shotId, cupAt), lead.id);
    tell('recordTasting', afterMs + 60_000);
  }
  if (i % TRIAL_EVERY === 0)
    for (const [n, [longer, hotterC, timeS]] of TRIAL.entries()) {
      const shotId = `${releaseId}c${n}`;
      const pulledAt = moment(10 * DAY_MS - HOUR_MS + n * 360_000);
      insertShot(
        db,
        shotId,
        {
          draftId,
          pulledAt,
          dial: 11 - Math.round(20 * Math.log(timeS / 28)) / 2,
          doseG: 18,
          yieldG: yieldG + longer,
          timeS,
          firstDripS: 6,
          clock: 'pump',
          temperatureC: recipe.temperatureC + hotterC,
          purged: true,
        },
        lead.id,
      );
      for (const guest of [undefined, 'Guest of the trial'])
        insertTasting(
          db,
          `${shotId}${guest ? 'g' : 't'}`,
          { ...cupOf(chance, shotId, pulledAt), guest },
          lead.id,
        );
    }
  clock.now = () => new Date(at + 10 * DAY_MS);
  const document = makeDocument({
    roastery: 'Lanternfell Coffee',
    coffee: { name, promisedNotes, components: [component], roastDate: moment(0).slice(0, 10) },
    recipe: { ...recipe, ratio: yieldG / 18 },
    style: 'classic',
    temperatureSchool: 'both',
    temperatureMeasured: 'as set on the machine',
    tolerance: { doseG: 0.2, yieldG: 1 },
    setup: {
      machine: setup.machine.name,
      grinder: setup.grinder.name,
      dial: 11,
      basket: setup.basket.name,
      diameterMm: setup.basket.diameterMm,
      ratedG: setup.basket.ratedG,
    },
    sensory: { right: 'Plum and cocoa.', short: 'Sharp.', long: 'Thin.' },
    fits: [],
    confirmedShots: 2,
    version: 1,
    publishedOn: moment(10 * DAY_MS).slice(0, 10),
    whatChanged: '',
  });
  const version = { id: `${releaseId}v`, releaseId, draftId, number: 1 };
  const stored = { ...version, document: writeDocument(document), sha256: document.sha256 };
  insertVersion(db, stored, lead.id);
  tell('publish', 10 * DAY_MS);
  if (daysAgo < PUBLIC_FOR_DAYS) return;
  withdrawPublic(db, releaseId, { why: 'Sold out.', wasWrong: false });
  tell('withdraw', 11 * DAY_MS);
}
