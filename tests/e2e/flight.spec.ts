/** A blind flight: three phones without accounts, one away for a while, the reveal and what is decided. */
import { expect, test, type Browser, type BrowserContext, type Page } from '../support/browserTest';
import { tasteAsGuest } from '../support/asPhone';
import { openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

const PHONE = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };

async function openPhone(
  browser: Browser,
  code: string,
): Promise<{ context: BrowserContext; phone: Page }> {
  const context = await browser.newContext(PHONE);
  const phone = await context.newPage();
  await phone.goto(`${server.url}/flight/${code}`);
  return { context, phone };
}

async function takePlace(phone: Page, name: string): Promise<string[]> {
  await phone.getByLabel('Your name').fill(name);
  await phone.getByRole('button', { name: 'Take a place' }).click();
  await expect(phone.getByRole('heading', { name: `Blind tasting · ${name}` })).toBeVisible();
  const cups = phone.getByRole('radiogroup', { name: /Your cups/ }).getByRole('radio');
  const names = await cups.evaluateAll((all) => all.map((one) => one.parentElement!.innerText));
  return names.map((words) => /\d{3}/.exec(words)![0]);
}

async function score(phone: Page, code: string, liking: number): Promise<void> {
  const cups = phone.getByRole('radiogroup', { name: /Your cups/ });
  await cups.locator('label', { hasText: code }).click();
  const scale = phone
    .getByRole('form', { name: `Cup ${code}` })
    .getByRole('radiogroup', { name: 'Liking' });
  await scale.locator('label', { hasText: new RegExp(`^${liking}$`) }).click();
  await phone.getByRole('button', { name: `Keep cup ${code}` }).click();
  await expect(cups.locator('label', { hasText: code })).toContainText('✓');
}

async function answer(phone: Page, code: string): Promise<void> {
  const asked = phone.getByRole('region', { name: 'Your answer' });
  const choice = asked.getByRole('button', { name: code });
  // The next cup's sheet moves what stands under it: a press may go beside it.
  await expect(async () => {
    await choice.click();
    await expect(choice).toHaveAttribute('aria-pressed', 'true', { timeout: 1000 });
  }).toPass();
  await asked.getByRole('button', { name: 'Send my answer' }).click();
  await expect(phone.getByText(`${code}. Change it`)).toBeVisible();
}

/** Plans "old against new" for so many tasters, by the ready-made flight; answers code and address. */
async function plan(page: Page, tasters: number): Promise<string> {
  await openRelease(page, server.url, 'Las Veredas Rojas', 'taste');
  await page.getByRole('button', { name: 'Plan a blind flight' }).click();
  const form = page.getByRole('form', { name: 'Plan a blind flight' });
  await form.getByText('Old recipe against new').click();
  await form.getByLabel('Tasters').fill(String(tasters));
  await expect(form.getByText(/cannot show a difference|it takes \d+ of/)).toBeVisible();
  await form.getByRole('button', { name: 'Give out codes' }).click();
  await page.waitForURL(/flights/);
  const sheets = await page.getByRole('region', { name: 'Cup sheets', exact: true }).innerText();
  return /flight\/([A-Z0-9]{8})/.exec(sheets)![1]!;
}

/** What stands at the machine: code by what is in the cup. */
async function codesAtTheMachine(page: Page): Promise<Record<string, string>> {
  const lines = page.getByRole('region', { name: 'At the machine' }).getByRole('listitem');
  const words = await lines.allInnerTexts();
  return Object.fromEntries(
    words.map((text) => [/(New|Old) recipe/.exec(text)![0], /^\d{3}/.exec(text.trim())![0]]),
  );
}

/** The figures the recipes at the machine are made of: '42.0', '26-30'; drawn codes are not among them. */
async function figuresAtTheMachine(page: Page): Promise<string[]> {
  const words = await page.getByRole('region', { name: 'At the machine' }).innerText();
  const figures = words.match(/\d+(?:\.\d|-\d+)/g) ?? [];
  expect(figures).toEqual(expect.arrayContaining(['42.0', '40.0']));
  return figures;
}

