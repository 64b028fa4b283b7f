/** What a phone without an account sends. */
import { expect } from '@playwright/test';

/** Sends a command without any cookie, and answers its result. */
export async function asPhone(
  url: string,
  kind: string,
  input: object,
): Promise<Record<string, string>> {
  const id = crypto.randomUUID().replaceAll('-', '');
  const response = await fetch(`${url}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, kind, input }),
  });
  const body = (await response.json()) as { result: Record<string, string> };
  expect(response.status, JSON.stringify(body)).toBe(200);
  return body.result;
}

/** A taster who joins a flight and gives each of these cups a liking. */
export async function tasteAsGuest(
  url: string,
  flightCode: string,
  { name, likings }: { name: string; likings: Readonly<Record<string, number>> },
): Promise<void> {
  const device = [...name].map((sign) => (sign.charCodeAt(0) % 16).toString(16)).join('');
  const own = device.padEnd(32, '0').slice(0, 32);
  const { tasterId } = await asPhone(url, 'joinFlight', { flightCode, name, device: own });
  for (const [code, liking] of Object.entries(likings))
    await asPhone(url, 'tasteBlind', {
      tasterId,
      device: own,
      code,
      moment: 'warm',
      scales: { liking, strength: 0, signs: [] },
      notesFound: [],
      remark: '',
    });
}
