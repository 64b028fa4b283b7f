/** Only what says that it is published leaves the house; documents of every format stay open. */
import { readdirSync, readFileSync } from 'node:fs';
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { entriesOf, publishedOf, type Fields } from '@/core/entity/field';
import { RECIPE } from '@/core/entity/recipe';
import { RELEASE } from '@/core/entity/release';
import type * as Limits from '@/core/limits';
import { findHouse } from '@/data/house';
import { publishedBody } from '@/features/publish/document';
import { cardLines } from '@/formats/recipe/lines';
import { makeDocument, writeDocument } from '@/formats/recipe/document';
import { readDocument } from '@/formats/recipe/readers';
import { TODAY, WORDS } from '../support/house';
import { houseWith } from '../support/view';

const SECRET = 'nobody outside reads this';
const SECRET_FIGURE = 12345.678;

/** The view of a release with an unknown fact in every row the document is made of. */
function viewWithSecrets() {
  const { db, view } = houseWith({}, {});
  const known = view();
  const secrets = { buyersRemark: SECRET, paidPerKg: SECRET_FIGURE };
  return {
    house: findHouse(db)!,
    view: {
      ...known,
      release: {
        ...known.release,
        ...secrets,
        components: known.release.components.map((part) => ({ ...part, ...secrets })),
      },
      batch: { ...known.batch, ...secrets },
      bench: {
        ...known.bench!,
        draft: {
          ...known.bench!.draft,
          ...secrets,
          recipe: { ...known.bench!.draft.recipe, ...secrets },
        },
      },
    },
  };
}

it('a fact nobody said is public is in no document and on no line of the card', () => {
  const { house, view } = viewWithSecrets();
  const body = publishedBody(house, view, WORDS, { today: TODAY });
  const everything = writeDocument(makeDocument(body)) + JSON.stringify(cardLines(body));
  expect(everything).toContain('Dembi Ridge');
  expect(everything).not.toContain(SECRET);
  expect(everything).not.toContain(String(SECRET_FIGURE));
});

it.each([
  ['release', RELEASE],
  ['component', COMPONENT],
  ['batch', BATCH],
  ['recipe', RECIPE],
] as [string, Fields][])(
  'publishing a %s takes its published fields and no other',
  (_name, fields) => {
    const all = Object.fromEntries(entriesOf(fields).map(([name]) => [name, name]));
    const told = publishedOf(fields, { ...all, unknown: SECRET } as never);
    const wanted = entriesOf(fields).filter(([, { isPublished }]) => isPublished);
    expect(Object.keys(told).sort()).toEqual(wanted.map(([name]) => name).sort());
    expect(wanted.length).toBeGreaterThan(0);
  },
);

describe('documents kept as they were published', () => {
  const files = readdirSync('tests/golden').filter((name) => name.startsWith('recipe-'));

  it('are there, of both formats', () => {
    expect(files.filter((name) => name.startsWith('recipe-1-')).length).toBeGreaterThanOrEqual(2);
    expect(files.filter((name) => name.startsWith('recipe-2-')).length).toBeGreaterThanOrEqual(1);
  });

  it.each(files)('%s opens, unchanged by its hash, and makes a card', (name) => {
    const text = readFileSync(`tests/golden/${name}`, 'utf8');
    const { body } = readDocument(text);
    const raw = JSON.parse(text) as { body: { coffee: { name: string }; recipe: object } };
    expect(body.coffee.name).toBe(raw.body.coffee.name);
    expect(body.recipe).toMatchObject(raw.body.recipe);
    for (const line of ['Dose', 'In the cup', 'Time', 'Temperature', 'Rest'] as const)
      expect(cardLines(body)[line]).not.toBe('');
  });

  it.each(files)('%s opens also when every limit of today is drawn tighter', async (name) => {
    await jest.isolateModulesAsync(async () => {
      jest.doMock('@/core/limits', () => tightened());
      jest.doMock('../../src/core/limits', () => tightened());
      const { readDocument: readTight } = await import('@/formats/recipe/readers');
      const { recipeSchema } = await import('@/core/schema/recipe');
      const text = readFileSync(`tests/golden/${name}`, 'utf8');
      const { body } = readTight(text);
      expect(body.recipe.doseG).toBeGreaterThan(10);
      // Today's edge would take none of it.
      expect(recipeSchema.safeParse(body.recipe).success).toBe(false);
    });
    jest.dontMock('@/core/limits');
  });
});

/** The limits as they are, each a thousandth of its width. */
function tightened() {
  const actual = jest.requireActual<typeof Limits>('@/core/limits');
  const LIMITS = Object.fromEntries(
    Object.entries(actual.LIMITS).map(([name, limit]) => [
      name,
      { ...limit, max: limit.min + (limit.max - limit.min) / 1000 },
    ]),
  );
  return { ...actual, LIMITS };
}
