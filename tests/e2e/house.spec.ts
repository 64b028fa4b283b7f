/** A house of several people: invitations, roles in two browsers, a conflict shown and resolved. */
import { expect, test, type Browser, type Page } from '../support/browserTest';
import { openPage, openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

async function browserOf(browser: Browser, who?: 'ines' | 'tobin' | 'wren'): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  if (who) await signIn(page, server.url, who);
  return page;
}

test('a bench hand comes in by a link that works once, pulls and tastes, and cannot publish', async ({
  browser,
}) => {
  const lead = await browserOf(browser, 'ines');
  await openPage(lead, `${server.url}/people`);
  await lead.getByLabel('Who it is for').fill('Mara Quist-Lindal');
  await lead.getByRole('button', { name: 'Make a link' }).press('Enter');
  const link = (await lead.getByRole('status').locator('code').textContent())!;

  const mara = await browserOf(browser);
  await openPage(mara, link);
  await expect(mara.getByText(/invited as bench hand, who pulls and tastes/)).toBeVisible();
  await mara.getByLabel('Sign-in name').fill('mara');
  await mara.getByLabel('Password').fill('a mug of warm water');
  await mara.getByRole('button', { name: 'Join' }).press('Enter');
  await expect(mara.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(mara.getByRole('link', { name: /New release/ })).toHaveCount(0);

  await test.step('she logs a shot; the lead’s browser shows it as hers', async () => {
    await openRelease(mara, server.url, 'Serra do Lume', 'pull');
    await mara.getByLabel('Time, s').fill('27.5');
    await mara.getByRole('button', { name: 'Log it' }).click();
    await expect(mara.getByText(/Ledger: 4 shots/)).toBeVisible();
    await openRelease(lead, server.url, 'Serra do Lume', 'log');
    await expect(
      lead.getByRole('row', { name: /Mara Quist-Lindal logged a shot at/ }),
    ).toBeVisible();
  });

  await test.step('she keeps a cup sheet', async () => {
    await openRelease(mara, server.url, 'Serra do Lume', 'taste');
    await mara
      .getByRole('radiogroup', { name: 'Sweetness' })
      .getByRole('radio', { name: '7', exact: true })
      .press('7');
    await mara.getByRole('button', { name: 'Keep this cup sheet' }).press('Enter');
    await expect(mara.getByRole('cell', { name: 'Mara Quist-Lindal', exact: true })).toBeVisible();
  });

  await test.step('publishing is not offered, nor the recipe, the facts, the equipment', async () => {
    await openRelease(mara, server.url, 'Kibira Slope', 'publish');
    await expect(mara.getByText('Only the lead publishes.')).toBeVisible();
    await expect(mara.getByRole('button', { name: /Publish/ })).toHaveCount(0);
    await mara.keyboard.press('2');
    await expect(mara.getByText('The lead decides which recipe is used.')).toBeVisible();
    await mara.keyboard.press('1');
    await expect(mara.getByText('Roast batches')).toBeVisible();
    await expect(mara.getByRole('button', { name: 'Correct the facts' })).toHaveCount(0);
    await mara.goto(`${server.url}/releases/new`);
    await expect(mara.getByRole('heading', { name: 'Today' })).toBeVisible();
  });

  await test.step('the link is spent', async () => {
    const other = await browserOf(browser);
    await openPage(other, link);
    await expect(other.getByText(/was used already; a link works once/)).toBeVisible();
  });

  await test.step('taken away, she is signed out; put back, she may come in again', async () => {
    await openPage(lead, `${server.url}/people`);
    await lead.getByRole('button', { name: 'Delete Mara Quist-Lindal' }).press('Enter');
    await expect(lead.getByText('Mara Quist-Lindal can no longer sign in.')).toBeVisible();
    await mara.goto(server.url);
    await expect(mara.getByRole('heading', { name: /Sign in to Lanternfell/ })).toBeVisible();
    await lead.locator('body').press('z');
    await expect(lead.getByRole('cell', { name: 'Mara Quist-Lindal' }).first()).toBeVisible();
    await mara.getByLabel('Sign-in name').fill('mara');
    await mara.getByLabel('Password').fill('a mug of warm water');
    await mara.getByRole('button', { name: 'Sign in', exact: true }).press('Enter');
    await expect(mara.getByRole('heading', { name: 'Today' })).toBeVisible();
  });
});

test('two leads on the facts of one release see both versions, and nothing is lost', async ({
  browser,
}) => {
  const [one, two] = [await browserOf(browser, 'ines'), await browserOf(browser, 'ines')];
  for (const page of [one, two]) {
    await openRelease(page, server.url, 'Dembi Ridge', 'read');
    await page.getByRole('button', { name: 'Correct the facts' }).click();
  }
  await one.getByLabel('Name of the release').fill('Dembi Upper Ridge');
  await one.getByLabel('Region').fill('Guji, upper');
  await two.getByLabel('Name of the release').fill('Dembi High Ridge');
  await two.getByLabel('Promised notes').fill('bergamot, lime');
  await two.getByRole('button', { name: 'Save the facts' }).click();
  await expect(two.getByRole('heading', { name: 'Dembi High Ridge' })).toBeVisible();

  await one.getByRole('button', { name: 'Save the facts' }).click();
  const both = one.getByRole('region', { name: 'Both versions' });
  await expect(both).toContainText('Dembi Upper Ridge');
  await expect(both).toContainText('Dembi High Ridge');
  await expect(one.getByText(/Taken over from them: Promised notes/)).toBeVisible();
  await expect(one.getByLabel('Region')).toHaveValue('Guji, upper');
  await both.getByRole('button', { name: 'Take theirs' }).click();
  await one.getByRole('button', { name: 'Save the facts' }).click();
  const facts = one.getByRole('complementary', { name: 'Coffee' });
  await expect(facts).toContainText('Dembi High Ridge');
  await expect(facts).toContainText('Guji, upper');
  await expect(facts).toContainText('bergamot, lime');
});

test('a person reads and types in fluid ounces and °F; another goes on in millilitres', async ({
  browser,
}) => {
  const tobin = await browserOf(browser, 'tobin');
  await openPage(tobin, `${server.url}/people`);
  await tobin.getByRole('radio', { name: 'fl oz' }).press('Space');
  await expect(tobin.getByRole('radio', { name: 'fl oz' })).toBeChecked();
  await tobin.getByRole('radio', { name: '°F' }).press('Space');
  await expect(tobin.getByRole('radio', { name: '°F' })).toBeChecked();
  await openRelease(tobin, server.url, 'Kibira Slope', 'pull');
  await expect(tobin.getByLabel('Recipe in force')).toContainText(/1[78]\.\d → \d{2}\.\d g/);
  await expect(tobin.getByLabel('Recipe in force')).toContainText(/\d{3}\.\d °F/);
  await tobin.getByRole('checkbox', { name: 'Yield by volume' }).press('Space');
  await tobin.getByLabel('Yield, fl oz').fill('1.6');
  await tobin.getByLabel('Time, s').fill('28');
  await tobin.getByRole('button', { name: 'Log it' }).click();
  await expect(tobin.getByText('1.60 fl oz, rough')).toBeVisible();
  const ines = await browserOf(browser, 'ines');
  await openRelease(ines, server.url, 'Kibira Slope', 'pull');
  // 47.3 ml with their crema weigh three quarters of it.
  await expect(ines.getByRole('row', { name: /35\.5 47 ml, rough 28\.0/ })).toBeVisible();
});

test('overruling the advice takes one press and stays in ledger and log', async ({ browser }) => {
  const page = await browserOf(browser, 'tobin');
  await openRelease(page, server.url, 'Serra do Lume', 'pull');
  await page.getByLabel('Dial', { exact: true }).fill('9.5');
  await page.getByRole('checkbox', { name: 'I know this grinder' }).press('Space');
  await page.getByLabel('Time, s').fill('33');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText(/Your change: I know this grinder/)).toBeVisible();
  await page.getByRole('link', { name: 'Who did what when' }).click();
  await expect(page.getByText(/overruling the advice: I know this grinder/)).toBeVisible();
});

