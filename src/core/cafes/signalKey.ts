/** The name of a signal: the same from day to day, so that what was found is remembered by it. */
import type { CafeSignal } from './signals';

const minuteOf = (day: number) => Math.round(1440 * day);

export function signalKey(signal: CafeSignal): string {
  switch (signal.kind) {
    case 'step':
      return `step ${signal.cafe} ${minuteOf(signal.openedDay)}`;
    case 'batch':
      return `${batchKeys(signal.coffee)}${signal.batch}`;
    case 'dose':
      return `dose ${signal.cafe} ${Math.floor(signal.fromDay / 7)}`;
    case 'yield':
      return `yield ${signal.cafe} ${signal.coffee} ${Math.floor(signal.fromDay / 7)}`;
    case 'silence':
      return `silence ${signal.cafe} ${minuteOf(signal.fromDay)}`;
    case 'weather':
      return `weather ${signal.region} ${signal.size > 0 ? 'slow' : 'fast'}`;
  }
}

const batchKeys = (coffee: string) => `batch ${coffee} `;

/** The batch of a coffee that a remembered signal was about; null for any other signal. */
export function batchOfKey(key: string, coffee: string): string | null {
  const start = batchKeys(coffee);
  return key.startsWith(start) ? key.slice(start.length) : null;
}
