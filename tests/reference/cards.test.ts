/** A card in full: phases, milk, cups, other setups and languages, its papers, and what goes out with a version. */
import fc from 'fast-check';
import { findHouse } from '@/data/house';
import { listMessages, listRemarks } from '@/data/messages';
import { findPlanned, newestPrinted } from '@/data/printed';
import { findAddress, listVersions } from '@/data/publications';
import type { RecipeBody } from '@/formats/recipe/document';
import { LANGUAGES } from '@/core/language';
import { CARD_FIGURES, cardLines } from '@/formats/recipe/lines';
import { parse } from '@/core/schema/fields';
import { makeDocument, recipeBodySchema, writeDocument } from '@/formats/recipe/document';
import { readDocument } from '@/formats/recipe/readers';
import { drinksIn, fitsIn, phasesIn } from '@/formats/recipe/sections';
import { feedHead, feedOf, publicCards } from '@/server/feed';
import { publishPlanned } from '@/server/planned';
import { readToday } from '@/views/today';
import { faultOf } from '../support/fault';
import {
  openHouse,
  RECIPE,
  send,
  shotInput,
  stopClock,
  TODAY,
  WORDS,
  type TestHouse,
} from '../support/house';

const PHASES = [
  { from: 8, to: 13, steps: -0.5 },
  { from: 14, to: 21, steps: 0.5 },
];
const FITS = ['home54', 'noScale', 'pressurised'].map((audience) => ({ audience, tried: '' }));
const GERMAN = { right: 'Zitrone und Honig.' };

const card = ({ releaseId, draftId }: TestHouse) => ({
  releaseId,
  draftId,
  ...WORDS,
  phases: PHASES,
  hasDrinks: true,
  fits: FITS,
  otherWords: { de: GERMAN },
});

/** Fields and words a command is refused with. */
const refused = ({ db }: TestHouse, kind: string, input: object) =>
  faultOf(() => send(db, kind, input))
    .faults.map(({ field, message }) => `${field}: ${message}`)
    .join('\n');

function bodyOf({ db, releaseId }: TestHouse): RecipeBody {
  return readDocument(listVersions(db, releaseId)[0]!.document).body;
}

beforeEach(() => stopClock());

describe('a card in full', () => {
  it('carries phases, cups, other setups and the house’s words in another language', () => {
    const house = openHouse();
    send(house.db, 'publish', card(house));
    const body = bodyOf(house);
    expect(phasesIn(body, 'en')!.rows.map(({ days, grind }) => [days, grind])).toEqual([
      ['day 8-13', 'a little coarser'],
      ['day 14-21', 'a little finer'],
    ]);
    expect(drinksIn(body, 'en')[1]).toMatchObject({
      name: 'Cappuccino',
      espresso: '36.0 g',
      button: '48 ml (1.6 fl oz)',
      fill: 'Milk: 132 ml (4.5 fl oz)',
    });
    const fits = fitsIn(body, 'en');
    expect(fits[0]).toMatchObject({ title: 'Home, 54 mm', mark: 'computed' });
    expect(fits[1]!.figures).toMatch(/48 ml/);
    expect(fits[2]).toMatchObject({ figures: '', mark: '' });
    expect(cardLines(body, 'de')['When it is right']).toBe(GERMAN.right);
    expect(cardLines(body, 'fr')['When it is right']).toBe(cardLines(body)['When it is right']);
    for (const language of LANGUAGES)
      for (const name of CARD_FIGURES) expect(cardLines(body, language)[name]).toMatch(/\d/);
  });

  it.each([
    ['a hole', [PHASES[0], { ...PHASES[1], from: 16 }], /phases\.1.*day 14 to 15/s],
    ['an overlap', [PHASES[0], { ...PHASES[1], from: 12 }], /phases\.1.*inside the phase/s],
    ['an early end', [PHASES[0], { ...PHASES[1], to: 20 }], /phases\.1.*End it on day 21/s],
    [
      'an end before its beginning',
      [{ ...PHASES[0], to: 5 }, PHASES[1]],
      /phases\.0.*before it begins/s,
    ],
  ])('refuses phases with %s, and stores nothing', (_name, phases, words) => {
    const house = openHouse();
    expect(refused(house, 'publish', { ...card(house), phases })).toMatch(words);
    expect(listVersions(house.db, house.releaseId)).toEqual([]);
  });

  it('refuses a drink larger than its cup, and a recipe for milk that is not there', () => {
    const house = openHouse();
    const { rowVersion, rules: _rules, halfLife: _half, ...fields } = findHouse(house.db)!;
    const drinks = [{ name: 'Thimble', cupMl: 30, shots: 1, fill: 'none' }];
    send(house.db, 'saveHouse', { rowVersion, house: { ...fields, drinks } });
    expect(refused(house, 'publish', card(house))).toMatch(/Thimble.*cup holds 30 ml/);
    expect(refused(house, 'publish', { ...card(house), hasDrinks: false, hasMilk: true })).toMatch(
      /no recipe for milk drinks/,
    );
    expect(listVersions(house.db, house.releaseId)).toEqual([]);
  });
});

