/** What the coffee of a dial-in costs, at the house's own price of the roasted coffee. */
export interface CoffeePrice {
  readonly perKg: number;
  /** ISO 4217. */
  readonly currency: string;
}

/** "€2.41" for so many grams. */
export function costWords(g: number, { perKg, currency }: CoffeePrice): string {
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format((g / 1000) * perKg);
}

/** The price of a house, or null while it has none. */
export function priceOf(house: {
  readonly coffeePricePerKg?: number | undefined;
  readonly currency: string;
}): CoffeePrice | null {
  return house.coffeePricePerKg === undefined
    ? null
    : { perKg: house.coffeePricePerKg, currency: house.currency };
}
