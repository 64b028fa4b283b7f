/**
 * What the pages say of one coffee, read against each other over invented histories: shots of every kind, cups, revised
 * recipes, bags, publications and withdrawals, in any order. Whatever happened, no two of them disagree.
 */
import fc from 'fast-check';
import { doseInForce } from '@/core/advice/setting';
import { isOnTargetStatus } from '@/core/advice/types';
import { dialWords } from '@/core/grinder/notation';
import { findHouse } from '@/data/house';
import { stagesOf } from '@/features/frame/stages';
import { publishedBody } from '@/features/publish/document';
import { readinessOf } from '@/features/publish/readiness';
import { openCoffees } from '@/features/today/openCoffees';
import { todayRows } from '@/features/today/todayRows';
import { readDocument } from '@/formats/recipe/readers';
import { listMessages } from '@/data/messages';
import { findAddress, listVersions } from '@/data/publications';
import { publicCards } from '@/server/feed';
import { readReleaseList } from '@/views/releaseList';
import { readToday } from '@/views/today';
import { publicWords } from '@/words/publicWords';
import { say } from '@/words/say';
import { newId, send, shotInput, TODAY, WORDS, join } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

const shotOf = fc.record({
  do: fc.constant('shot' as const),
  dial: fc.integer({ min: 10, max: 14 }),
  timeS: fc.oneof(fc.constant(28), fc.double({ min: 16, max: 42, noNaN: true })),
  yieldG: fc.oneof(fc.constant(0), fc.double({ min: -4, max: 4, noNaN: true })),
  isSimulated: fc.boolean(),
  isTrimmed: fc.boolean(),
});
const cupOf = fc.record({
  do: fc.constant('cup' as const),
  liking: fc.integer({ min: 2, max: 10 }),
  byOther: fc.boolean(),
  nth: fc.nat({ max: 20 }),
});
const others = fc.constantFrom(
  ...(['revise', 'publish', 'withdraw', 'bag', 'ofBag'] as const).map((word) => ({ do: word })),
);
const histories = fc.array(
  fc.oneof({ weight: 5, arbitrary: shotOf }, { weight: 2, arbitrary: cupOf }, others),
  { minLength: 1, maxLength: 14 },
);
type Happened = typeof histories extends fc.Arbitrary<(infer One)[]> ? One : never;

/** Does it where it can be done; what cannot be is no part of the history. */
function happen(house: ViewedHouse, otherId: string, one: Happened): void {
  const { db, releaseId, view } = house;
  const bench = view().bench!;
  const { draft } = bench;
  switch (one.do) {
    case 'shot': {
      const { dial, isSimulated, isTrimmed } = one;
      const doseG = draft.recipe.doseG + (isTrimmed ? 0.4 : 0);
      const pulled = {
        ...{ dial, doseG, isSimulated, timeS: Math.round(one.timeS * 10) / 10 },
        ...(isTrimmed && { aimDoseG: doseG }),
        yieldG: Math.round(10 * (draft.recipe.yieldG + one.yieldG)) / 10,
      };
      send(db, 'logShot', shotInput(draft.id, pulled));
      return;
    }
    case 'cup': {
      const shot = bench.shots[one.nth % Math.max(1, bench.shots.length)];
      if (!shot) return;
      const scales = { liking: one.liking, sharpness: 2, bitterness: 2, sweetness: 6 };
      const cup = { shotId: shot.id, moment: 'hot', serving: 'straight', scales, remark: '' };
      const by = one.byOther ? otherId : undefined;
      send(db, 'recordTasting', { ...cup, notesFound: ['apricot'] }, newId(), by);
      return;
    }
    case 'revise': {
      const { ratio: _ratio, ...recipe } = draft.recipe;
      send(db, 'acceptRecipe', {
        ...recipe,
        ...{ yieldG: recipe.yieldG === 36 ? 40 : 36, releaseId, batchId: draft.batchId },
        ...{ setupId: draft.setupId, style: draft.style, drink: draft.drink, why: 'by taste' },
        ...{ temperatureSchool: draft.temperatureSchool, basedOn: draft.id },
        startDial: bench.advice.setting.dial,
      });
      return;
    }
    case 'publish':
      if (!view().published?.isThis)
        send(db, 'publish', { releaseId, draftId: draft.id, ...WORDS, whatChanged: 'its yield' });
      return;
    case 'withdraw':
      if (view().published && !view().published!.isWithdrawn)
        send(db, 'withdraw', { releaseId, why: 'looked at again' });
      return;
    case 'bag':
    case 'ofBag': {
      const { batch } = view();
      if (batch.samples.length > 0) return;
      const sample = { label: 'Bag', bagG: 250, place: '' };
      const { sampleId } = send(db, 'saveSample', { batchId: batch.id, sample });
      if (one.do === 'ofBag') send(db, 'openSample', { batchId: batch.id, sampleId });
    }
  }
}

/** What each page says, as figures and words of one kind. */
function statements({ db, releaseId, view }: ViewedHouse) {
  const shown = view();
  const bench = shown.bench!;
  const house = findHouse(db)!;
  const standings = readToday(db, house, { today: TODAY });
  const mine = standings.find(({ id }) => id === releaseId)!;
  const [open] = openCoffees(standings, TODAY).filter((one) => one.releaseId === releaseId);
  const { due } = todayRows(standings, TODAY, { names: [], count: 1 });
  const stage = Object.fromEntries(stagesOf(shown).map((one) => [one.path, one]));
  const gate = Object.fromEntries(readinessOf(shown).map((one) => [one.gate, one]));
  const line = readReleaseList(db, {}).lines.find(({ id }) => id === releaseId)!;
  const body = publishedBody(house, shown, WORDS, { today: TODAY });
  return { shown, bench, mine, open, due, stage, gate, line, body };
}

