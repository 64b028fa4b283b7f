'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, useTransition } from 'react';
import type { Fault, FaultCode } from '@/core/errors';
import { newId } from './newId';

export type Answer =
  | { readonly ok: true; readonly result: Readonly<Record<string, unknown>> }
  | {
      readonly ok: false;
      readonly code?: FaultCode | undefined;
      readonly faults: readonly Fault[];
    };

const UNREACHED =
  'The server was not reached. Your entry is kept here: check that it runs, then send it again.';

/** Sends one command. The same id sent again counts once, so a retry after a lost answer is safe. */
async function send(id: string, kind: string, input: unknown): Promise<Answer | 'unreached'> {
  try {
    const response = await fetch('/api/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, kind, input }),
    });
    const body = (await response.json()) as {
      result?: Record<string, unknown>;
      code?: FaultCode;
      faults?: Fault[];
    };
    if (response.ok && body.result) return { ok: true, result: body.result };
    return {
      ok: false,
      code: body.code,
      faults: body.faults ?? [{ field: '', message: UNREACHED }],
    };
  } catch {
    return 'unreached';
  }
}

/**
 * Commands of one form: sends, keeps the faults for its fields, and brings every screen up to date.
 * After an unreached server the next submission of the same kind and input repeats the same id.
 */
export function useCommand() {
  const router = useRouter();
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [isSending, setSending] = useState(false);
  const [isRefreshing, startRefresh] = useTransition();
  const unanswered = useRef<{ id: string; key: string } | null>(null);
  // From sending until the screen shows the result: a second Enter in between is the same press.
  const isUnderWay = useRef(false);
  useEffect(() => {
    if (!isRefreshing) isUnderWay.current = false;
  }, [isRefreshing]);

  const submit = useCallback(
    async (kind: string, input: unknown): Promise<Answer> => {
      if (isUnderWay.current) return { ok: false, faults: [] };
      isUnderWay.current = true;
      const key = JSON.stringify([kind, input]);
      const id = unanswered.current?.key === key ? unanswered.current.id : newId();
      setSending(true);
      const answer = await send(id, kind, input);
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
      if (answer.ok || answer.code === 'conflict') startRefresh(() => router.refresh());
      if (!answer.ok) isUnderWay.current = false;
      return answer;
    },
    [router],
  );

  const faultOf = useCallback(
    (field: string) =>
      faults.find((fault) => fault.field === field || fault.field.endsWith(`.${field}`))?.message,
    [faults],
  );

  return { submit, faults, faultOf, isBusy: isSending || isRefreshing };
}
