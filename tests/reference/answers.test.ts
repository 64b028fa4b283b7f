/** What is drafted for a café, for every kind of finding and in every language: one thing, with its figure. */
import type { CafeSignal } from '@/core/cafes/signals';
import { signalKey } from '@/core/cafes/signalKey';
import { LANGUAGES, type Language } from '@/core/language';
import { findHouse } from '@/data/house';
import { findPartner } from '@/data/partners';
import { draftAnswer } from '@/views/answerDraft';
import { readCafesNow } from '@/views/cafes';
import { learnFromCafes } from '@/views/cafesModel';
import {
  BATCH,
  COMPONENT,
  newId,
  openHouse,
  PASSED,
  RECIPE,
  RELEASE,
  send,
  WORDS,
} from '../support/house';

/** A café that sent three checks, 23 s each at 11; and what is drafted once something was found of it. */
function cafe(language: Language, timeS = 23) {
  const { db, releaseId, draftId } = openHouse();
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const partner = { name: 'Quay Nine', people: 'Ada', town: 'Ostrel', timeZone: 'UTC', language };
  const id = String(send(db, 'savePartner', { partner, releaseIds: [releaseId] }).partnerId);
  const { secret } = findPartner(db, id)!;
  const check = { doseG: 18, yieldG: 36, timeS, dial: 11 };
  for (let nth = 0; nth < 3; nth++)
    send(db, 'sendChecks', { secret, checks: [{ releaseId, check }], help: '' }, newId(), null);
  const house = findHouse(db)!;
  learnFromCafes(db, house);
  const reading = readCafesNow(db, house);
  const drafted = (signal?: CafeSignal) =>
    draftAnswer(db, house, signal ? { ...reading, signals: [signal] } : reading, {
      partner: findPartner(db, id)!,
      signal: signal && signalKey(signal),
    })!;
  return { id, releaseId, drafted };
}

const base = { probability: 0.95, fromDay: 20_590, sd: 0.02 };
const step = (id: string, coffee: string | null): CafeSignal => ({
  ...{ ...base, kind: 'step', cafe: id, coffee, openedDay: 20_591, state: 'open', size: -0.1 },
});

it.each(LANGUAGES)('is whole in %s: a greeting, what was seen, one change, thanks', (language) => {
  const { id, drafted } = cafe(language);
  const { body, subject, asksRound } = drafted(step(id, null));
  expect(subject).toMatch(/^Dembi Ridge: \S/);
  const parts = body.split('\n\n');
  expect(parts[0]).toMatch(/Ada/);
  expect(parts.at(-1)).toMatch(/Lanternfell Coffee$/);
  // 2.7 s of 28 in ten hundredths, said in whole seconds; the move on its own dial.
  expect(body).toMatch(/\b3 s\b/);
  expect(body).toMatch(/11 → (9|10)\b/);
  expect(asksRound).toBe(true);
  expect(body).not.toMatch(/undefined|NaN|\{|\}/);
});

it('is another text in each language, and says the same figures', () => {
  const bodies = LANGUAGES.map((language) => {
    const { id, drafted } = cafe(language);
    return drafted(step(id, null)).body;
  });
  expect(new Set(bodies).size).toBe(LANGUAGES.length);
  const movesOf = (body: string) => /11 → \d+/.exec(body)![0];
  expect(new Set(bodies.map(movesOf)).size).toBe(1);
});

it('asks for the order weight, machine, grinder of a step alone, and names none of them as the cause', () => {
  const { id, releaseId, drafted } = cafe('en');
  const all = drafted(step(id, null)).body;
  expect(all.indexOf('weight')).toBeGreaterThan(0);
  expect(all.indexOf('machine')).toBeGreaterThan(all.indexOf('weight'));
  expect(all.indexOf('grinder')).toBeGreaterThan(all.indexOf('machine'));
  // It has one coffee: that all of them moved says nothing.
  expect(all).not.toMatch(/none of them alone/);
  expect(drafted(step(id, releaseId)).body).not.toMatch(/none of them alone/);
});

it('to a bar that turned its dial past the window since then says how it runs now', () => {
  // It ran fast when the signal was found, and runs slow now: what it says and what it asks for agree.
  const { id, drafted } = cafe('en', 33);
  const { body } = drafted(step(id, null));
  expect(body).toMatch(/runs about [345] s slow/);
  expect(body).toMatch(/coarser/);
  expect(body).not.toMatch(/fast|finer/);
});

