/** The demo house's own programmes, written for the machine with the flow paddle. */
import type { Programme } from '@/core/programme/step';
import type { BrewStyle } from '@/core/vocabulary';
import type { DemoWorker } from './worker';

interface DemoProgramme {
  readonly name: string;
  readonly style: BrewStyle;
  readonly isFirst: boolean;
  readonly steps: Programme;
}

export const PADDLE_SOAK: DemoProgramme = {
  name: 'Paddle soak',
  style: 'soakFirst',
  isFirst: true,
  steps: [
    { drive: 'flow', level: 7, seconds: 5, ramp: false, limitBar: 3 },
    { drive: 'flow', level: 0, seconds: 26, ramp: false },
    { drive: 'flow', level: 2.5, seconds: 8, ramp: true, limitBar: 9 },
    { drive: 'flow', level: 2, seconds: 20, ramp: true, limitBar: 9 },
  ],
};

const SOFT_START: DemoProgramme = {
  name: 'Soft start, falling end',
  style: 'declining',
  isFirst: false,
  steps: [
    { drive: 'pressure', level: 3, seconds: 6, ramp: false },
    { drive: 'pressure', level: 9, seconds: 4, ramp: true },
    { drive: 'pressure', level: 9, seconds: 6, ramp: false },
    { drive: 'pressure', level: 6, seconds: 18, ramp: true },
  ],
};

export function keepProgrammes(worker: DemoWorker, lead: string): void {
  for (const programme of [PADDLE_SOAK, SOFT_START]) worker.run('saveProgramme', programme, lead);
}
