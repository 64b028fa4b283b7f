'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { FieldGrid, TextInput } from '@/ui/fields';
import { Notice, SectionTitle } from '@/ui/type';
import { useSession } from '@/ui/useSession';
import { useTextForm } from '@/ui/useTextForm';

const Form = styled.form`
  display: grid;
  gap: 12px;
  max-width: 720px;
  margin-top: 10px;
`;

/** A new password for the one who is signed in; it ends their sessions elsewhere. */
export function Password() {
  const { send, faults, faultOf, isBusy } = useSession();
  const { text, bind, reset } = useTextForm({ password: '', next: '' }, faultOf);
  const [isDone, setDone] = useState(false);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await send('PUT', text);
    setDone(answer.ok);
    if (answer.ok) reset();
  };
  return (
    <section>
      <SectionTitle as="h2">Your password</SectionTitle>
      <Form onSubmit={onSubmit} noValidate aria-label="New password">
        <FieldGrid $columns={2}>
          <TextInput
            label="Password now"
            type="password"
            autoComplete="current-password"
            {...bind('password')}
          />
          <TextInput
            label="New password"
            type="password"
            autoComplete="new-password"
            {...bind('next')}
          />
        </FieldGrid>
        <Faults faults={faults} shown={['password', 'next']} />
        {isDone && (
          <Notice $kind="good" role="status">
            The password is changed; other devices are signed out.
          </Notice>
        )}
        <p>
          <Button type="submit" isPending={isBusy}>
            Change the password
          </Button>
        </p>
      </Form>
    </section>
  );
}
