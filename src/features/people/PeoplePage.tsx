'use client';

import { Link } from '@/ui/Link';
import { useMemo, useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { ROLE_LABELS, ROLE_WORDS, ROLES, type Role } from '@/core/roles';
import { MainButton, QuietButton } from '@/ui/Button';
import { dayWords } from '@/core/dayWords';
import { Faults } from '@/ui/Faults';
import { FieldGrid, SelectInput, TextInput } from '@/ui/fields';
import { Columns, Page } from '@/ui/Page';
import { useMay, usePerson } from '@/ui/person';
import { Notice, SectionTitle, StageTitle, Table, TableScroll, TableHead } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { newToken } from './newToken';
import { Own } from './Own';
import { Password } from './Password';
import { Sessions, type SessionsProps } from './Sessions';

export interface PeoplePageProps extends SessionsProps {
  readonly people: readonly { id: string; name: string; role: Role; signInName: string | null }[];
  readonly invitations: readonly { id: string; forWhom: string; role: Role; expiresAt: string }[];
}

const Form = styled.form`
  display: grid;
  gap: 12px;
  max-width: 720px;
`;

const LinkText = styled.code`
  overflow-wrap: anywhere;
  font: inherit;
  font-weight: 600;
`;

const roleOptions = ROLES.map((value) => ({
  value,
  label: `${ROLE_LABELS[value]}: ${ROLE_WORDS[value]}`,
}));

/** Who works here, who is invited, and how one's own figures read. */
export function PeoplePage({ people, invitations, sessions }: PeoplePageProps) {
  const isLead = useMay('lead');
  return (
    <Page>
      <StageTitle as="h1">People</StageTitle>
      {isLead && (
        <p>
          <Link href="/people/log">Who came in, and what was changed</Link>
        </p>
      )}
      <Columns>
        <div>
          <Everyone people={people} />
          {isLead && <Invitations invitations={invitations} />}
        </div>
        <div>
          <Own />
          <Password />
          <Sessions sessions={sessions} />
        </div>
      </Columns>
    </Page>
  );
}

function Everyone({ people }: Pick<PeoplePageProps, 'people'>) {
  const isLead = useMay('lead');
  const me = usePerson();
  const links = useLinks();
  const { submit, faults, isBusy } = useCommand();
  const all = useMemo(() => [...faults, ...links.faults], [faults, links.faults]);
  const remove = async (id: string, name: string) => {
    const answer = await submit('remove', { what: 'person', id });
    if (answer.ok)
      offerUndo({
        words: `${name} can no longer sign in.`,
        kind: 'restore',
        input: { what: 'person', id },
      });
  };
  return (
    <section>
      <SectionTitle as="h2">Who works here</SectionTitle>
      <TableScroll aria-label="People">
        <Table>
          <TableHead
            columns={['Name', { words: 'Signs in as' }, { words: 'Role' }, isLead ? 'Way in' : '']}
          />
          <tbody>
            {people.map(({ id, name, role, signInName }) => (
              <tr key={id}>
                <td>{name}</td>
                <td className="words">{signInName}</td>
                <td className="words">
                  {isLead && id !== me.id ? (
                    <SelectInput
                      label={`Role of ${name}`}
                      value={role}
                      onChange={(next) => void submit('changeRole', { personId: id, role: next })}
                      options={roleOptions}
                    />
                  ) : (
                    `${ROLE_LABELS[role]}, ${ROLE_WORDS[role]}`
                  )}
                </td>
                <td style={{ whiteSpace: 'nowrap' }}>
                  {isLead && id !== me.id && (
                    <QuietButton
                      onPress={() => void links.make({ forWhom: name, role, personId: id })}
                      aria-label={`New link for ${name}`}
                    >
                      new link
                    </QuietButton>
                  )}
                  {isLead && id !== me.id && (
                    <QuietButton
                      isPending={isBusy}
                      onPress={() => void remove(id, name)}
                      aria-label={`Delete ${name}`}
                    >
                      delete
                    </QuietButton>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Faults faults={all} />
      <MadeLink link={links.link} />
    </section>
  );
}

interface MadeLinkOf {
  readonly forWhom: string;
  readonly address: string;
}

/** Making one-time links; each attempt has one token, so a second try after a lost answer is the same. */
function useLinks() {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [token, setToken] = useState(newToken);
  const [link, setLink] = useState<MadeLinkOf | null>(null);
  const make = async (invitation: { forWhom: string; role: Role; personId?: string }) => {
    const answer = await submit('invite', { ...invitation, token });
    if (!answer.ok) return false;
    const { forWhom } = invitation;
    setLink({ forWhom, address: `${window.location.origin}/invitation/${token}` });
    setToken(newToken());
    return true;
  };
  return { make, link, faults, faultOf, isBusy };
}

function MadeLink({ link }: { link: MadeLinkOf | null }) {
  if (!link) return null;
  return (
    <Notice $kind="good" role="status" style={{ marginTop: 12 }}>
      Give this link to {link.forWhom}. It works once, for seven days, and is not shown again:{' '}
      <LinkText>{link.address}</LinkText>
    </Notice>
  );
}

function Invitations({ invitations }: Pick<PeoplePageProps, 'invitations'>) {
  const { submit, faults } = useCommand();
  const links = useLinks();
  const all = useMemo(() => [...faults, ...links.faults], [faults, links.faults]);
  const [forWhom, setForWhom] = useState('');
  const [role, setRole] = useState<Role>('bench');
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    if (await links.make({ forWhom, role })) setForWhom('');
  };
  const takeBack = async (id: string, name: string) => {
    const answer = await submit('remove', { what: 'invitation', id });
    if (answer.ok)
      offerUndo({
        words: `The invitation for ${name} is closed.`,
        kind: 'restore',
        input: { what: 'invitation', id },
      });
  };
  return (
    <section>
      <SectionTitle as="h2">Invite</SectionTitle>
      <Form onSubmit={onSubmit} noValidate aria-label="Invite" style={{ marginTop: 10 }}>
        <FieldGrid $columns={2}>
          <TextInput
            label="Who it is for"
            value={forWhom}
            onChange={setForWhom}
            fault={links.faultOf('forWhom')}
          />
          <SelectInput
            label="Role"
            value={role}
            onChange={(next) => setRole(ROLES.find((word) => word === next) ?? 'bench')}
            options={roleOptions}
          />
        </FieldGrid>
        <Faults faults={all} shown={['forWhom']} />
        <p>
          <MainButton type="submit" isDisabled={links.isBusy}>
            Make a link
          </MainButton>
        </p>
      </Form>
      <MadeLink link={links.link} />
      {invitations.length > 0 && (
        <ul aria-label="Open invitations" style={{ marginTop: 12 }}>
          {invitations.map(({ id, forWhom: name, role: invitedRole, expiresAt }) => (
            <li key={id}>
              {name}, {ROLE_LABELS[invitedRole].toLowerCase()}, open until {dayWords(expiresAt)}{' '}
              <QuietButton
                onPress={() => void takeBack(id, name)}
                aria-label={`Close the invitation for ${name}`}
              >
                close it
              </QuietButton>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
