/** Opening a release of the house by its name, as its rest strip leads there. */
import type { Page } from '@playwright/test';

/** Opens a page and waits until it answers to keys: its words are there before its scripts are. */
export async function openPage(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.waitForLoadState('networkidle');
}

/** The address of a release: `/releases/…`. */
export async function pathOf(page: Page, url: string, name: string): Promise<string> {
  await page.goto(url);
  const strips = page.getByRole('region', { name: 'Rest strips' });
  return (await strips.getByRole('link', { name }).first().getAttribute('href'))!;
}

export async function openRelease(
  page: Page,
  url: string,
  name: string,
  stage = '',
): Promise<void> {
  await openPage(page, url + (await pathOf(page, url, name)) + (stage && `/${stage}`));
}
