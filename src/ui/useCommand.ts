'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { CommandKind, Commands } from '@/core/command/inputs';
import type { Fault } from '@/core/errors';
import { newId } from './newId';
import { sendCommand, UNREACHED, type Answer } from './sendCommand';
import { useRefresh } from './useRefresh';

/**
 * Commands of one form: sends, keeps the faults for its fields, and brings every screen up to date.
 * After an unreached server the next submission of the same kind and input repeats the same id. A form that
 * `leavesPage` once it is answered brings nothing up to date: that would lead to another page meanwhile.
 */
export function useCommand({ leavesPage = false } = {}) {
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [isSending, setSending] = useState(false);
  const [isRefreshing, refresh] = useRefresh();
  const unanswered = useRef<{ id: string; key: string } | null>(null);
  // From sending until the screen shows the result: a second Enter in between is the same press.
  const isUnderWay = useRef(false);
  useEffect(() => {
    if (!isRefreshing) isUnderWay.current = false;
  }, [isRefreshing]);

  const submit = useCallback(
    async <K extends CommandKind>(kind: K, input: Commands[K]['asks']): Promise<Answer<K>> => {
      if (isUnderWay.current) return { ok: false, faults: [] };
      isUnderWay.current = true;
      const key = JSON.stringify([kind, input]);
      const id = unanswered.current?.key === key ? unanswered.current.id : newId();
      setSending(true);
      const answer = await sendCommand(id, kind, input);
      setSending(false);
      if (answer === 'unreached') {
        unanswered.current = { id, key };
        isUnderWay.current = false;
        const kept = [{ field: '', message: UNREACHED }];
        setFaults(kept);
        return { ok: false, faults: kept };
      }
      unanswered.current = null;
      setFaults(answer.ok ? [] : answer.faults);
      // After a conflict the screen shows what the other person made of it.
      if ((answer.ok && !leavesPage) || (!answer.ok && answer.code === 'conflict')) refresh();
      if (!answer.ok) isUnderWay.current = false;
      return answer;
    },
    [refresh, leavesPage],
  );

  const faultOf = useCallback(
    (field: string) =>
      faults.find((fault) => fault.field === field || fault.field.endsWith(`.${field}`))?.message,
    [faults],
  );

  return { submit, refuse: setFaults, faults, faultOf, isBusy: isSending || isRefreshing };
}
