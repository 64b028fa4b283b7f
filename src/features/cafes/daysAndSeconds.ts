/** Axes of a chart of checks: days across, seconds off upwards. */
import type { ChartOptions } from 'chart.js';
import { dayOf } from '@/words/signalWords';
import type { Ink } from '@/ui/charts/useInk';

export function daysAndSeconds(days: readonly number[], ink: Ink): ChartOptions<'scatter'> {
  const look = { color: ink.soft };
  return {
    events: [],
    scales: {
      x: {
        min: Math.floor(days[0] ?? 0),
        max: Math.ceil(days.at(-1) ?? 1),
        ticks: {
          ...look,
          maxTicksLimit: 7,
          precision: 0,
          callback: (value) => dayOf(Number(value)),
        },
        grid: { display: false },
      },
      y: {
        title: { display: true, text: 's off', align: 'end', padding: 0, ...look },
        ticks: { ...look, maxTicksLimit: 6 },
        grid: { color: ink.rule },
      },
    },
  };
}
