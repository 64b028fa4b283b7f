'use client';

import { useSyncExternalStore, type FormEvent } from 'react';
import { answerPasswordAgain, isPasswordAsked, subscribeToPasswordAsked } from './passwordAsked';
import { MainButton, QuietButton } from './Button';
import { DialogSheet } from './DialogSheet';
import { Faults } from './Faults';
import { TextInput } from './fields';
import { useSession } from './useSession';
import { useTextForm } from './useTextForm';

/** Asks for the password again before something leaves the house or changes who is in it. */
export function PasswordAgainDialog() {
  const isAsked = useSyncExternalStore(subscribeToPasswordAsked, isPasswordAsked, () => false);
  return isAsked ? <Proof /> : null;
}

function Proof() {
  const { send, faults, faultOf, isBusy } = useSession('/api/session/proof');
  const { text, bind } = useTextForm({ password: '' }, faultOf);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const { ok } = await send('POST', text);
    if (ok) answerPasswordAgain(true);
  };
  return (
    <DialogSheet title="Your password once more" onClose={() => answerPasswordAgain(false)}>
      <form onSubmit={onSubmit} noValidate style={{ display: 'grid', gap: 12 }}>
        <p>
          It is over twelve hours since you gave it, and this leaves the house or changes who is in
          it. Then it goes on as you sent it.
        </p>
        <TextInput
          label="Password"
          type="password"
          autoComplete="current-password"
          autoFocus
          {...bind('password')}
        />
        <Faults faults={faults} shown={['password']} />
        <p>
          <MainButton type="submit" isPending={isBusy}>
            Go on
          </MainButton>{' '}
          <QuietButton onPress={() => answerPasswordAgain(false)}>Cancel</QuietButton>
        </p>
      </form>
    </DialogSheet>
  );
}
