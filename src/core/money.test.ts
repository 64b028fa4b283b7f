import { costWords, priceOf } from './money';

it('says what the coffee of a dial-in costs', () => {
  expect(costWords(129, { perKg: 24, currency: 'EUR' })).toBe('€3.10');
  expect(costWords(1000, { perKg: 30, currency: 'GBP' })).toBe('£30.00');
});

it('has no price until the house names one', () => {
  expect(priceOf({ currency: 'EUR' }, {})).toBeNull();
  const house = { currency: 'EUR', coffeePricePerKg: 24 };
  expect(priceOf({ ...house, coffeePricePerKg: 0 }, {})).toEqual({ perKg: 0, currency: 'EUR' });
  expect(priceOf(house, {})!.perKg).toBe(24);
  expect(priceOf(house, { pricePerKg: 41 })!.perKg).toBe(41);
});
