/**
 * A person's units for showing and typing; everything is kept and computed in grams and °C.
 * Source: oz = 28.3495 g (avoirdupois), °F = 1.8 °C + 32 (model.md §0).
 */
export const MASS_UNITS = ['g', 'oz'] as const;
export const TEMPERATURE_UNITS = ['C', 'F'] as const;

export interface Units {
  readonly mass: (typeof MASS_UNITS)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
}

export const METRIC: Units = { mass: 'g', temperature: 'C' };

export const G_PER_OZ = 28.3495;
export const F_PER_C = 1.8;
const F_AT_0_C = 32;

/** A tenth of a gram is .0035 oz: three digits keep what the scale could read. */
const OZ_DIGITS = 3;

export function ouncesOf(g: number): number {
  return g / G_PER_OZ;
}

export function fahrenheitOf(c: number): number {
  return F_PER_C * c + F_AT_0_C;
}

export function celsiusOf(f: number): number {
  return (f - F_AT_0_C) / F_PER_C;
}

/** "18.0 g" or "0.635 oz"; `digits` are those of grams. */
export function massWords(g: number, units: Units, digits = 1): string {
  return `${massFigure(g, units, digits)} ${units.mass}`;
}

/** The figure alone, for a range whose unit is said once. */
export function massFigure(g: number, units: Units, digits = 1): string {
  return units.mass === 'g' ? g.toFixed(digits) : ouncesOf(g).toFixed(OZ_DIGITS);
}

/** "93.0 °C" or "199.4 °F". */
export function temperatureWords(c: number, units: Units, digits = 1): string {
  return `${temperatureFigure(c, units, digits)} °${units.temperature}`;
}

export function temperatureFigure(c: number, units: Units, digits = 1): string {
  return (units.temperature === 'C' ? c : fahrenheitOf(c)).toFixed(digits);
}

/** A difference of temperature, which has no zero point: "1.5 °C" or "2.7 °F". */
export function temperatureStepWords(c: number, units: Units, digits = 1): string {
  const step = units.temperature === 'C' ? c : F_PER_C * c;
  return `${step.toFixed(digits)} °${units.temperature}`;
}
