/** Coming in to a house: by the browser's own cookies, or by fetch alone. */
import type { APIRequestContext, Page } from '@playwright/test';
import { DEMO_PEOPLE } from '@/features/people/demoPeople';

type DemoName = (typeof DEMO_PEOPLE)[number]['signInName'];

function keyOf(who: DemoName) {
  const { signInName, password } = DEMO_PEOPLE.find((person) => person.signInName === who)!;
  return { signInName, password };
}

/** Signs a browser in as one of the demo house. */
export async function signIn(
  { request }: Page | { request: APIRequestContext },
  url: string,
  who: DemoName = 'ines',
): Promise<void> {
  const response = await request.post(`${url}/api/session`, { data: keyOf(who) });
  if (!response.ok()) throw new Error(`${who} could not sign in: ${await response.text()}`);
}

/** The cookie of one of the demo house, for requests without a browser. */
export async function cookieOf(url: string, who: DemoName = 'ines'): Promise<string> {
  const response = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(keyOf(who)),
  });
  return response.headers.get('set-cookie')!.split(';')[0]!;
}
