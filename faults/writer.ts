/**
 * Gives commands of every kind as fast as it can, saying each id once it is stored; to be killed at any
 * moment. Each round makes a coffee of its own and takes it through the whole job.
 */
import { findHouse } from '@/data/house';
import { openDatabase } from '@/data/database';
import { listSetups } from '@/data/setups';
import { findPerson, findLead } from '@/data/people';
import {
  BATCH,
  GRINDER,
  newId,
  RECIPE,
  RELEASE,
  send,
  shotInput,
  WORDS,
} from '../tests/support/house';

const file = process.argv[2];
if (!file) throw new Error('Name the database file.');
const db = openDatabase(file);
const setupId = listSetups(db)[0]!.id;

async function give(kind: string, input: unknown, personId?: string | null) {
  const id = newId();
  const result = send(db, kind, input, id, personId);
  // The next is given only when the word is out: what was said stored must be.
  await new Promise<void>((resolve) => process.stdout.write(`ok ${kind} ${id}\n`, () => resolve()));
  return { id, result };
}

async function round(n: number): Promise<void> {
  const { id: releaseId } = await give('createRelease', {
    release: { ...RELEASE, name: `Lot ${newId().slice(0, 8)}` },
    batch: BATCH,
  });
  const batchId = `${releaseId}-1`;
  await give('saveBatch', { releaseId, batch: { ...BATCH, label: 'B2' } });
  await give('editRelease', {
    releaseId,
    rowVersion: 1,
    release: { ...RELEASE, name: `Lot ${n}` },
  });
  await give('saveBatch', { releaseId, batchId, rowVersion: 1, batch: { ...BATCH, label: 'B1' } });
  const { id: draftId } = await give('acceptRecipe', { ...RECIPE, releaseId, batchId, setupId });
  const { id: shotId } = await give('logShot', shotInput(draftId));
  await give('removeShot', { shotId });
  await give('restoreShot', { shotId });
  await give('recordTasting', {
    shotId,
    moment: 'warm',
    serving: 'straight',
    scales: { liking: 7 },
    notesFound: [],
    remark: '',
  });
  await give('acceptRecipe', {
    ...RECIPE,
    releaseId,
    batchId,
    setupId,
    style: 'soakFirst',
  });
  await give('useRecipe', { releaseId, draftId });
  await give('publish', { releaseId, draftId, ...WORDS });
  await give('withdraw', { releaseId, why: 'for the run' });
  const { result: partner } = await give('savePartner', {
    partner: { name: `Café ${n}`, town: 'Ostrel' },
    releaseIds: [],
  });
  const { partnerId } = partner;
  await give('renewPartnerLink', { partnerId, isNew: true });
  await give('retirePartner', { partnerId });
  await give('remove', { what: 'release', id: releaseId });
  await give('restore', { what: 'release', id: releaseId });
  await give('showAgain', { releaseId });
  const token = newId();
  await give('invite', { forWhom: `P ${token.slice(0, 6)}`, role: 'bench', token });
  const { id: personId } = await give(
    'acceptInvitation',
    { token, name: `P ${token}`, signInName: token, password: 'a long password' },
    null,
  );
  await give('changeRole', { personId, role: 'reader' });
  await give('saveUnits', { volume: n % 2 ? 'flOz' : 'ml', temperature: 'C' }, personId);
  if (findPerson(db, personId)) await give('remove', { what: 'person', id: personId });
  await give('endSessions', {}, findLead(db)!.id);
  const { rowVersion, rules, halfLife, ...house } = findHouse(db)!;
  await give('saveHouse', { rowVersion, house });
  await give('saveRules', { rowVersion: rowVersion + 1, rules, halfLife });
  const { id: programme } = await give('saveProgramme', {
    name: `Own ${token}`,
    style: 'classic',
    steps: [{ drive: 'pressure', level: 9, seconds: 30, ramp: false }],
  });
  await give('remove', { what: 'programme', id: programme });
  await give('savePart', {
    part: 'grinder',
    fields: { ...GRINDER, name: `Grinder ${token.slice(0, 8)}` },
  });
  await give('importReleases', {
    csv: `release,roast_date\nSheet ${token.slice(0, 8)},2026-05-01\n`,
    mapping: { name: 'release', roastDate: 'roast_date' },
    units: {},
    dateOrder: 'ymd',
  });
}

for (let n = 0; ; n++) await round(n);
