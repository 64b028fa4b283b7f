/**
 * A machine, a scale and a refractometer that stand on one simulated bench. The shot is computed whole
 * when the pump starts and played back in time; when the pump stops, the same shot is computed once more
 * up to that moment, so that what the spout still gives is in it.
 */
import type { Programme } from '@/core/programme/step';
import { chanceFrom } from '@/core/random';
import type { Pull, Station } from '@/core/simulator/station';
import { NOISE } from '@/core/simulator/parameters';
import type { ShotResult } from '@/core/simulator/types';
import type { PullDone, PullJob } from '@/workers/protocol';
import type { Machine, MachineReading, Refractometer, Scale, Weight } from '../instruments';

/** What lies in the basket when the pump starts. */
export type InBasket = Omit<Pull, 'programme' | 'yieldG' | 'mostS' | 'cutsS'>;

export interface SimulatedBenchOptions {
  readonly station: Station;
  readonly pullShot: (job: PullJob) => Promise<PullDone>;
  readonly seed: number;
  readonly now?: () => number;
}

const READING_EVERY_MS = 100;
/** More than any cup: the pump runs until it is stopped. */
const ENDLESS_G = 400;
const MOST_S = 120;
/** The scale is read on for so long after the last drop. */
const LINGER_S = 1.5;

export class SimulatedBench implements Machine, Scale, Refractometer {
  readonly #options: SimulatedBenchOptions;
  readonly #weights = new Set<(weight: Weight) => void>();
  readonly #readings = new Set<(reading: MachineReading) => void>();
  #inBasket: InBasket | null = null;
  #shots = 0;
  #chamberDial: number | null = null;
  #result: ShotResult | null = null;
  #last: ShotResult | null = null;
  #startedMs = 0;
  #next = 0;
  #timer: ReturnType<typeof setInterval> | null = null;
  #run = 0;
  /** The next shot runs so many times as fast as a real one. */
  speed = 1;

  constructor(options: SimulatedBenchOptions) {
    this.#options = options;
  }

  /** Says what was dosed and ground, before the pump starts. */
  load(inBasket: InBasket): void {
    this.#inBasket = inBasket;
  }

  tare(): void {
    // The simulated cup is always empty when the pump starts.
  }

  start(programme: Programme): void {
    const inBasket = this.#inBasket;
    if (!inBasket) return;
    this.#halt();
    const run = ++this.#run;
    this.#startedMs = this.#now();
    this.#next = 0;
    this.#sentS = 0;
    this.#isStopping = false;
    this.#result = null;
    this.#shots++;
    const job = this.#job(inBasket, programme, MOST_S);
    void this.#options.pullShot(job).then(({ result, chamberDial }) => {
      if (run !== this.#run) return;
      this.#result ??= result;
      this.#stopWith = async (atS) => {
        const stopped = await this.#options.pullShot(this.#job(inBasket, programme, atS));
        if (run === this.#run) this.#result = stopped.result;
      };
      this.#after = () => (this.#chamberDial = chamberDial);
    });
    this.#timer = setInterval(() => this.#play(), READING_EVERY_MS / this.speed);
  }

  #sentS = 0;
  /** While the stopped shot is computed nothing of the unstopped one is sent. */
  #isStopping = false;
  #stopWith: (atS: number) => Promise<void> = async () => {};
  #after: () => void = () => {};

  /** Stops the pump at the last reading sent: however fast the shot runs, nobody is late. */
  stop(): void {
    const atS = Math.max(1, this.#sentS || this.#elapsedS());
    this.#after();
    this.#after = () => {};
    this.#isStopping = true;
    void this.#stopWith(atS).finally(() => (this.#isStopping = false));
    this.#stopWith = async () => {};
  }

  /** Nothing is played or computed any more; for a page that is left. */
  close(): void {
    this.#run++;
    this.#halt();
    this.#weights.clear();
    this.#readings.clear();
  }

  onWeight(listener: (weight: Weight) => void): () => void {
    this.#weights.add(listener);
    return () => this.#weights.delete(listener);
  }

  onReading(listener: (reading: MachineReading) => void): () => void {
    this.#readings.add(listener);
    return () => this.#readings.delete(listener);
  }

  /** Strength of the last cup. */
  async read(): Promise<{ tdsPct: number }> {
    if (!this.#last || this.#last.yieldG <= 0)
      throw new Error('There is no cup of the simulated machine to measure. Pull a shot first.');
    const noise = NOISE.refractometerPct * chanceFrom(this.#options.seed + this.#shots).normal();
    return { tdsPct: Math.max(0, Math.round(100 * (this.#last.tdsPct + noise)) / 100) };
  }

  #now(): number {
    return (this.#options.now ?? (() => performance.now()))();
  }

  #elapsedS(): number {
    return ((this.#now() - this.#startedMs) * this.speed) / 1000;
  }

  #job(inBasket: InBasket, programme: Programme, mostS: number) {
    return {
      station: this.#options.station,
      chamberDial: this.#chamberDial,
      pull: { ...inBasket, programme, yieldG: ENDLESS_G, mostS },
      seed: this.#options.seed + this.#shots,
    };
  }

  /** Sends every reading that is due. */
  #play(): void {
    const result = this.#result;
    if (!result || this.#isStopping) return;
    const elapsedS = this.#elapsedS();
    const { trace } = result;
    while (this.#next < trace.length && trace[this.#next]!.timeS <= elapsedS) {
      this.#send(trace[this.#next++]!);
      if (this.#isStopping) return;
    }
    const end = trace.at(-1);
    if (!end || this.#next < trace.length) return;
    this.#last = result;
    if (elapsedS > end.timeS + LINGER_S) this.#halt();
    else this.#send({ ...end, timeS: Math.round(10 * elapsedS) / 10 });
  }

  #send(point: Weight & MachineReading): void {
    const { timeS, weightG, pressureBar, flowMlS, temperatureC } = point;
    this.#sentS = timeS;
    for (const listener of this.#weights) listener({ timeS, weightG });
    for (const listener of this.#readings) listener({ timeS, pressureBar, flowMlS, temperatureC });
  }

  #halt(): void {
    if (this.#timer !== null) clearInterval(this.#timer);
    this.#timer = null;
  }
}