test('withdrawing closes page, file and paper, and can be undone', async ({ browser }) => {
  const lead = await browserOf(browser, 'ines');
  await openRelease(lead, server.url, 'Monte Calado', 'publish');
  const card = (await lead
    .getByRole('link', { name: 'Open the public page' })
    .getAttribute('href'))!;
  await lead.getByRole('button', { name: 'Withdraw it' }).click();
  await lead
    .getByLabel('What the page says about it')
    .fill('Sold out; the next lot is on its way.');
  await lead.getByRole('button', { name: 'Withdraw it now' }).click();
  await expect(lead.getByRole('button', { name: 'Show it again' })).toBeVisible();
  const stranger = await browserOf(browser);
  await stranger.goto(server.url + card);
  await expect(stranger.getByText('Sold out; the next lot is on its way.')).toBeVisible();
  await expect(stranger.getByText('°C')).toHaveCount(0);
  for (const file of ['recipe.json', 'card.pdf'])
    expect((await stranger.request.get(`${server.url}${card}/${file}`)).status()).toBe(410);
  await lead.getByRole('button', { name: 'Show it again' }).click();
  await expect(lead.getByRole('button', { name: 'Withdraw it' })).toBeVisible();
  await stranger.reload();
  await expect(stranger.getByText(/°C/).first()).toBeVisible();
});

test('ten wrong passwords hold a name from there, and whoever is signed in stays so', async ({
  browser,
}) => {
  const wren = await browserOf(browser, 'wren');
  const page = await browserOf(browser);
  await openPage(page, `${server.url}/sign-in`);
  await page.getByLabel('Sign-in name').fill('wren');
  for (let i = 0; i <= 10; i++) {
    await page.getByLabel('Password').fill(`not this one ${i}`);
    const answered = page.waitForResponse('**/api/session');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    expect((await answered).status()).toBe(i < 10 ? 401 : 429);
  }
  await expect(
    page.getByText(/Too many wrong passwords from here\. Wait 15 minutes/),
  ).toBeVisible();
  await wren.reload();
  await expect(wren).not.toHaveURL(/sign-in/);
});
