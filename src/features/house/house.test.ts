import { OUTPUTS, type OwnRule } from '@/core/start/priors';
import { proposeFrom } from '@/core/start/propose';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { readHouseModel } from '@/views/houseModel';
import { readRelease } from '@/views/release';
import { faultOf } from '../../../tests/support/fault';
import { openHouse, send, TODAY } from '../../../tests/support/house';
import { houseSent, houseTextOf } from './houseText';
import { ownRulesOf, ruleTextsOf } from './ruleText';

function openSettings() {
  const { db } = openHouse();
  const text = houseTextOf(findHouse(db)!);
  const save = (change: Partial<typeof text>, rowVersion = 1) =>
    send(db, 'saveHouse', { rowVersion, house: houseSent({ ...text, ...change }) });
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

describe('rules of the house’s own', () => {
  const saveRules = (db: Db, rules: unknown, halfLife?: unknown, rowVersion = 1) =>
    send(db, 'saveRules', { rowVersion, rules, halfLife });

  it('go through their form: as people write them, and back to the same figures', () => {
    for (const output of OUTPUTS) {
      const texts = ruleTextsOf([], output, 'both');
      expect(ownRulesOf(texts, output, 'both')).toEqual([]);
      const changed = { ...texts, light: { mean: '25', sd: '6' } };
      const [own, ...others] = ownRulesOf(changed, output, 'both');
      expect(others).toEqual([]);
      expect(own).toMatchObject({ factor: 'light', output });
      expect(ruleTextsOf([own as OwnRule], output, 'both').light).toEqual(changed.light);
    }
    const { lnRatio } = { lnRatio: ruleTextsOf([], 'lnRatio', 'both') };
    expect(lnRatio.base).toEqual({ mean: '2', sd: '10' });
    expect(lnRatio.light).toEqual({ mean: '22.14', sd: '6' });
  });

  it('reach the proposal, and are reset by saving none', () => {
    const { db, releaseId } = openHouse();
    const ask = () => {
      const house = findHouse(db)!;
      const view = readRelease(db, house, releaseId, { today: TODAY })!;
      const question = { release: view.facts, style: 'classic' } as const;
      return proposeFrom(readHouseModel(db, house).modelOf('both'), question).mean.temperatureC;
    };
    const before = ask();
    saveRules(db, [{ factor: 'base', output: 'temperatureC', mean: 90, sd: 1 }], 20);
    expect(ask()).toBeCloseTo(before - 2, 9);
    expect(findHouse(db)).toMatchObject({ halfLife: 20 });
    saveRules(db, [], undefined, 2);
    expect(ask()).toBeCloseTo(before, 9);
    expect(findHouse(db)!.halfLife).toBeUndefined();
  });

  it.each([
    ['a ± of nothing', [{ factor: 'base', output: 'lnRatio', mean: 0.7, sd: 0 }], /0 or less/],
    ['a figure that is none', [{ factor: 'base', output: 'lnRatio', mean: 'x', sd: 1 }], /number/],
    ['an unknown factor', [{ factor: 'moon', output: 'lnRatio', mean: 1, sd: 1 }], /not one of/],
    [
      'the same rule twice',
      [1, 2].map((mean) => ({ factor: 'base', output: 'lnRatio', mean, sd: 1 })),
      /given twice/,
    ],
  ])('refuse %s', (_what, rules, words) => {
    const { db } = openHouse();
    expect(faultOf(() => saveRules(db, rules)).message).toMatch(words);
    expect(findHouse(db)!.rules).toEqual([]);
  });

  it('show a second lead that the first was quicker', () => {
    const { db } = openHouse();
    saveRules(db, []);
    expect(faultOf(() => saveRules(db, [], 10)).message).toMatch(/Someone else/);
  });
});
