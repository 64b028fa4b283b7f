/**
 * One small interface for each instrument of a bench. A real one is added by implementing its interface
 * and naming it in `linked.ts`; see docs/devices.md. Readings come as they are, unsmoothed.
 */
import type { Programme } from '@/core/programme/step';

/** Ends a subscription. */
export type Unsubscribe = () => void;

export interface Weight {
  /** s since the pump started; readings before it are not sent. */
  readonly timeS: number;
  readonly weightG: number;
}

export interface Scale {
  readonly tare: () => void;
  /** About ten readings a second while a shot runs, and some after it. */
  readonly onWeight: (listener: (weight: Weight) => void) => Unsubscribe;
}

export interface MachineReading {
  readonly timeS: number;
  readonly pressureBar: number;
  readonly flowMlS: number;
  readonly temperatureC: number;
}

export interface Machine {
  readonly start: (programme: Programme) => void;
  readonly stop: () => void;
  readonly onReading: (listener: (reading: MachineReading) => void) => Unsubscribe;
}

export interface Refractometer {
  /** Strength of what lies on the prism, %. Rejects with words for the user. */
  readonly read: () => Promise<{ readonly tdsPct: number }>;
}

export interface ColourMeter {
  /** Reading of ground coffee on the house's own scale. Rejects with words for the user. */
  readonly read: () => Promise<{ readonly colourGround: number }>;
}
