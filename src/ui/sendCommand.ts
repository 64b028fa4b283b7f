/** Sending one command, as every form and the outbox do it. */
import type { CommandKind, Commands } from '@/core/command/inputs';
import type { Fault, FaultCode } from '@/core/errors';
import { askPasswordAgain } from './passwordAsked';
import { lookForServer } from './reach';

export type Answer<K extends CommandKind = CommandKind> =
  | { readonly ok: true; readonly result: Commands[K]['answers'] }
  | {
      readonly ok: false;
      readonly code?: FaultCode | undefined;
      readonly faults: readonly Fault[];
    };

export const UNREACHED =
  'The server was not reached. Your entry is kept here: check that it runs, then send it again.';

/** Sends one command. The same id sent again counts once, so a retry after a lost answer is safe. */
export async function sendCommand<K extends CommandKind>(
  id: string,
  kind: K,
  input: Commands[K]['asks'],
): Promise<Answer<K> | 'unreached'> {
  try {
    const response = await fetch('/api/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, kind, input }),
    });
    const body = (await response.json()) as {
      result?: Commands[K]['answers'];
      code?: FaultCode;
      faults?: Fault[];
    };
    if (response.ok && body.result) return { ok: true, result: body.result };
    if (body.code === 'unproved' && (await askPasswordAgain())) return sendCommand(id, kind, input);
    return {
      ok: false,
      code: body.code,
      faults: body.faults ?? [{ field: '', message: UNREACHED }],
    };
  } catch {
    // Whoever looks on hears it too: the bar over the page says so.
    void lookForServer();
    return 'unreached';
  }
}