describe('a document', () => {
  const text = fc.string({ maxLength: 40 });
  const figure = fc
    .double({ min: 0.1, max: 300, noNaN: true })
    .map((value) => Number(value.toFixed(2)));
  const days = fc.integer({ min: 0, max: 90 });

  it('reads back as it was written, for 1,000 recipes', () => {
    const house = openHouse();
    send(house.db, 'publish', card(house));
    const base = bodyOf(house);
    const any = fc.record({
      figures: fc.record({ doseG: figure, yieldG: figure, ratio: figure, temperatureC: figure }),
      name: text,
      phases: fc.array(fc.record({ from: days, to: days, steps: figure }), {
        minLength: 1,
        maxLength: 3,
      }),
      tried: text,
      water: fc.record({ hardnessMgL: figure }, { requiredKeys: [] }),
      other: fc.dictionary(
        fc.constantFrom(...LANGUAGES),
        fc.record({ right: text }, { requiredKeys: [] }),
      ),
      fitting: fc.option(
        fc.record({ timeShare: figure, lnRatioPerCooler: figure, lnRatioPerHotter: figure }),
        { nil: undefined },
      ),
    });
    fc.assert(
      fc.property(any, ({ figures, name, phases, tried, water, other, fitting }) => {
        const body: RecipeBody = {
          ...base,
          coffee: { ...base.coffee, name },
          recipe: { ...base.recipe, ...figures },
          phases: { cardDay: 14, list: phases },
          fits: base.fits.map((fit) => ({ ...fit, tried })),
          water,
          otherWords: other,
          fitting,
        };
        // As publishing does: what is written went through the format first.
        const written = writeDocument(makeDocument(parse(recipeBodySchema, body)));
        expect(writeDocument(readDocument(written))).toBe(written);
      }),
      { numRuns: 1000 },
    );
  });
});

