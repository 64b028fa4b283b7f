'use client';

import {
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  type ChartDataset,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useRef } from 'react';
import { Scatter } from 'react-chartjs-2';
import { useInk, type Ink } from './useInk';

Chart.register(Filler, LinearScale, LineElement, PointElement, ScatterController);
Chart.defaults.font.family = "'Archivo Variable', sans-serif";

/** The typeface of the house on a canvas, at a weight and size. */
export const chartFont = (weight: number, px: number) =>
  `${weight} ${px}px ${Chart.defaults.font.family}`;

export interface Drawn {
  readonly datasets: ChartDataset<'scatter'>[];
  readonly options: ChartOptions<'scatter'>;
  readonly plugins?: Plugin<'scatter'>[];
}

/** Points and lines on a canvas in the colours of the theme. What it says is said beside it for who cannot see it. */
export function InkScatter({
  heightPx,
  drawn,
  remadeOn,
}: {
  heightPx: number;
  drawn: (ink: Ink) => Drawn;
  /** A chart keeps the plugins it was made with: it is made anew when this changes. */
  remadeOn?: unknown;
}) {
  const box = useRef<HTMLDivElement>(null);
  const ink = useInk(box);
  return (
    <div ref={box} style={{ position: 'relative', height: heightPx }}>
      {ink && <Canvas {...drawn(ink)} key={JSON.stringify([ink, remadeOn])} />}
    </div>
  );
}

function Canvas({ datasets, options, plugins = [] }: Drawn) {
  return (
    <Scatter
      aria-hidden="true"
      data={{ datasets }}
      options={{ responsive: true, maintainAspectRatio: false, animation: false, ...options }}
      plugins={plugins}
    />
  );
}
