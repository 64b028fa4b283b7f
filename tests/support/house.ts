/** A small house in memory, driven by the same commands the screens send. */
import { randomBytes } from 'node:crypto';
import { commands } from '@/app/commands';
import { clock } from '@/data/clock';
import { submit } from '@/data/command';
import { openDatabase, type Db } from '@/data/database';
import { listSetups } from '@/data/setups';

export const TODAY = '2026-05-20';

/** Stops the clock at noon of a day. */
export function stopClock(day = TODAY): void {
  clock.now = () => new Date(`${day}T12:00:00Z`);
}

export function newId(): string {
  return randomBytes(16).toString('hex');
}

export function send(db: Db, kind: string, input: unknown, id = newId()) {
  return submit(db, commands, { id, kind, input });
}

export const SETUP = {
  name: 'Window bench',
  machineName: 'Machine',
  settableTemperature: true,
  pressureControl: false,
  grinderName: 'Grinder',
  stepSize: 0.5,
  finerIs: 'lower',
  dialMin: 0,
  dialMax: 30,
  retentionG: 2,
  basketName: 'Double',
  diameterMm: 58,
  ratedG: 18,
} as const;

export const RELEASE = {
  name: 'Dembi Ridge',
  country: 'Ethiopia',
  region: 'Guji',
  producer: 'Dembi Ridge washing station',
  variety: 'Local landraces',
  varietyClass: 'landrace',
  process: 'washed',
  altitudeM: 2050,
  roastLevel: 0,
  roastDate: '2026-05-08',
  promisedNotes: ['bergamot', 'apricot'],
} as const;

export const RECIPE = {
  style: 'classic',
  temperatureSchool: 'both',
  doseG: 18,
  yieldG: 36,
  temperatureC: 93,
  timeS: [26, 30],
  clock: 'pump',
  programme: '9 bar, flat',
  restDays: [8, 21],
  startDial: 12,
  why: '',
} as const;

export interface TestHouse {
  readonly db: Db;
  readonly releaseId: string;
  readonly setupId: string;
  readonly draftId: string;
}

/** A set-up house with one release whose recipe is on the bench. */
export function openHouse(file = ':memory:'): TestHouse {
  stopClock();
  const db = openDatabase(file);
  send(db, 'setUpHouse', { houseName: 'Lanternfell Coffee', leadName: 'Ines' });
  send(db, 'saveSetup', { setup: SETUP });
  const setupId = listSetups(db)[0]!.id;
  const releaseId = String(send(db, 'createRelease', { release: RELEASE }).releaseId);
  const { draftId } = send(db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    batchId: `${releaseId}-1`,
    setupId,
  });
  return { db, releaseId, setupId, draftId: String(draftId) };
}

export function shotInput(draftId: string, changes: Record<string, unknown> = {}) {
  return {
    draftId,
    dial: 12,
    doseG: 18,
    yieldG: 36,
    timeS: 28,
    firstDripS: 6,
    temperatureC: 93,
    clock: 'pump',
    purged: false,
    seen: [],
    remark: '',
    ...changes,
  };
}

export const WORDS = {
  right: 'Bergamot and apricot.',
  short: 'Sharp: let it run longer.',
  long: 'Thin: stop earlier.',
  whatChanged: '',
};
