import { findHouse } from '@/data/house';
import { faultOf } from '../../../tests/support/fault';
import { openHouse, send } from '../../../tests/support/house';
import { houseInputOf, houseTextOf } from './houseText';

function openSettings() {
  const { db } = openHouse();
  const text = houseTextOf(findHouse(db)!);
  const save = (change: Partial<typeof text>, rowVersion = 1) =>
    send(db, 'saveHouse', { rowVersion, house: houseInputOf({ ...text, ...change }) });
  return { db, text, save };
}

describe('how the house works', () => {
  it('goes through its form unchanged', () => {
    const { db, save } = openSettings();
    const before = findHouse(db)!;
    save({});
    expect(findHouse(db)).toEqual({ ...before, rowVersion: 2 });
  });

  it('keeps what a lead enters: money, days off, schools, roast words', () => {
    const { db, text, save } = openSettings();
    save({
      coffeePricePerKg: '23,50',
      currency: ' gbp ',
      closedWeekdays: [6, 7],
      closedDates: '2026-12-25, 2026-12-26',
      restSchool: 'patient',
      clock: 'firstDrip',
      tasteFirst: true,
      publicAddress: 'https://recipes.example.org',
      roastMap: text.roastMap.map((reading) =>
        reading.roastLevel === 0 ? { ...reading, colourGround: '81,5' } : reading,
      ),
    });
    expect(findHouse(db)).toMatchObject({
      coffeePricePerKg: 23.5,
      currency: 'GBP',
      closedWeekdays: [6, 7],
      closedDates: ['2026-12-25', '2026-12-26'],
      restSchool: 'patient',
      clock: 'firstDrip',
      tasteFirst: true,
      publicAddress: 'https://recipes.example.org',
      roastMap: [{ roastLevel: 0, colourGround: 81.5 }],
    });
  });

  it.each([
    ['a currency nobody has', { currency: 'BEANS' }, 'currency', /three letters, e\.g\. EUR/],
    ['a price of gold', { coffeePricePerKg: '60000' }, 'coffeePricePerKg', /outside 0-10000/],
    ['a day that is none', { closedDates: '2026-02-30' }, 'closedDates.0', /not a calendar day/],
    ['a tolerance of a cup', { yieldToleranceG: '90' }, 'yieldToleranceG', /outside 0\.1-10 g/],
    [
      'a page for an address',
      { publicAddress: 'https://x.example/p/1' },
      'publicAddress',
      /without a path/,
    ],
    ['no name', { name: ' ' }, 'name', /is empty/],
  ])('refuses %s at its field', (_name, change, field, words) => {
    const { db, save } = openSettings();
    const fault = faultOf(() => save(change));
    expect(fault.faults).toHaveLength(1);
    expect(fault.faults[0]!.field).toBe(`house.${field}`);
    expect(fault.faults[0]!.message).toMatch(words);
    expect(findHouse(db)!.rowVersion).toBe(1);
  });

  it('does not save over what another lead saved meanwhile', () => {
    const { db, save } = openSettings();
    save({ currency: 'GBP' });
    expect(faultOf(() => save({ currency: 'CHF' })).code).toBe('conflict');
    expect(findHouse(db)!.currency).toBe('GBP');
  });
});
