/** What a component finds around it in a browser: a router, and a server that remembers. */
export interface SentCommand {
  readonly id: string;
  readonly kind: string;
  readonly input: Record<string, unknown>;
}

export const router = { push: jest.fn(), replace: jest.fn(), refresh: jest.fn() };

/** Answers every command with the next of these; the last one stays. Answers what was sent. */
export function fakeServer(...answers: ('lost' | { status: number; body: unknown })[]) {
  const sent: SentCommand[] = [];
  globalThis.fetch = (async (address: unknown, request: RequestInit) => {
    if (address === '/health') return askHealth(answers.at(-1));
    sent.push(JSON.parse(String(request.body)) as SentCommand);
    const answer = answers[Math.min(sent.length, answers.length) - 1];
    if (answer === undefined || answer === 'lost') throw new TypeError('network');
    return { ok: answer.status === 200, json: async () => answer.body };
  }) as unknown as typeof fetch;
  return sent;
}

/** Is it there? As far as its last answer says. */
function askHealth(last: unknown) {
  if (last === 'lost') throw new TypeError('network');
  return { ok: true, text: async () => '{}' };
}

export const DONE = { status: 200, body: { result: {} } };
