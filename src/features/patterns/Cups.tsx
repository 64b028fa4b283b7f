'use client';

import { figure } from '@/core/figure';
import { PROCESS_LABELS } from '@/core/vocabulary';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { useOrder } from '@/ui/useOrder';
import type { CupGroup } from '@/views/patterns';

const ROASTS = { light: 'light', medium: 'medium', dark: 'dark', unknown: 'roast not known' };

/** Which likings and notes go with which process and roast. */
export function Cups({ groups, exportHref }: { groups: readonly CupGroup[]; exportHref: string }) {
  const { rows, head } = useOrder(groups, {
    by: {
      coffee: ({ process, roast }) => `${PROCESS_LABELS[process]}, ${ROASTS[roast]}`,
      releases: ({ releases }) => releases,
      cups: ({ cups }) => cups,
      liking: ({ liking }) => liking?.mean,
    },
    down: ['releases', 'cups', 'liking'],
  });
  return (
    <section>
      <SectionTitle as="h2">What the cups said, by process and roast</SectionTitle>
      {groups.length === 0 ? (
        <p>Here stand likings and found notes, once cups are tasted.</p>
      ) : (
        <>
          <TableScroll aria-label="Likings and notes by process and roast">
            <Table>
              <TableHead
                columns={[
                  head('coffee', { words: 'Coffee' }),
                  head('releases', { figures: 'Releases' }),
                  head('cups', { figures: 'Cups' }),
                  head('liking', { figures: 'Liking' }),
                  'Likely (8 in 10)',
                  { words: 'Promised notes that were found' },
                ]}
              />
              <tbody>
                {rows.map(({ process, roast, releases, cups, liking, notes }) => (
                  <tr key={`${process} ${roast}`}>
                    <td>
                      {PROCESS_LABELS[process]}, {ROASTS[roast]}
                    </td>
                    <td>{releases}</td>
                    <td>{cups}</td>
                    <td>{liking ? figure(liking.mean, 1) : ''}</td>
                    <td>{liking?.half80 ? `± ${figure(liking.half80, 1)}` : 'one release'}</td>
                    <td className="words">
                      {notes
                        .map(({ note, found, asked }) => `${note} ${found} of ${asked}`)
                        .join(', ')}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </TableScroll>
          <Small>
            Liking is the mean of the releases’ own means, with its band of 8 in 10: cups of one
            coffee are not counted as many coffees. Few releases say little; who tasted matters as
            much as the process. A blend counts with its first component.{' '}
            <a href={exportHref}>Export CSV</a>
          </Small>
        </>
      )}
    </section>
  );
}