function expectAgreement(house: ViewedHouse): void {
  const { db, releaseId } = house;
  const { shown, bench, mine, open, due, stage, gate, line, body } = statements(house);
  const { advice, draft, shots, setup } = bench;
  const isOnTarget = isOnTargetStatus(advice.status);
  const codes = mine.due.map(({ code }) => code);

  // How far the setting is.
  const last = shots.filter(({ draftId }) => draftId === draft.id).slice(-2);
  const isSimulated = last.some((shot) => shot.isSimulated);
  expect(gate.confirmed!.isMet).toBe(isOnTarget && !isSimulated);
  expect(stage.pull!.isDone).toBe(isOnTarget);
  expect(/target|approved/.test(stage.pull!.figure)).toBe(isOnTarget);
  expect(open!.setting!.status).toBe(advice.status);
  expect(body.confirmedShots >= 2).toBe(isOnTarget);
  if (!shown.published?.isThis)
    expect(codes.some((code) => code === 'dialIn' || code === 'firstShot')).toBe(!isOnTarget);

  // Who tasted it.
  const tasters = new Set(
    shots
      .filter(({ draftId }) => draftId === draft.id)
      .flatMap(({ tastings }) => tastings.map(({ tastedById }) => tastedById)),
  ).size;
  expect(gate.tasted!.isMet).toBe(tasters >= 2);
  if (isOnTarget && !shown.published?.isThis) expect(codes.includes('publish')).toBe(tasters >= 2);

  // The recipe in force, and where the grinder goes.
  const dial = dialWords(setup.grinder, advice.setting.dial);
  expect(open!.setting).toMatchObject({
    ...{ yieldG: draft.recipe.yieldG, timeS: draft.recipe.timeS, dialWords: dial },
    doseG: doseInForce(shots.at(-1)?.draftId === draft.id ? shots.at(-1) : undefined, draft.recipe),
  });
  expect(body.recipe).toMatchObject({
    ...{ doseG: draft.recipe.doseG, yieldG: draft.recipe.yieldG },
  });
  if (isOnTarget) expect(body.setup.dial).toBe(advice.setting.dial);

  // What is public.
  const [newest] = listVersions(db, releaseId);
  const address = findAddress(db, releaseId);
  const isPublic = address !== null && address.withdrawnAt === null;
  expect(line).toMatchObject({ version: newest?.number ?? null, isPublic });
  expect(stage.publish!.isDone).toBe(isPublic && shown.published!.differs.length === 0);
  const words = publicWords(shown.published);
  if (!newest) expect(words).toBe('not published');
  else {
    const { recipe } = readDocument(newest.document).body;
    expect(shown.published!.recipe).toMatchObject({
      ...{ doseG: recipe.doseG, yieldG: recipe.yieldG, timeS: recipe.timeS },
    });
    expect(words).toContain(`version ${newest.number}`);
    if (isPublic && recipe.yieldG !== draft.recipe.yieldG)
      expect(words).toContain(`${recipe.yieldG.toFixed(1)} g`);
    if (isPublic && shown.published!.isThis) expect(shown.published!.differs).toEqual([]);
    const told = listMessages(db).filter(({ versionNumber }) => versionNumber === newest.number);
    expect(told).toHaveLength(2);
    for (const { body: letter } of told) {
      expect(letter).toContain(`${recipe.doseG.toFixed(1)} g`);
      expect(letter).toContain(`${recipe.yieldG.toFixed(1)} g`);
    }
    const inFeed = publicCards(db).filter(({ name }) => name === shown.release.name);
    expect(inFeed.map(({ number }) => number)).toEqual(isPublic ? [newest.number] : []);
    for (const { summary } of inFeed) expect(summary).toContain(`${recipe.yieldG.toFixed(1)} g`);
  }
  expect(open!.setting!.published).toEqual(shown.published);

  // Its age, and the coffee left.
  expect(stage.rest!.figure).toBe(`day ${shown.batch.rest.restDays}`);
  expect(open!.rest).toContain(`day ${shown.batch.rest.restDays},`);
  const { leftG, samples } = shown.batch;
  const ofBags = samples.reduce((sum, { bagG, spentG }) => sum + Math.max(0, bagG - spentG), 0);
  expect(leftG).toBe(samples.length === 0 ? null : ofBags);

  // One next step: what Today asks of the bench is what the bench asks.
  const dialIn = due.find(({ code }) => code === 'dialIn');
  if (dialIn && shots.at(-1)!.draftId === draft.id && advice.move?.variable === 'dial')
    expect(say(dialIn.message)).toContain(dial);
}

it('no two pages disagree, whatever happened to a coffee', () => {
  fc.assert(
    fc.property(histories, (history) => {
      const house = houseWith();
      const otherId = join(house.db, 'bench');
      for (const one of history) happen(house, otherId, one);
      expectAgreement(house);
    }),
    { numRuns: 200 },
  );
});
