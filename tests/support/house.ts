/** A small house in memory, driven by the same commands the screens send. */
import { randomBytes, scryptSync } from 'node:crypto';
import Database from 'better-sqlite3';
import { commands } from '@/app/commands';
import type { Role } from '@/core/roles';
import { clock } from '@/data/clock';
import { submit } from '@/data/command';
import { openDatabase, type Db } from '@/data/database';
import { findLead } from '@/data/people';
import { listReleaseNames } from '@/data/releases';
import { openSetUp } from '@/data/setUpCode';
import { listSetups } from '@/data/setups';

export const TODAY = '2026-05-20';

/** Stops the clock at noon of a day. */
export function stopClock(day = TODAY): void {
  clock.now = () => new Date(`${day}T12:00:00Z`);
}

export function newId(): string {
  return randomBytes(16).toString('hex');
}

/** A hash as the program keeps it, at figures that cost a test no time. */
export function quickHash(password: string): string {
  const [cost, salt] = [4, randomBytes(16)];
  const key = scryptSync(password, salt, 32, { N: 2 ** cost, r: 8, p: 1 });
  return ['scrypt', cost, salt.toString('base64url'), key.toString('base64url')].join('$');
}

/** Sends a command as the lead, or as anyone else whose id is given, from this machine itself. */
export function send(
  db: Db,
  kind: string,
  input: unknown,
  id = newId(),
  personId: string | null = findLead(db)?.id ?? null,
) {
  const { password } = Object(input) as { password?: unknown };
  const passwordHash = typeof password === 'string' ? quickHash(password) : undefined;
  return submit(db, commands, { id, kind, input }, { personId, passwordHash });
}

export const LEAD = { name: 'Ines', signInName: 'ines', password: 'kettle at six' } as const;

export const MACHINE = {
  name: 'Machine',
  settableTemperature: true,
  pressureControl: false,
  flowControl: false,
  preinfusion: false,
} as const;

export const GRINDER = {
  name: 'Grinder',
  stepSize: 0.5,
  finerIs: 'lower',
  min: 0,
  max: 30,
  retentionG: 2,
} as const;

export const BASKET = { name: 'Double', diameterMm: 58, ratedG: 18, pressurised: false } as const;

export const SETUP = {
  name: 'Window bench',
  machine: MACHINE,
  grinder: GRINDER,
  basket: BASKET,
} as const;

export const COMPONENT = {
  sharePct: 100,
  country: 'Ethiopia',
  region: 'Guji',
  producer: 'Dembi Ridge washing station',
  variety: 'Local landraces',
  varietyClass: 'landrace',
  process: 'washed',
  altitudeM: 2050,
} as const;

export const RELEASE = {
  name: 'Dembi Ridge',
  serving: 'both',
  promisedNotes: ['bergamot', 'apricot'],
  components: [COMPONENT],
} as const;

export const BATCH = { label: '', roastDate: '2026-05-08', roastLevel: 0 } as const;

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

let template: { readonly bytes: Buffer; readonly draftId: string } | null = null;

/** A set-up house with one release whose recipe is on the bench; in memory, a copy of the first one made. */
export function openHouse(file = ':memory:'): TestHouse {
  stopClock();
  if (file !== ':memory:') return setUp(openDatabase(file));
  if (template === null) {
    const first = setUp(openDatabase(file));
    template = { bytes: first.db.serialize(), draftId: first.draftId };
  }
  const db = new Database(template.bytes);
  db.pragma('foreign_keys = ON');
  return {
    db,
    draftId: template.draftId,
    releaseId: listReleaseNames(db)[0]!.id,
    setupId: listSetups(db)[0]!.id,
  };
}

function setUp(db: Db): TestHouse {
  send(db, 'setUpHouse', { houseName: 'Lanternfell Coffee', code: openSetUp(), ...LEAD });
  send(db, 'saveSetup', { setup: SETUP });
  const setupId = listSetups(db)[0]!.id;
  const releaseId = String(send(db, 'createRelease', { release: RELEASE, batch: BATCH }).releaseId);
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

/** Reasons that pass every gate. */
export const PASSED = {
  confirmed: 'for a test',
  tasted: 'for a test',
  rested: 'for a test',
} as const;

export const WORDS = {
  right: 'Bergamot and apricot.',
  short: 'Sharp: let it run longer.',
  long: 'Thin: stop earlier.',
  whatChanged: '',
  passed: PASSED,
};

/** A person of a role who came in by invitation; answers their id. */
export function join(db: Db, role: Role, signInName: string = role): string {
  const token = newId();
  send(db, 'invite', { forWhom: signInName, role, token });
  const id = newId();
  const person = { token, name: signInName, signInName, password: 'a long password' };
  send(db, 'acceptInvitation', person, id, null);
  return id;
}
