/** What the simulator is asked and what it answers. */
import type { Programme } from '../programme/step';
import type { Solute } from './parameters';

/** A coffee as the simulator knows it: what the bench has to find out. */
export interface SimulatedCoffee {
  /** ρ, −2 ultra light … +2 very dark. */
  readonly roastLevel: number;
  /** Process intensity I, 0 washed … 2 infused: gives more easily, flows a little faster. */
  readonly intensity: number;
  readonly restDays: number;
  /** How this lot departs from its kind, in ln: resistance to flow, ease of dissolving. */
  readonly lnResistance?: number | undefined;
  readonly lnEase?: number | undefined;
}

export interface SimulatedShot {
  readonly doseG: number;
  /** Mean size of the grind, µm; already mixed with what stood in the grinder. */
  readonly grindUm: number;
  readonly temperatureC: number;
  readonly programme: Programme;
  /** The pump stops when the cup will end at this. */
  readonly yieldG: number;
  /** Stops then at the latest, s from the pump. */
  readonly mostS?: number | undefined;
  /** Evenness of the preparation, 0-1; .8 is a careful hand. */
  readonly prep?: number | undefined;
  readonly beanC?: number | undefined;
  /** Grams of water misted over the beans: slows the shot a little. */
  readonly isMisted?: boolean | undefined;
  /** The portafilter was not warmed. */
  readonly isColdMetal?: boolean | undefined;
  /** Cups are changed at these times, s from the pump. */
  readonly cutsS?: readonly number[] | undefined;
}

export interface SimulatedBasket {
  readonly diameterMm: number;
  readonly ratedG: number;
}

export interface TracePoint {
  readonly timeS: number;
  readonly weightG: number;
  readonly pressureBar: number;
  readonly flowMlS: number;
  readonly temperatureC: number;
}

export interface CupPart {
  readonly yieldG: number;
  readonly tdsPct: number;
  readonly solutesG: Readonly<Record<Solute, number>>;
}

export interface ShotResult {
  /** s from the pump to its stop. */
  readonly timeS: number;
  /** s from the pump; null when nothing came. */
  readonly firstDripS: number | null;
  readonly yieldG: number;
  readonly tdsPct: number;
  readonly extractionPct: number;
  /** One point each tenth of a second, until the cup no longer fills. */
  readonly trace: readonly TracePoint[];
  /** The cup, cut at `cutsS`; one part without cuts. */
  readonly stages: readonly CupPart[];
  /** Share of the water that went through the channel, 0-1. */
  readonly channelled: number;
  /** Solutes in g, for the balance: what was there, and what was found again everywhere. */
  readonly balance: { readonly before: number; readonly after: number };
}
