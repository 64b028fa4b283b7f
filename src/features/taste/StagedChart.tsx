'use client';

import type { ChartDataset, ChartOptions, Plugin } from 'chart.js';
import type { BuiltUp } from '@/core/taste/staged';
import { chartFont, InkScatter } from '@/ui/charts/InkScatter';
import type { Ink } from '@/ui/charts/useInk';
import { STAGED_HEIGHT_PX } from './stagedHeight';

interface StagedChartProps {
  readonly built: readonly BuiltUp[];
  readonly cutG: number | null;
}

/** Strength and extraction of the shot as it builds up, over grams in the cup, and where to cut it. */
export function StagedChart({ built, cutG }: StagedChartProps) {
  const lines = {
    strength: lineOf(built, 'strengthPct'),
    extraction: lineOf(built, 'extractionPct'),
  };
  return (
    <InkScatter
      heightPx={STAGED_HEIGHT_PX}
      remadeOn={[built, cutG]}
      drawn={(ink) => ({
        datasets: datasetsOf(lines, cutG, ink),
        options: optionsOf(ink),
        plugins: [namesOf(ink)],
      })}
    />
  );
}

const lineOf = (built: readonly BuiltUp[], name: 'strengthPct' | 'extractionPct') =>
  built.flatMap(({ massG, ...at }) => {
    const y = at[name];
    return y === null ? [] : [{ x: massG, y }];
  });

interface Lines {
  readonly strength: { x: number; y: number }[];
  readonly extraction: { x: number; y: number }[];
}

/** In the order of the datasets; each is named at its end. */
const NAMES = ['strength', 'extraction', 'cut'] as const;

function datasetsOf(
  { strength, extraction }: Lines,
  cutG: number | null,
  ink: Ink,
): ChartDataset<'scatter'>[] {
  const top = Math.max(0, ...[...strength, ...extraction].map(({ y }) => y));
  const look = { showLine: true, borderWidth: 2 } as const;
  return [
    { ...look, data: strength, borderColor: ink.point, pointBackgroundColor: ink.point },
    { ...look, data: extraction, borderColor: ink.ink, pointBackgroundColor: ink.ink },
    {
      ...look,
      data: cutG === null ? [] : [0, top].map((y) => ({ x: cutG, y })),
      pointRadius: 0,
      borderColor: ink.good,
      borderDash: [3, 4],
    },
  ];
}

function optionsOf(ink: Ink): ChartOptions<'scatter'> {
  const look = { color: ink.soft };
  const title = { display: true, align: 'end', padding: 0, ...look } as const;
  return {
    events: [],
    // Room for the names at the ends of the lines.
    layout: { padding: { top: 14, right: 76 } },
    scales: {
      x: {
        min: 0,
        title: { ...title, text: 'g in the cup' },
        ticks: look,
        grid: { display: false },
      },
      y: {
        min: 0,
        title: { ...title, text: '%' },
        ticks: { ...look, maxTicksLimit: 6 },
        grid: { color: ink.rule },
      },
    },
  };
}

function namesOf(ink: Ink): Plugin<'scatter'> {
  return {
    id: 'names',
    afterDatasetsDraw: (chart) => {
      const { ctx } = chart;
      ctx.save();
      ctx.fillStyle = ink.ink;
      ctx.font = chartFont(500, 13);
      NAMES.forEach((name, i) => {
        const end = chart.getDatasetMeta(i).data.at(-1);
        if (!end) return;
        const isCut = name === 'cut';
        ctx.fillText(name, end.x + (isCut ? -10 : 8), end.y + (isCut ? -6 : 4));
      });
      ctx.restore();
    },
  };
}
