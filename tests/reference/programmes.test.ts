/** Programmes through the whole house: written, begun with, put on the bench, published, read back. */
import { findHouse } from '@/data/house';
import { listProgrammes } from '@/data/programmes';
import { readStart } from '@/views/start';
import { cardPdf } from '@/formats/paper/card';
import { readDocument } from '@/formats/recipe/readers';
import { recipeDiff } from '@/formats/recipe/diff';
import { cardLines } from '@/formats/recipe/lines';
import { faultOf } from '../support/fault';
import { openHouse, RECIPE, send, TODAY, WORDS } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

const RISING = [
  { drive: 'pressure', level: 3, seconds: 6, ramp: false },
  { drive: 'pressure', level: 9, seconds: 5, ramp: true },
] as const;
const PROGRAMME = { name: 'Slow rise', style: 'classic', steps: RISING, isFirst: true } as const;

const accept = ({ db, releaseId, setupId }: ViewedHouse, changes: Record<string, unknown>) =>
  send(db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    setupId,
    batchId: `${releaseId}-1`,
    ...changes,
  });

const choices = (house: ViewedHouse, style: string) =>
  readStart(
    house.db,
    findHouse(house.db)!,
    house.view(),
    { style },
    {
      today: TODAY,
    },
  ).water.choices;

describe('programmes of the house', () => {
  it('are kept, changed by who saw the newest, taken away and put back', () => {
    const { db } = openHouse();
    const { id } = send(db, 'saveProgramme', PROGRAMME);
    expect(listProgrammes(db)).toMatchObject([{ ...PROGRAMME, rowVersion: 1 }]);
    send(db, 'saveProgramme', { ...PROGRAMME, id, rowVersion: 1, name: 'Slower rise' });
    const late = faultOf(() => send(db, 'saveProgramme', { ...PROGRAMME, id, rowVersion: 1 }));
    expect(late.code).toBe('conflict');
    expect(listProgrammes(db)[0]!.name).toBe('Slower rise');
    send(db, 'remove', { what: 'programme', id });
    expect(listProgrammes(db)).toEqual([]);
    send(db, 'restore', { what: 'programme', id });
    expect(listProgrammes(db)).toHaveLength(1);
  });

  it('are one first of a style at most: the last saved', () => {
    const { db } = openHouse();
    send(db, 'saveProgramme', PROGRAMME);
    send(db, 'saveProgramme', { ...PROGRAMME, name: 'Another rise' });
    send(db, 'saveProgramme', { ...PROGRAMME, name: 'For soaks', style: 'soakFirst' });
    const firsts = listProgrammes(db).filter(({ isFirst }) => isFirst);
    expect(firsts.map(({ name }) => name)).toEqual(['Another rise', 'For soaks']);
  });

  it.each([
    [{ name: ' ' }, 'name', /empty/],
    [{ steps: [] }, 'steps', /at least one step/],
    [{ steps: [{ ...RISING[0], level: 20 }] }, 'steps.0.level', /at most 12 bar/],
    [{ steps: [{ ...RISING[0], seconds: 0 }] }, 'steps.0.seconds', /0.5-120 s/],
    [{ style: 'lever' }, 'style', /not one of/],
  ])('refuse %j with the field and the remedy', (changes, field, words) => {
    const { db } = openHouse();
    const { faults } = faultOf(() => send(db, 'saveProgramme', { ...PROGRAMME, ...changes }));
    expect(faults[0]).toMatchObject({ field, message: expect.stringMatching(words) });
    expect(listProgrammes(db)).toEqual([]);
  });
});

describe('Start', () => {
  it('begins a style with the house’s first programme, and a recipe on the bench with its own', () => {
    const house = houseWith();
    expect(choices(house, 'classic')[0].id).toBe('style');
    send(house.db, 'saveProgramme', PROGRAMME);
    expect(choices(house, 'classic').map(({ words }) => words)).toEqual([
      'Slow rise',
      '9 bar, flat',
    ]);
    expect(choices(house, 'declining')[0].id).toBe('style');
    accept(house, { programme: 'Rise and stay', steps: RISING });
    expect(choices(house, 'classic')[0]).toMatchObject({ id: 'bench', words: 'Rise and stay' });
  });
});

describe('a recipe with steps', () => {
  it('is published with them, says them on card and paper, and is read back the same', async () => {
    const house = houseWith();
    const { db, releaseId } = house;
    accept(house, { programme: 'Slow rise', steps: RISING });
    const draftId = house.view().bench!.draft.id;
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const { document } = db.prepare('SELECT document FROM recipe_version').get() as {
      document: string;
    };
    const { body } = readDocument(document);
    expect(body.recipe.steps).toEqual(RISING);
    const words = '3 bar for 6 s; evenly to 9 bar over 5 s, then on to target weight';
    expect(cardLines(body)['Step by step']).toBe(words);
    const plain = { ...body, recipe: { ...body.recipe, steps: undefined } };
    expect(recipeDiff(plain, body)).toEqual([{ label: 'Step by step', before: '', after: words }]);
    const [drawn, undrawn] = await Promise.all(
      [body, plain].map((one) =>
        cardPdf({ body: one, address: 'https://example.test/p/x', language: 'en' }),
      ),
    );
    expect(drawn!.length).toBeGreaterThan(undrawn!.length);
    const other = openHouse();
    const { releaseId: read } = send(other.db, 'importDocument', { document });
    const kept = other.db
      .prepare(
        `SELECT r.steps FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
         WHERE d.release_id = ?`,
      )
      .get(read) as { steps: string };
    expect(JSON.parse(kept.steps)).toEqual(RISING);
  });

  it('keeps its steps when taste changes another figure, and needs none', () => {
    const house = houseWith();
    expect(house.view().bench!.draft.recipe.steps).toBeUndefined();
    accept(house, { steps: RISING });
    expect(house.view().bench!.draft.recipe.steps).toEqual(RISING);
  });
});
