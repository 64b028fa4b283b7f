'use client';

import { Fragment } from 'react';
import { Link } from '@/ui/Link';
import { SCALES } from '@/core/entity/tasting';
import { figure, signed } from '@/core/figure';
import { LEVERS, type Lever, type TongueEffect } from '@/core/patterns/tongue';
import { STEP } from '@/core/trials/coding';
import { useUnits } from '@/ui/person';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import type { TongueRow } from '@/views/patterns';

const leverHeads = (step: string): Record<Lever, string> => ({
  ratio: 'Ratio 15 % longer',
  temperatureC: `${step} hotter`,
  timeS: '15 % slower',
  restDays: 'A week more rest',
});

/** What moves liking, sweetness, sharpness and bitterness in this house. */
export function Tongue({ rows, exportHref }: { rows: readonly TongueRow[]; exportHref: string }) {
  const { temperatureStep } = useUnits();
  const heads = leverHeads(temperatureStep(STEP.temperatureC));
  return (
    <section>
      <SectionTitle as="h2">What moves the tongue in this house</SectionTitle>
      {rows.length === 0 ? (
        <p>Here stand effects on taste, once somebody tasted two cups of one coffee.</p>
      ) : (
        <>
          <TableScroll aria-label="What moves the tongue in this house">
            <Table>
              <TableHead
                columns={[
                  'Scale',
                  ...LEVERS.map((lever) => heads[lever]),
                  'Cups',
                  { words: 'Told most by' },
                ]}
              />
              <tbody>
                {rows.map(({ scale, byLever, cups, coffees, telling }) => (
                  <tr key={scale}>
                    <td>{SCALES[scale].label}</td>
                    {LEVERS.map((lever) => (
                      <td key={lever} style={{ whiteSpace: 'nowrap' }}>
                        {effectWords(byLever[lever])}
                      </td>
                    ))}
                    <td>
                      {cups} of {coffees}
                    </td>
                    <td className="words">
                      {telling.map(({ releaseId, name }, i) => (
                        <Fragment key={releaseId}>
                          {i > 0 && ', '}
                          <Link href={`/releases/${releaseId}/taste`}>{name}</Link>
                        </Fragment>
                      ))}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </TableScroll>
          <Small>
            Points of 10 for one step, with the band of 8 in 10; bold where the band leaves 0 out.
            Cups are compared within one taster of one coffee: neither a generous taster nor a fine
            coffee counts. Narrow above to a roast, process or variety. Few of these cups were
            pulled to find this out, so it is a hint: a ladder of three cups, blind, tells more.{' '}
            <a href={exportHref}>Export CSV</a>
          </Small>
        </>
      )}
    </section>
  );
}

function effectWords(effect: TongueEffect | null) {
  if (!effect) return <Small>not varied</Small>;
  const words = `${signed(effect.mean, 1)} ± ${figure(effect.half80, 1)}`;
  return Math.abs(effect.mean) > effect.half80 ? <strong>{words}</strong> : words;
}