test('three phones, one of them offline for a while: poured by keyboard, tasted blind, revealed, decided', async ({
  page,
  browser,
}) => {
  test.slow();
  await signIn(page, server.url);
  const code = await plan(page, 3);
  const codes = await codesAtTheMachine(page);

  const [first, second, third] = await Promise.all([
    openPhone(browser, code),
    openPhone(browser, code),
    openPhone(browser, code),
  ]);
  const cups = await takePlace(first.phone, 'Wren Abara');
  expect(cups.sort()).toEqual(Object.values(codes).sort());
  await takePlace(second.phone, 'Odo');
  // The same name on another phone is told so, and chooses another.
  await third.phone.getByLabel('Your name').fill('odo');
  await third.phone.getByRole('button', { name: 'Take a place' }).click();
  await expect(third.phone.getByText(/Odo tastes on another phone/).first()).toBeVisible();
  await takePlace(third.phone, 'Ada');
  await expect(page.getByRole('region', { name: 'Tasters', exact: true })).toContainText('3 of 3');
  // Nothing on a phone says what is in the cups: neither the names nor a figure of their recipes.
  const told = await first.phone.locator('body').innerText();
  for (const secret of ['New recipe', 'Old recipe', ...(await figuresAtTheMachine(page))])
    expect(told).not.toContain(secret);

  // At the machine by keyboard alone: the time, Enter, and the next cup has the focus.
  await page.getByLabel('Time').focus();
  await page.keyboard.type('28.2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/wait \d:\d\d/)).toBeVisible();
  await expect(page.getByLabel('Time')).toBeFocused();
  await page.keyboard.type('27.6');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/wait \d:\d\d/)).toHaveCount(2);
  await expect(first.phone.getByText(/wait \d:\d\d/)).toHaveCount(2);

  const [better, worse] = [codes['New recipe']!, codes['Old recipe']!];
  for (const { phone } of [first, second]) {
    await score(phone, better, 8);
    await score(phone, worse, 6);
    await answer(phone, better);
  }
  // Out of reach: what is tasted waits on the phone, through a reload of nothing, and goes up once.
  await third.context.setOffline(true);
  await score(third.phone, better, 7);
  await expect(third.phone.getByText(/1 cup waits to go up/)).toBeVisible();
  await score(third.phone, worse, 7);
  await answer(third.phone, worse);
  const tasters = page.getByRole('region', { name: 'Tasters of this flight' });
  await expect(tasters.getByRole('row', { name: /Odo/ })).toContainText('2 of 2');
  await expect(tasters.getByRole('row', { name: /Ada/ })).toContainText('0 of 2');
  await third.context.setOffline(false);
  await expect(tasters.getByRole('row', { name: /Ada/ })).toContainText('2 of 2');
  await expect(tasters.getByRole('row', { name: /Ada/ })).toContainText('yes');

  await page.getByRole('button', { name: 'Reveal' }).click();
  const said = page.getByRole('region', { name: 'What it says' });
  await expect(said).toContainText(/2 of 3 prefer New recipe: no difference found/);
  await expect(said).toContainText(/does not make them the same/);
  const table = said.getByRole('region', { name: 'By what was in the cup' });
  await expect(table.getByRole('row', { name: /^New recipe/ })).toContainText('7.7 by 3');
  await expect(table.getByRole('row', { name: /^Old recipe/ })).toContainText('−1.3 ± ');
  await expect(first.phone.getByText(`${better}: New recipe`)).toBeVisible();
  await expect(third.phone.getByText('Revealed.')).toBeVisible();

  // A sheet after the reveal is kept apart, and both sides are told.
  await first.phone.locator('label', { hasText: /^cool$/ }).click();
  await score(first.phone, worse, 2);
  await expect(first.phone.getByText(/it is kept apart and counts in nothing/)).toBeVisible();
  await expect(said).toContainText('1 sheet came after the reveal');
  await expect(table.getByRole('row', { name: /^Old recipe/ })).toContainText('6.3 by 3');

  const decision = page.getByRole('region', { name: 'Decision' });
  await decision.getByText('Old recipe', { exact: true }).click();
  await decision.getByLabel('Why (optional)').fill('cleaner in the guests’ cups');
  await decision.getByRole('button', { name: 'Keep the decision' }).click();
  await expect(table.getByRole('row', { name: /^Old recipe/ })).toContainText('chosen');
  await decision.getByRole('button', { name: 'Use this recipe' }).click();
  await expect(page.getByLabel('Recipe in force')).toContainText('18.1 → 40.0');

  await page.getByRole('link', { name: 'Back to Taste' }).click();
  await expect(page.getByRole('region', { name: 'Blind flights', exact: true })).toContainText(
    'decided: Old recipe',
  );
  for (const { context } of [first, second, third]) await context.close();
});

