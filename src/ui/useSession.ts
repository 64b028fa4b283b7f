'use client';

import { useCallback, useState } from 'react';
import type { Fault } from '@/core/errors';

type Answered = { readonly ok: boolean };

/** Signing in, out, the password once more and a new one: what needs the cookie and so goes past the commands. */
export function useSession(address = '/api/session') {
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [isBusy, setBusy] = useState(false);
  const send = useCallback(
    async (method: 'POST' | 'DELETE' | 'PUT', input: unknown): Promise<Answered> => {
      setBusy(true);
      const found = await ask(address, method, input);
      setBusy(false);
      setFaults(found);
      return { ok: found.length === 0 };
    },
    [address],
  );
  const faultOf = (field: string) => faults.find((fault) => fault.field === field)?.message;
  return { send, faults, faultOf, isBusy };
}

async function ask(address: string, method: string, input: unknown): Promise<readonly Fault[]> {
  const unreached = {
    field: '',
    message: 'The server was not reached. Check that it runs, then try again.',
  };
  try {
    const response = await fetch(address, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
    });
    if (response.ok) return [];
    const { faults = [unreached] } = (await response.json()) as { faults?: Fault[] };
    return faults;
  } catch {
    return [unreached];
  }
}
