import dynamic from 'next/dynamic';

/** The chart, fetched only where one is shown, and never drawn on the server. */
export const LazyTimeChart = dynamic(() => import('./TimeChart').then((all) => all.TimeChart), {
  ssr: false,
});