test('a code that is none, a full table and a flight that is over say what to do', async ({
  page,
  browser,
}) => {
  await signIn(page, server.url);
  const code = await plan(page, 1);
  const { phone, context } = await openPhone(browser, 'NOSUCH22');
  await expect(phone.getByText(/No flight has this code/)).toBeVisible();
  await phone.getByRole('link', { name: 'Enter another code' }).click();
  // As it was read out: small letters and a space.
  await phone
    .getByLabel('Code of the flight')
    .fill(`${code.slice(0, 4)} ${code.slice(4).toLowerCase()}`);
  await phone.getByRole('button', { name: 'Open the cup sheets' }).click();
  await takePlace(phone, 'Wren Abara');
  const other = await openPhone(browser, code);
  await expect(other.phone.getByText('All places are taken.')).toBeVisible();
  await other.phone.getByLabel('Your name').fill('Odo');
  await other.phone.getByRole('button', { name: 'Take a place' }).click();
  await expect(
    other.phone.getByText(/All 1 places are taken|one can be added/).first(),
  ).toBeVisible();

  // The lead makes room; a lost phone's place is freed and taken up on another.
  await page.getByText('More tasters, more time, or delete it').click();
  await page.getByRole('textbox', { name: 'Tasters' }).fill('2');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('Tasters, 1 of 2')).toBeVisible();
  await page.getByRole('button', { name: 'Free the place of Wren Abara' }).click();
  await expect(page.getByText('may join again by name')).toBeVisible();
  await takePlace(other.phone, 'wren abara');

  await page.getByRole('button', { name: 'Delete this flight' }).click();
  await expect(page).toHaveURL(/taste$/);
  await expect(other.phone.getByText(/No flight has this code/)).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).first().click();
  await other.phone.reload();
  await expect(other.phone.getByRole('heading', { name: /wren abara/i })).toBeVisible();
  await context.close();
  await other.context.close();
});

test('a small experiment: two things in two settings, times and blind cups, each effect with its noise', async ({
  page,
}) => {
  await signIn(page, server.url);
  await openRelease(page, server.url, 'Las Veredas Rojas', 'taste');
  await page.getByRole('button', { name: 'Plan a blind flight' }).click();
  const form = page.getByRole('form', { name: 'Plan a blind flight' });
  await form.getByText('Beans and grounds, room or warm').click();
  await expect(form.getByRole('group', { name: /^Cup \d$/ })).toHaveCount(4);
  await expect(form.getByText(/never unattended\. They can scorch and catch fire/)).toBeVisible();
  await form.getByRole('button', { name: 'Give out codes' }).click();
  await page.waitForURL(/flights/);
  const sheets = await page.getByRole('region', { name: 'Cup sheets', exact: true }).innerText();
  const flightCode = /flight\/([A-Z0-9]{8})/.exec(sheets)![1]!;
  const machine = page.getByRole('region', { name: 'At the machine' });
  await expect(machine.getByText(/never unattended/)).toBeVisible();
  const lines = machine.getByRole('listitem');
  const cups = (await lines.allInnerTexts()).map((words) => ({
    code: /\d{3}/.exec(words)![0],
    isWarm: words.includes('Beans warm'),
  }));
  for (const [i, { isWarm }] of cups.entries()) {
    await page.getByLabel('Time').fill(isWarm ? '23.5' : '28');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/wait \d:\d\d/)).toHaveCount(i + 1);
  }
  for (const name of ['Wren Abara', 'Odo', 'Ada'])
    await tasteAsGuest(server.url, flightCode, {
      name,
      likings: Object.fromEntries(cups.map(({ code, isWarm }) => [code, isWarm ? 4 : 8])),
    });
  await expect(page.getByText('4 of 4')).toHaveCount(3);
  await page.getByRole('button', { name: 'Reveal' }).click();
  const table = page.getByRole('region', { name: 'What each setting did' });
  const beans = table.getByRole('row', { name: /^Beans warm/ });
  await expect(beans).toContainText(/−4\.5 ± \d\.\d/);
  await expect(beans).toContainText(/−4\.0 ± \d\.\d/);
  await expect(beans).toContainText('time and liking');
  const grounds = table.getByRole('row', { name: /^Grounds warm/ });
  await expect(grounds).toContainText(/\+?0\.0 ± \d\.\d/);
  await expect(grounds).toContainText('neither');
});
