'use client';

import dynamic from 'next/dynamic';
import { InView } from './InView';
import type { TimeChartProps } from './TimeChart';

const TimeChart = dynamic(() => import('./TimeChart').then((all) => all.TimeChart), { ssr: false });

/** Values over time once they are in view. */
export function LazyTimeChart({ label, ...props }: TimeChartProps & { label: string }) {
  return <InView label={label}>{() => <TimeChart {...props} />}</InView>;
}
