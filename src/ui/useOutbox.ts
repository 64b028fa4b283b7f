'use client';

import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import type { CommandKind, Commands } from '@/core/command/inputs';
import type { Fault } from '@/core/errors';
import { usePerson } from './person';
import { onUp, post, readState, subscribe, wake, type OutboxState } from './outbox';
import type { Answer } from './sendCommand';
import { useRefresh } from './useRefresh';

const NOTHING: OutboxState = { entries: [], trouble: null };

/** What waits on this device of one thing, e.g. of one recipe on the bench. */
export function useOutbox(about: string) {
  const { id: personId } = usePerson();
  const { entries, trouble } = useSyncExternalStore(subscribe, readState, () => NOTHING);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [isSending, setSending] = useState(false);
  const [isRefreshing, refresh] = useRefresh();
  const waiting = entries.filter((entry) => entry.about === about);

  useEffect(() => {
    void wake(personId);
    const onOnline = () => void wake(personId);
    window.addEventListener('online', onOnline);
    return () => window.removeEventListener('online', onOnline);
  }, [personId]);

  // What waited has gone up: the screen is to show it.
  useEffect(
    () =>
      onUp((entry) => {
        if (entry.about === about) refresh();
      }),
    [about, refresh],
  );

  const send = useCallback(
    async <K extends CommandKind>(
      kind: K,
      input: Commands[K]['asks'],
    ): Promise<Answer | 'waiting'> => {
      setSending(true);
      const answer = await post({ kind, input, personId, about });
      setSending(false);
      setFaults(answer === 'waiting' || answer.ok ? [] : answer.faults);
      return answer;
    },
    [about, personId],
  );
  const faultOf = (field: string) =>
    faults.find((fault) => fault.field === field || fault.field.endsWith(`.${field}`))?.message;
  return {
    send,
    waiting,
    trouble,
    faults,
    faultOf,
    /** Shows faults found before anything was sent. */
    setFaults,
    isBusy: isSending || isRefreshing,
  };
}
