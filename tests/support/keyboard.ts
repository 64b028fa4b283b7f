/** Working the interface by keyboard alone: Tab to a control, then type. */
import { expect, type Locator, type Page } from '@playwright/test';

const MOST_TABS = 140;

/** Presses Tab until the control has the focus; fails when the keyboard never reaches it. */
export async function tabTo(page: Page, control: Locator): Promise<void> {
  await control.waitFor();
  for (let i = 0; i < MOST_TABS; i++) {
    const isThere = await control.evaluate((element) => element === document.activeElement);
    if (isThere) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`The keyboard does not reach ${String(control)}`);
}

/** Types a value into a field, replacing what stood there. */
export async function fill(page: Page, label: string | RegExp, value: string): Promise<void> {
  const field = page.getByLabel(label, { exact: typeof label === 'string' });
  await tabTo(page, field);
  await page.keyboard.press('Control+A');
  await page.keyboard.type(value);
}

/** Chooses an option of a native list by typing its first letters. */
export async function pick(page: Page, label: string, option: string): Promise<void> {
  const list = page.getByLabel(label, { exact: true });
  await tabTo(page, list);
  await page.keyboard.type(option);
  // "Medium" typed letter by letter stops at "Medium-light": walk on to the exact word.
  const chosen = list.locator('option:checked');
  for (let i = 0; i < 12 && (await chosen.textContent()) !== option; i++)
    await page.keyboard.press('ArrowDown');
  await expect(list.locator('option:checked')).toHaveText(option);
}

export async function press(page: Page, name: string | RegExp): Promise<void> {
  await tabTo(page, page.getByRole('button', { name }));
  await page.keyboard.press('Enter');
}

export async function follow(page: Page, name: string | RegExp): Promise<void> {
  await tabTo(page, page.getByRole('link', { name }).first());
  await page.keyboard.press('Enter');
}

/** Types a day into a date field, in the order of the browser's language. */
export async function enterDay(page: Page, label: string, date: Date): Promise<void> {
  const field = page.getByRole('group', { name: label, exact: true });
  // The field is made ready at the first key.
  await page.keyboard.press('Shift');
  await tabTo(page, field.getByRole('spinbutton').first());
  const language = await page.evaluate(() => navigator.language);
  const written = new Intl.DateTimeFormat(language, {
    day: '2-digit',
    month: '2-digit',
    year: 'numeric',
  }).formatToParts(date);
  const digits = written.filter(({ type }) => type !== 'literal').map(({ value }) => value);
  await page.keyboard.type(digits.join(''));
  await expect(field.getByRole('spinbutton')).toHaveText(digits);
}
