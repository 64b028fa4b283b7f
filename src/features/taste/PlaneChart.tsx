'use client';

import type { ChartDataset, ChartOptions, Plugin } from 'chart.js';
import { figure } from '@/core/figure';
import { chartFont, InkScatter } from '@/ui/charts/InkScatter';
import { thin, type Ink } from '@/ui/charts/useInk';
import type { PlanePoint } from '@/views/plane';
import { PLANE_HEIGHT_PX, type Region } from './planeRegion';

/** A refractometer is off by about so much, as a standard deviation. House heuristic. */
const TDS_SD_PCT = 0.15;

export interface PlaneChartProps {
  readonly points: readonly PlanePoint[];
  readonly region: Region | null;
}

/** Strength over extraction: a ray for each ratio, a point for each shot as large as it is liked, and what the instrument leaves open. */
export function PlaneChart(props: PlaneChartProps) {
  return (
    <InkScatter
      heightPx={PLANE_HEIGHT_PX}
      remadeOn={props}
      drawn={(ink) => ({
        datasets: datasetsOf(props, ink),
        options: optionsOf(props, ink),
        plugins: [under(props, ink)],
      })}
    />
  );
}

/** 3 to 8 px, by liking; small and hollow where nobody said. */
const radiusOf = ({ liking }: PlanePoint) => (liking === null ? 3 : 3 + liking / 2);

function datasetsOf({ points }: PlaneChartProps, ink: Ink): ChartDataset<'scatter'>[] {
  return [
    {
      data: points.map(({ extractionPct, tdsPct }) => ({ x: extractionPct, y: tdsPct })),
      pointRadius: points.map(radiusOf),
      pointBorderWidth: 2,
      pointBorderColor: points.map(({ isRough }) => (isRough ? ink.soft : ink.ink)),
      pointBackgroundColor: points.map(({ liking, isRough }) =>
        liking === null || isRough ? ink.raised : thin(ink.point, 0.75),
      ),
    },
  ];
}

function spanOf(values: readonly number[], margin: number): { min: number; max: number } {
  return {
    min: Math.max(0, Math.floor(Math.min(...values) - margin)),
    max: Math.ceil(Math.max(...values) + margin),
  };
}

function spansOf({ points, region }: PlaneChartProps) {
  const x = [...points.map(({ extractionPct }) => extractionPct), ...(region?.extraction ?? [])];
  const y = [...points.map(({ tdsPct }) => tdsPct), ...(region?.tds ?? [])];
  return { x: spanOf(x, 1), y: spanOf(y, 0.5) };
}

function optionsOf(props: PlaneChartProps, ink: Ink): ChartOptions<'scatter'> {
  const look = { color: ink.soft };
  const { x, y } = spansOf(props);
  const grid = { color: ink.rule };
  return {
    events: [],
    scales: {
      x: { ...x, grid, ticks: look, title: { display: true, text: 'Extraction, %', ...look } },
      y: { ...y, grid, ticks: look, title: { display: true, text: 'Strength (TDS), %', ...look } },
    },
  };
}

const RATIOS = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5] as const;

/** Under the points: the house's region, the rays of ratios, and the instrument's doubt of each shot. */
function under(props: PlaneChartProps, ink: Ink): Plugin<'scatter'> {
  return {
    id: 'under',
    beforeDatasetsDraw: ({ ctx, scales, chartArea }) => {
      const at = (extractionPct: number, tdsPct: number) =>
        [scales.x!.getPixelForValue(extractionPct), scales.y!.getPixelForValue(tdsPct)] as const;
      ctx.save();
      ctx.beginPath();
      ctx.rect(chartArea.left, chartArea.top, chartArea.width, chartArea.height);
      ctx.clip();
      if (props.region) {
        const [left, top] = at(props.region.extraction[0], props.region.tds[1]);
        const [right, bottom] = at(props.region.extraction[1], props.region.tds[0]);
        ctx.fillStyle = thin(ink.good, 0.16);
        ctx.strokeStyle = ink.good;
        ctx.fillRect(left, top, right - left, bottom - top);
        ctx.strokeRect(left, top, right - left, bottom - top);
      }
      ctx.font = chartFont(500, 12);
      ctx.fillStyle = ink.soft;
      ctx.strokeStyle = ink.soft;
      ctx.setLineDash([2, 4]);
      const mostExtraction = scales.x!.max;
      for (const ratio of RATIOS) {
        // Extraction is strength × ratio.
        ctx.beginPath();
        ctx.moveTo(...at(0, 0));
        ctx.lineTo(...at(mostExtraction, mostExtraction / ratio));
        ctx.stroke();
        const isInside = mostExtraction / ratio < scales.y!.max;
        const [x, y] = isInside
          ? at(mostExtraction, mostExtraction / ratio)
          : at(scales.y!.max * ratio, scales.y!.max);
        const words = `1:${figure(ratio, ratio % 1 === 0 ? 0 : 1)}`;
        if (isInside) ctx.fillText(words, x - 32, y - 4);
        else ctx.fillText(words, x - 30, y + 14);
      }
      ctx.setLineDash([]);
      ctx.strokeStyle = thin(ink.ink, 0.5);
      for (const { extractionPct, tdsPct, ratio } of props.points) {
        // Off by the same share both ways: a shot moves along its own ray.
        ctx.beginPath();
        ctx.moveTo(...at(extractionPct - TDS_SD_PCT * ratio, tdsPct - TDS_SD_PCT));
        ctx.lineTo(...at(extractionPct + TDS_SD_PCT * ratio, tdsPct + TDS_SD_PCT));
        ctx.stroke();
      }
      ctx.restore();
    },
  };
}
