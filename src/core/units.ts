/**
 * A person's units for showing and typing; everything is kept and computed in grams, millilitres and °C.
 * Masses are grams for everybody: nobody weighs espresso in ounces, which imports alone still understand.
 * Source: oz = 28.3495 g (avoirdupois), fl oz = 29.5735 ml (US), °F = 1.8 °C + 32 (model.md §0).
 */
import { figure } from './figure';

export const VOLUME_UNITS = ['ml', 'flOz'] as const;
export const TEMPERATURE_UNITS = ['C', 'F'] as const;

export interface Units {
  readonly volume: (typeof VOLUME_UNITS)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
}

export const METRIC: Units = { volume: 'ml', temperature: 'C' };

export const VOLUME_LABELS: Readonly<Record<Units['volume'], string>> = {
  ml: 'ml',
  flOz: 'fl oz',
};

export const G_PER_OZ = 28.3495;
export const ML_PER_FL_OZ = 29.5735;
export const F_PER_C = 1.8;
const F_AT_0_C = 32;

export function fluidOuncesOf(ml: number): number {
  return ml / ML_PER_FL_OZ;
}

export function fahrenheitOf(c: number): number {
  return F_PER_C * c + F_AT_0_C;
}

export function celsiusOf(f: number): number {
  return (f - F_AT_0_C) / F_PER_C;
}

/** "18.0 g". */
export function massWords(g: number, digits = 1): string {
  return `${massFigure(g, digits)} g`;
}

/** The figure alone, for a range whose unit is said once. */
export function massFigure(g: number, digits = 1): string {
  return figure(g, digits);
}

/** "48 ml" or "1.62 fl oz". */
export function volumeWords(ml: number, { volume }: Units): string {
  const shown = volume === 'ml' ? figure(ml, 0) : figure(fluidOuncesOf(ml), 2);
  return `${shown} ${VOLUME_LABELS[volume]}`;
}

/** "93.0 °C" or "199.4 °F". */
export function temperatureWords(c: number, units: Units, digits = 1): string {
  return `${temperatureFigure(c, units, digits)} °${units.temperature}`;
}

export function temperatureFigure(c: number, units: Units, digits = 1): string {
  return figure(units.temperature === 'C' ? c : fahrenheitOf(c), digits);
}

/** A difference of temperature, which has no zero point: "1.5 °C" or "2.7 °F". */
export function temperatureStepWords(c: number, units: Units, digits = 1): string {
  const step = units.temperature === 'C' ? c : F_PER_C * c;
  return `${figure(step, digits)} °${units.temperature}`;
}
