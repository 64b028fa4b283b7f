/** Opening a release of the house by its name, as the search tells where it is. */
import type { Page } from '@playwright/test';
import type { QuickFind } from '@/views/find';

/** Opens a page of the house and waits until it answers to keys: its words are there before its scripts are. */
export async function openPage(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await untilReady(page);
}

/** Waits until what is on the screen answers: the page of this path, or the one the browser is at. */
export async function untilReady(page: Page, path = new URL(page.url()).pathname): Promise<void> {
  await page.locator(`html[data-ready="${path}"]`).waitFor({ state: 'attached' });
}

/** The address of a release: `/releases/…`. */
export async function pathOf(page: Page, url: string, name: string): Promise<string> {
  const answer = await page.request.get(`${url}/api/find?q=${encodeURIComponent(name)}`);
  const { result } = (await answer.json()) as { result: QuickFind };
  const found = result.names.find((release) => release.name.includes(name));
  if (!found) throw new Error(`The house has no release called ${name}.`);
  return `/releases/${found.id}`;
}

export async function openRelease(
  page: Page,
  url: string,
  name: string,
  stage = '',
): Promise<void> {
  await openPage(page, url + (await pathOf(page, url, name)) + (stage && `/${stage}`));
}
