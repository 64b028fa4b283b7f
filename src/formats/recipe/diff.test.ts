import { listVersions } from '@/data/publications';
import { openHouse, send, WORDS } from '../../../tests/support/house';
import { recipeDiff } from './diff';
import type { RecipeBody } from './document';
import { cardLines, coffeeWords } from './lines';
import { readDocument } from './readers';

const BODY: RecipeBody = {
  roastery: 'Lanternfell Coffee',
  coffee: {
    name: 'Harbour Lamp',
    components: [
      {
        sharePct: 70,
        country: 'Brazil',
        region: '',
        producer: '',
        variety: '',
        process: 'natural',
      },
      { sharePct: 30, country: 'India', region: '', producer: '', variety: 'Robusta' },
    ],
    roastDate: '2026-05-08',
    roastLevel: 0.5,
    promisedNotes: ['cocoa'],
  },
  recipe: {
    doseG: 18,
    yieldG: 36,
    ratio: 2,
    temperatureC: 92,
    timeS: [26, 30],
    clock: 'pump',
    programme: '9 bar, flat',
    restDays: [7, 18],
  },
  style: 'classic',
  temperatureSchool: 'both',
  temperatureMeasured: 'as set on the machine',
  tolerance: { doseG: 0.2, yieldG: 1 },
  setup: {
    machine: 'Machine',
    grinder: 'Grinder',
    dial: 12,
    basket: 'Double',
    diameterMm: 58,
    ratedG: 18,
  },
  sensory: { right: 'Cocoa.', short: 'Salty.', long: 'Hollow.' },
  fits: [],
  confirmedShots: 2,
  version: 1,
  publishedOn: '2026-05-20',
  whatChanged: '',
};

describe('the lines of a card', () => {
  it('say a blend by its shares', () => {
    expect(coffeeWords(BODY)).toBe('70 % Brazil, natural; 30 % India, Robusta; medium-dark roast');
  });

  it('leave out what is not known', () => {
    const { roastLevel: _roastLevel, ...coffee } = BODY.coffee;
    const bare = { ...BODY, coffee: { ...coffee, components: BODY.coffee.components.slice(0, 1) } };
    expect(coffeeWords(bare)).toBe('Brazil, natural');
    expect(cardLines(bare).Roast).toBe('');
  });
});

describe('the difference to the last version', () => {
  it('is empty when the card would say the same, whatever the version is called', () => {
    expect(recipeDiff(BODY, { ...BODY, version: 2, publishedOn: '2026-06-01' })).toEqual([]);
  });

  it('names each field with both figures in the words of the card', () => {
    const after: RecipeBody = {
      ...BODY,
      recipe: { ...BODY.recipe, yieldG: 40, ratio: 40 / 18, timeS: [28, 32], clock: 'firstDrip' },
      sensory: { ...BODY.sensory, long: 'Thin.' },
      confirmedShots: 0,
    };
    expect(recipeDiff(BODY, after)).toEqual([
      { label: 'In the cup', before: '36.0 g', after: '40.0 g' },
      { label: 'Time', before: '26-30 s from the pump', after: '28-32 s from the first drip' },
      { label: 'Ratio', before: '1:2.00', after: '1:2.22' },
      { label: 'When it ran long', before: 'Hollow.', after: 'Thin.' },
      {
        label: 'Repeated',
        before: 'Repeated on target 2 times.',
        after: 'Not yet repeated on target.',
      },
    ]);
  });
});

it('tells what a card says beside its recipe by what is ticked, not by figures that follow', () => {
  const { db, releaseId, draftId } = openHouse();
  const card = { releaseId, draftId, ...WORDS, fits: [{ audience: 'home54', tried: '' }] };
  send(db, 'publish', card);
  send(db, 'publish', {
    ...card,
    whatChanged: 'Tried.',
    fits: [{ audience: 'home54', tried: 'at Wren’s' }],
    hasDrinks: true,
  });
  const [after, before] = listVersions(db, releaseId).map(
    ({ document }) => readDocument(document).body,
  );
  const said = recipeDiff(before!, after!);
  expect(said).toContainEqual({
    label: 'On other setups',
    before: 'Home, 54 mm (computed)',
    after: 'Home, 54 mm (tried: at Wren’s)',
  });
  expect(said).toContainEqual({
    label: 'For your cups',
    before: '',
    after: 'Espresso, Cappuccino, Long black',
  });
  const longer = { ...after!, recipe: { ...after!.recipe, yieldG: 40, ratio: 40 / 18 } };
  expect(recipeDiff(after!, longer).map(({ label }) => label)).toEqual(['In the cup', 'Ratio']);
});
