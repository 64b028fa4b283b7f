'use client';

import type { StoredDoorEntry } from '@/data/accessLog';
import { Moment } from '@/ui/moment';
import { Page } from '@/ui/Page';
import { Small, StageTitle, Table, TableHead, TableScroll } from '@/ui/type';

/** Sign-ins, wrong passwords, exports, invitations and roles: for the lead, when something is odd. */
export function AccessLog({
  entries,
  isCut,
}: {
  entries: readonly StoredDoorEntry[];
  isCut: boolean;
}) {
  return (
    <Page>
      <StageTitle as="h1">Who came in</StageTitle>
      <TableScroll aria-label="Log of access">
        <Table>
          <TableHead columns={['When', { words: 'Who' }, { words: 'What' }, { words: 'From' }]} />
          <tbody>
            {entries.map(({ id, at, person, words, source }) => (
              <tr key={id}>
                <td style={{ whiteSpace: 'nowrap' }}>
                  <Moment at={at} />
                </td>
                <td className="words">{person ?? 'Nobody known'}</td>
                <td className="words">{words}</td>
                <td className="words">{source === '' ? 'this machine' : source}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        {isCut ? `The newest ${entries.length} are shown. ` : ''}Browsers say themselves what they
        are. A name nobody has is not written down: it may be a password in the wrong field.
      </Small>
    </Page>
  );
}
