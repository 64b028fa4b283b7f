'use client';

import dynamic from 'next/dynamic';
import { dayWords } from '@/core/dayWords';
import { figure } from '@/core/figure';
import { InView } from '@/ui/charts/InView';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import { useOrder } from '@/ui/useOrder';
import type { PlanePoint } from '@/views/plane';
import { PLANE_HEIGHT_PX, type Region } from './planeRegion';

const PlaneChart = dynamic(() => import('./PlaneChart').then((all) => all.PlaneChart), {
  ssr: false,
});

/** Every measured shot of the release by strength and extraction. No place on it is the right one: the tongue says. */
export function Plane({
  points,
  region,
}: {
  points: readonly PlanePoint[];
  region: Region | null;
}) {
  const { rows, head } = useOrder(points, {
    by: {
      day: ({ day }) => day,
      ratio: ({ ratio }) => ratio,
      tds: ({ tdsPct }) => tdsPct,
      extraction: ({ extractionPct }) => extractionPct,
      liking: ({ liking }) => liking,
    },
    down: ['day', 'liking'],
  });
  if (points.length === 0) return null;
  return (
    <section aria-label="Strength and extraction">
      <SectionTitle>Strength and extraction</SectionTitle>
      <InView
        heightPx={PLANE_HEIGHT_PX}
        label="Strength over extraction of every measured shot; the table below says the same"
      >
        {() => <PlaneChart points={points} region={region} />}
      </InView>
      <Small as="p">
        The larger a point, the more it was liked; hollow: nobody said, or its yield was read by
        volume. The line through a point is what a refractometer leaves open (± .15 % TDS, rule of
        thumb).{' '}
        {region
          ? 'The region is the house’s own aim.'
          : 'A region the house aims at can be set in House.'}
      </Small>
      <Unfold label="As a table">
        {() => (
          <TableScroll aria-label="Strength and extraction of measured shots">
            <Table>
              <TableHead
                columns={[
                  head('day', { words: 'Pulled' }),
                  head('ratio', { figures: 'Ratio' }),
                  head('tds', { figures: 'Strength, % TDS' }),
                  head('extraction', { figures: 'Extraction, %' }),
                  head('liking', { figures: 'Liking' }),
                ]}
              />
              <tbody>
                {rows.map((point) => (
                  <tr key={point.shotId}>
                    <td>{dayWords(point.day)}</td>
                    <td>1:{figure(point.ratio, 2)}</td>
                    <td>{figure(point.tdsPct, 1)}</td>
                    <td>
                      {figure(point.extractionPct, 1)}
                      {point.isRough && ' rough'}
                    </td>
                    <td>{point.liking === null ? '' : figure(point.liking, 1)}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </TableScroll>
        )}
      </Unfold>
    </section>
  );
}
