'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { Button, MainButton } from '@/ui/Button';
import { EntryForm, EntryPage } from '@/ui/EntryPage';
import { Faults } from '@/ui/Faults';
import { TextInput } from '@/ui/fields';
import { Small, Table, TableHead } from '@/ui/type';
import { loadAnew } from '@/ui/loadAnew';
import { useSession } from '@/ui/useSession';

export interface DemoSignIn {
  readonly name: string;
  readonly role: string;
  readonly signInName: string;
  readonly password: string;
}

const Demo = styled.section`
  padding-top: 14px;
  border-top: 1px solid var(--rule);
`;

export function SignIn({ houseName, demo }: { houseName: string; demo: readonly DemoSignIn[] }) {
  const { send, faults, faultOf, isBusy } = useSession();
  const [signInName, setSignInName] = useState('');
  const [password, setPassword] = useState('');
  const signIn = async (input: { signInName: string; password: string }) => {
    const answer = await send('POST', input);
    if (answer.ok) loadAnew('/');
  };
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    void signIn({ signInName, password });
  };
  return (
    <EntryPage title={`Sign in to ${houseName}`}>
      <EntryForm onSubmit={onSubmit} noValidate>
        <TextInput
          label="Sign-in name"
          autoComplete="username"
          value={signInName}
          onChange={setSignInName}
          fault={faultOf('signInName')}
          autoFocus
        />
        <TextInput
          label="Password"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          fault={faultOf('password')}
        />
        <Faults faults={faults} shown={['signInName', 'password']} />
        <p>
          <MainButton type="submit" isPending={isBusy}>
            Sign in
          </MainButton>
        </p>
      </EntryForm>
      <Small>
        No sign-in yet? The lead invites you with a link. Lost your password? The lead gives you a
        new link.
      </Small>
      {demo.length > 0 && (
        <Demo aria-label="Demo sign-ins">
          <p>This is the demo house. Its people are invented; sign in as one of them:</p>
          <Table>
            <TableHead
              columns={['Person', { words: 'Name and password' }, { hidden: 'Sign in' }]}
            />
            <tbody>
              {demo.map((person) => (
                <tr key={person.signInName}>
                  <td>
                    {person.name}
                    <br />
                    <Small>{person.role}</Small>
                  </td>
                  <td className="words">
                    {person.signInName}
                    <br />
                    {person.password}
                  </td>
                  <td>
                    <Button
                      isPending={isBusy}
                      onPress={() =>
                        void signIn({ signInName: person.signInName, password: person.password })
                      }
                      aria-label={`Sign in as ${person.name}`}
                      style={{ whiteSpace: 'nowrap' }}
                    >
                      Sign in
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Demo>
      )}
    </EntryPage>
  );
}
