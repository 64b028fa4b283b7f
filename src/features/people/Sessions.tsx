'use client';

import { Button, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Moment, useMoment } from '@/ui/moment';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

export interface SessionsProps {
  readonly sessions: readonly {
    readonly id: string;
    readonly device: string;
    readonly madeAt: string;
    readonly usedAt: string;
    readonly isHere: boolean;
  }[];
}

/** Every browser one is signed in on, and a way to end each. */
export function Sessions({ sessions }: SessionsProps) {
  const { submit, faults, isBusy } = useCommand();
  const moment = useMoment();
  return (
    <section>
      <SectionTitle as="h2">Where you are signed in</SectionTitle>
      <TableScroll aria-label="Where you are signed in">
        <Table>
          <TableHead
            columns={[
              'Browser',
              { words: 'Since' },
              { words: 'Last used' },
              { hidden: 'Sign out' },
            ]}
          />
          <tbody>
            {sessions.map(({ id, device, madeAt, usedAt, isHere }) => (
              <tr key={id}>
                <td>
                  {device}
                  {isHere && <strong> this one</strong>}
                </td>
                <td className="words">
                  <Moment at={madeAt} />
                </td>
                <td className="words">
                  <Moment at={usedAt} />
                </td>
                <td>
                  {!isHere && (
                    <QuietButton
                      isPending={isBusy}
                      onPress={() => void submit('endSessions', { sessionId: id })}
                      aria-label={`Sign out ${device}, since ${moment(madeAt)}`}
                    >
                      sign out
                    </QuietButton>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Faults faults={faults} />
      {sessions.length > 1 && (
        <p style={{ marginTop: 10 }}>
          <Button isPending={isBusy} onPress={() => void submit('endSessions', {})}>
            Sign out everywhere else
          </Button>
        </p>
      )}
      <Small>
        A browser nobody uses is signed out after 14 days, any after 90. A lost device: end it here,
        then change the password.
      </Small>
    </section>
  );
}
