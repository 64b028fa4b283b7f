'use client';

import { Link } from '@/ui/Link';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import type { NoteRow } from '@/views/patterns';

/** Which notes are found, in how many coffees, and where more than elsewhere. */
export function Notes({ rows, exportHref }: { rows: readonly NoteRow[]; exportHref: string }) {
  if (rows.length === 0) return null;
  return (
    <section>
      <SectionTitle as="h2">Which notes are found, and where</SectionTitle>
      <TableScroll aria-label="Notes by the coffees they were found in">
        <Table>
          <TableHead
            columns={[
              { words: 'Note' },
              'Coffees',
              'Cups',
              'Promised and found',
              { words: 'More than elsewhere in' },
              { words: 'Found most often in' },
            ]}
          />
          <tbody>
            {rows.map(({ note, coffees, cups, promisedFor, kept, mostIn, found }) => (
              <tr key={note}>
                <td className="words">{note}</td>
                <td>{coffees}</td>
                <td>{cups}</td>
                <td>{promisedFor === 0 ? 'not promised' : `${kept} of ${promisedFor}`}</td>
                <td className="words">
                  {mostIn &&
                    `${mostIn.group}: ${mostIn.here.join(' of ')}, elsewhere ${mostIn.elsewhere.join(' of ')}`}
                </td>
                <td className="words">
                  {found.map(({ releaseId, name }, i) => (
                    <span key={releaseId}>
                      {i > 0 && ', '}
                      <Link href={`/releases/${releaseId}`}>{name}</Link>
                    </span>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        A coffee counts once, however many cups of it were tasted. A place is named where the band
        of the difference, 8 in 10, leaves 0 out and it has three coffees or more; with many notes
        and places one or the other is chance. <a href={exportHref}>Export CSV</a>
      </Small>
    </section>
  );
}
