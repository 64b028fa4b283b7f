'use client';

import type { FormEvent, ReactNode } from 'react';
import { MainButton } from './Button';
import { EntryForm } from './EntryPage';
import { Faults } from './Faults';
import { TextInput } from './fields';
import { loadAnew } from './loadAnew';
import { useCommand } from './useCommand';
import { useSession } from './useSession';
import { useTextForm, type Bound } from './useTextForm';

interface Newcomer {
  readonly name: string;
  readonly signInName: string;
  readonly password: string;
}

export interface ComeInProps<T extends object> {
  /** What is asked for besides name, sign-in name and password. */
  readonly initial: T & Pick<Newcomer, 'name'>;
  readonly nameLabel: string;
  readonly submitLabel: string;
  /** The command that makes the person, and what goes with the fields. */
  readonly command: {
    readonly kind: 'setUpHouse' | 'acceptInvitation';
    readonly with: Readonly<Record<string, unknown>>;
  };
  readonly children?: (bind: (field: string) => Bound) => ReactNode;
}

/** A new person chooses how to sign in, and is signed in at once. */
export function ComeIn<T extends object>({
  initial,
  nameLabel,
  submitLabel,
  command,
  children,
}: ComeInProps<T>) {
  const { submit, faults, faultOf, isBusy } = useCommand({ leavesPage: true });
  const session = useSession();
  const { text, bind } = useTextForm<T & Newcomer>(
    { ...initial, signInName: '', password: '' } as T & Newcomer,
    faultOf,
  );
  const bindAny = bind as (field: string) => Bound;
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit(command.kind, { ...command.with, ...text } as never);
    if (!answer.ok) return;
    const { signInName, password } = text;
    const signedIn = await session.send('POST', { signInName, password });
    loadAnew(signedIn.ok ? '/' : '/sign-in');
  };
  return (
    <EntryForm onSubmit={onSubmit} noValidate>
      {children?.(bindAny)}
      <TextInput
        label={nameLabel}
        autoComplete="name"
        {...bindAny('name')}
        autoFocus={children === undefined}
      />
      <TextInput
        label="Sign-in name"
        hint="Short, without spaces"
        autoComplete="username"
        {...bindAny('signInName')}
      />
      <TextInput
        label="Password"
        type="password"
        hint="At least 12 characters; a few words do"
        autoComplete="new-password"
        {...bindAny('password')}
      />
      <Faults faults={faults} shown={Object.keys(text)} />
      <p>
        <MainButton type="submit" isDisabled={isBusy || session.isBusy}>
          {submitLabel}
        </MainButton>
      </p>
    </EntryForm>
  );
}
