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

/** What a coffee costs: its own price, else the house's usual; null while neither is known. */
export function priceOf(
  house: { readonly coffeePricePerKg?: number | undefined; readonly currency: string },
  release: { readonly pricePerKg?: number | undefined },
): CoffeePrice | null {
  const perKg = release.pricePerKg ?? house.coffeePricePerKg;
  return perKg === undefined ? null : { perKg, currency: house.currency };
}
