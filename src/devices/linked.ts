/**
 * The instruments of a setup as it has them linked. Screens ask here and never construct one themselves:
 * a real instrument is added by choosing it here; see docs/devices.md.
 */
import type { DrawInput } from '@/core/simulator/drawStation';
import type { Instrument, Link } from '@/core/vocabulary';
import { ask } from '@/workers/client';
import type { ColourMeter, Machine, Refractometer, Scale } from './instruments';
import type { InBasket } from './simulated/simulatedBench';

type Links = Readonly<Record<Instrument, Link>>;

/** The instruments that follow a shot. */
export interface LinkedBench extends Machine, Scale, Refractometer {
  /** A simulated shot runs so many times as fast as a real one. */
  speed: number;
  /** Says what was dosed and ground: a simulated machine cannot know it otherwise. */
  readonly load: (inBasket: InBasket) => void;
  readonly close: () => void;
}

export function hasScale({ scale }: Links): boolean {
  return scale !== 'none';
}

/** The linked bench, ready to follow a shot. Rejects with words for the user where it does not answer. */
export async function linkBench(
  question: DrawInput,
  /** Shots pulled so far: no two shots of a simulated bench scatter alike. */
  shots: number,
): Promise<LinkedBench> {
  const { SimulatedBench } = await import('./simulated/simulatedBench');
  const station = await ask('draw', question);
  return new SimulatedBench({
    station,
    pullShot: (job) => ask('pull', job),
    seed: question.seed + shots,
  });
}

/** The colour meter of a setup; `roastLevel` is what a simulated one makes its reading of. */
export async function linkColourMeter(roastLevel: number, readings: number): Promise<ColourMeter> {
  const { simulatedColourMeter } = await import('./simulated/colourMeter');
  return simulatedColourMeter(roastLevel, readings);
}
