/**
 * Extraction arithmetic. Units: grams, percent 0-100. Valid for any beverage of known mass.
 * Source: mass balance (published, standard in the trade); retained liquid in the puck is ignored,
 * as the trade's figure does.
 */
import { userFault } from '../errors';
import { fault } from '../message';

export interface ExtractionInput {
  readonly doseG: number;
  readonly yieldG: number;
  readonly tdsPct: number;
}

export interface Extraction {
  /** Grams of beverage per gram of coffee; written 1:ratio. */
  readonly ratio: number;
  /** Dissolved mass as a percentage of the dose, 0-100. */
  readonly extractionPct: number;
  readonly solublesG: number;
}

/**
 * Ratio, extraction yield and dissolved mass of a shot.
 * @throws UserFault when more would be dissolved than was dosed.
 * @example extraction({ doseG: 18, yieldG: 36, tdsPct: 9.6 }).extractionPct // 19.2
 */
export function extraction({ doseG, yieldG, tdsPct }: ExtractionInput): Extraction {
  const solublesG = (tdsPct / 100) * yieldG;
  if (solublesG > doseG) {
    throw userFault(
      'badInput',
      'tdsPct',
      fault('extraction.moreThanDose', { tdsPct, yieldG, solublesG, doseG }),
    );
  }
  return { ratio: yieldG / doseG, extractionPct: (100 * solublesG) / doseG, solublesG };
}