describe('what goes out with a version', () => {
  it('is written to partners and team, and never sent', () => {
    const house = openHouse();
    const { db, releaseId } = house;
    send(db, 'publish', card(house));
    send(db, 'logShot', shotInput(house.draftId));
    send(db, 'publish', { ...card(house), whatChanged: 'Shorter, it was thin.', fits: [] });
    const messages = listMessages(db).filter(({ versionNumber }) => versionNumber === 2);
    expect(messages.map(({ audience }) => audience).sort()).toEqual(['partners', 'team']);
    for (const { subject, body } of messages) {
      expect(subject).toBe('Dembi Ridge: version 2 of the recipe');
      expect(body).toMatch(/Shorter, it was thin\./);
      expect(body).toMatch(/Dose 18\.0 g, in the cup 36\.0 g/);
      expect(body).toContain(`/p/${findAddress(db, releaseId)!.token}/`);
    }
    const [one] = messages;
    send(db, 'editMessage', { messageId: one!.id, rowVersion: 1, subject: 'New', body: 'Ours' });
    expect(
      refused(house, 'editMessage', { messageId: one!.id, rowVersion: 1, subject: 'x', body: 'y' }),
    ).toMatch(/Someone else/);
    send(db, 'fileMessage', { messageId: one!.id });
    expect(refused(house, 'fileMessage', { messageId: one!.id })).toMatch(/filed already/);
  });

  it('says which papers are of an older version', () => {
    const house = openHouse();
    const { db, releaseId } = house;
    expect(refused(house, 'notePrinted', { releaseId, paper: 'bag', copies: 4 })).toMatch(
      /Publish it first/,
    );
    send(db, 'publish', card(house));
    send(db, 'notePrinted', { releaseId, paper: 'bag', copies: 30 });
    send(db, 'notePrinted', { releaseId, paper: 'bag', copies: 10 });
    send(db, 'publish', { ...card(house), whatChanged: 'Finer.' });
    expect(newestPrinted(db, releaseId)).toEqual([{ paper: 'bag', versionNumber: 1, copies: 40 }]);
    send(db, 'notePrinted', { releaseId, paper: 'bag', copies: 20 });
    expect(newestPrinted(db, releaseId)).toEqual([{ paper: 'bag', versionNumber: 2, copies: 20 }]);
  });

  it('waits for the day it was planned for, and is held back where it no longer holds', () => {
    const house = openHouse();
    const { db, releaseId } = house;
    const planned = { ...card(house), onDay: '2026-05-23' };
    expect(refused(house, 'planPublication', { ...planned, onDay: TODAY })).toMatch(
      /onDay.*Choose a day after today/,
    );
    send(db, 'planPublication', planned);
    expect(publishPlanned(db)).toBe(0);
    stopClock('2026-05-23');
    expect(publishPlanned(db)).toBe(1);
    expect([listVersions(db, releaseId).length, findPlanned(db, releaseId)]).toEqual([1, null]);

    send(db, 'planPublication', { ...planned, onDay: '2026-05-25', whatChanged: 'Later.' });
    send(db, 'acceptRecipe', {
      ...RECIPE,
      yieldG: 40,
      releaseId,
      setupId: house.setupId,
      batchId: `${releaseId}-1`,
    });
    stopClock('2026-05-25');
    expect(publishPlanned(db)).toBe(0);
    expect(findPlanned(db, releaseId)!.heldBecause).toMatch(/changed after this preview/);
    const standings = readToday(db, findHouse(db)!, { today: '2026-05-25' });
    expect(standings[0]!.due[0]).toMatchObject({ code: 'heldCard', stage: 'publish' });
    expect(publishPlanned(db)).toBe(0);
    send(db, 'cancelPlanned', { releaseId });
    expect(findPlanned(db, releaseId)).toBeNull();
  });

  it('hears what readers say, so many in an hour, and only of what is public', () => {
    const house = openHouse();
    const { db, releaseId } = house;
    send(db, 'publish', card(house));
    const { token } = findAddress(db, releaseId)!;
    const remark = { token, version: 1, language: 'de', words: 'Etwas sauer.' };
    const say = (more: object = {}) =>
      send(db, 'leaveRemark', { ...remark, ...more }, undefined, null);
    say();
    expect(listRemarks(db)).toMatchObject([
      { words: 'Etwas sauer.', language: 'de', settledAt: null },
    ]);
    expect(() => say({ version: 7 })).toThrow(/no longer public/);
    expect(() => say({ words: ' ' })).toThrow(/empty/);
    for (let i = 0; i < 5; i++) say();
    expect(() => say()).toThrow(/Wait an hour/);
    send(db, 'withdraw', { releaseId, why: 'over' });
    expect(() => say()).toThrow(/no longer public/);
  });

  it('stands in the feed, in words that are safe in it', () => {
    const house = openHouse();
    send(house.db, 'publish', { ...card(house) });
    const feed = feedOf({ ...feedHead(house.db), roastery: 'A & "B" <C>' }, publicCards(house.db));
    expect(feed).toContain('A &amp; &quot;B&quot; &lt;C&gt;');
    expect(feed).toMatch(/<summary>18\.0 g → 36\.0 g, 26-30 s from the pump, 93\.0 °C/);
  });
});