it('of a batch says that it is the batch, and asks nobody for a round', () => {
  const { id, releaseId, drafted } = cafe('en');
  const { body, asksRound } = drafted({
    ...{ ...base, kind: 'batch', coffee: releaseId, cafes: [id], size: -0.08 },
    ...{ batch: '2026-05-08', before: '2026-04-24' },
  });
  expect(body).toMatch(/runs about 2 s fast/);
  expect(body).toMatch(/batch/);
  expect(body).not.toMatch(/known weight/);
  expect(asksRound).toBe(false);
});

it('of a weight says the weight and leaves the grinder alone', () => {
  const { id, releaseId, drafted } = cafe('en');
  const weighed = { ...base, cafe: id, sizeG: -0.6, sdG: 0.1 };
  const dose = drafted({ ...weighed, kind: 'dose' }).body;
  expect(dose).toMatch(/0\.6 g/);
  expect(dose).toMatch(/18\.0 g/);
  expect(dose).not.toMatch(/→/);
  const asked = {
    ...weighed,
    kind: 'yield' as const,
    coffee: releaseId,
    isFormer: true,
    sizeG: -4,
  };
  const former = drafted(asked).body;
  expect(former).toMatch(/4\.0 g/);
  expect(former).toMatch(/36\.0 g/);
  const plain = drafted({ ...asked, isFormer: false }).body;
  expect(plain.length).toBeLessThan(former.length);
});

it('to a silent café moves nothing, and to one that is inside only says its greeting', () => {
  const { id, drafted } = cafe('en', 28);
  const silent = drafted({ ...base, kind: 'silence', cafe: id, missed: 5 });
  expect(silent.body).not.toMatch(/→/);
  expect(silent.asksRound).toBe(false);
  const word = drafted();
  expect(word.body.split('\n\n')).toHaveLength(2);
});

describe('an answer to a call for help', () => {
  /** A café of two coffees that asks for help with its last sheet. */
  function called(help: string, checks: readonly Record<string, unknown>[] = []) {
    const house = openHouse();
    const { db, releaseId, draftId } = house;
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const { releaseId: other } = send(db, 'createRelease', {
      release: { ...RELEASE, name: 'Harbour Lamp', components: [COMPONENT] },
      batch: BATCH,
    });
    const draft = { ...RECIPE, releaseId: other, batchId: `${String(other)}-1` };
    const { draftId: second } = send(db, 'acceptRecipe', { ...draft, setupId: house.setupId });
    send(db, 'publish', { releaseId: other, draftId: second, ...WORDS, passed: PASSED });
    const partner = { name: 'Quay Nine', people: 'Ada', town: 'Ostrel', timeZone: 'UTC' };
    const releaseIds = [releaseId, String(other)];
    const id = String(send(db, 'savePartner', { partner, releaseIds }).partnerId);
    const { secret } = findPartner(db, id)!;
    const check = { doseG: 18, yieldG: 36, timeS: 23, dial: 17 };
    const sent = releaseIds.map((of, i) => ({ releaseId: of, check: { ...check, ...checks[i] } }));
    send(db, 'sendChecks', { secret, checks: sent, help }, newId(), null);
    const now = findHouse(db)!;
    learnFromCafes(db, now);
    return draftAnswer(db, now, readCafesNow(db, now), { partner: findPartner(db, id)! })!.body;
  }

  it('quotes it, and tells no move while it is open which coffee they mean', () => {
    const body = called('the single runs sour, could you call before noon?');
    expect(body).toContain('You wrote: “the single runs sour, could you call before noon?”.');
    expect(body).toMatch(/Which coffee is it\?/);
    expect(body).not.toMatch(/→|finer|coarser/);
  });

  it('answers the taste of the coffee they name', () => {
    const body = called('Harbour Lamp runs sour');
    expect(body).toMatch(/Harbour Lamp tastes sour with you: .*about 2\.0 g more/);
    expect(body).not.toMatch(/Dembi Ridge/);
  });

  it('knows the coffee by the one cup of its sheet that tastes so', () => {
    const body = called('it is bitter, help', [{ taste: 'bitter' }, { taste: 'fine' }]);
    expect(body).toMatch(/Dembi Ridge tastes bitter/);
  });
});
