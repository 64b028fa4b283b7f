'use client';

import { Link } from '@/ui/Link';
import type { LogLine } from '@/views/log';
import { Moment } from '@/ui/moment';
import { StageTitle, Table, TableScroll, TableHead } from '@/ui/type';

/** Who did what when, for one release; nothing is ever taken out of it. */
export function LogStage({ events }: { events: readonly LogLine[] }) {
  return (
    <section>
      <StageTitle>Who did what when</StageTitle>
      <TableScroll aria-label="Event log" style={{ marginTop: 10 }}>
        <Table>
          <TableHead columns={['When', { words: 'Who' }, { words: 'What' }]} />
          <tbody>
            {events.map(({ id, at, person, words, href }) => (
              <tr key={id}>
                <td style={{ whiteSpace: 'nowrap' }}>
                  <Moment at={at} />
                </td>
                <td className="words" style={{ whiteSpace: 'nowrap' }}>
                  {person}
                </td>
                <td className="words">
                  {href === null ? words : <Link href={href}>{words}</Link>}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
    </section>
  );
}
