/** The house model at work: what Start shows is what the core says, and Patterns shows what was learnt. */
import { spawnSync } from 'node:child_process';
import { expect, test, type Page } from '../support/browserTest';
import { openDatabase } from '@/data/database';
import { findHouse } from '@/data/house';
import { readHouseModel } from '@/views/houseModel';
import { readRelease } from '@/views/release';
import { listReleaseNames } from '@/data/releases';
import { listSetups } from '@/data/setups';
import { today } from '@/data/today';
import { programArgs } from '../support/program';
import { enterDay } from '../support/keyboard';
import { openPage, openRelease } from '../support/openRelease';
import type { RunningServer } from '../support/server';
import { signIn } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});
test.beforeEach(async ({ page }) => {
  await signIn(page, server.url);
});

interface Change {
  readonly from: number;
  readonly to: number;
  readonly change: number;
}

/** What `kb propose` says of a coffee, coming from another, with the house's own history. */
function askKb(newName: string, knownName: string) {
  const db = openDatabase(server.databaseFile);
  const house = findHouse(db)!;
  const { history, withReference } = readHouseModel(db, house);
  const view = (name: string) => {
    const { id } = listReleaseNames(db).find((release) => release.name === name)!;
    return readRelease(db, house, id, { today: today() })!;
  };
  const known = view(knownName);
  const { draft, setup, shots } = known.bench!;
  const own = history.find(({ release }) => release.id === known.release.id);
  const { machine, basket } = listSetups(db).find(({ id }) => id === setup.id)!;
  const { programme: _programme, steps: _steps, ...recipe } = draft.recipe;
  const { id: _m, rowVersion: _mv, ...machineFacts } = machine;
  const { id: _b, rowVersion: _bv, ...basketFacts } = basket;
  const dial = shots.at(-1)?.dial ?? draft.startDial;
  const reference = withReference(setup.grinder).referenceDial!;
  const lnPerDial = Math.log(1 + setup.grinder.secondsPerStep! / 28) / setup.grinder.stepSize;
  const input = {
    release: view(newName).facts,
    // A shell knows no setups of the house.
    history: history.map(({ setupId: _setupId, ...past }) => ({
      ...past,
      recipe: { ...past.recipe, yieldG: past.recipe.doseG * past.recipe.ratio },
    })),
    setup: { machine: machineFacts, basket: basketFacts },
    comingFrom: {
      release: known.facts,
      style: draft.style,
      recipe,
      ratedG: basket.ratedG,
      diameterMm: basket.diameterMm,
      // Finer is a lower number on this grinder.
      grindSteps: ((reference - dial) * lnPerDial) / 0.1,
    },
  };
  db.close();
  expect(own, 'the coffee on the bench is one of the history').toBeDefined();
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [...programArgs('kb'), 'propose'],
    {
      input: JSON.stringify(input),
      encoding: 'utf8',
    },
  );
  expect(stderr).toBe('');
  expect(status).toBe(0);
  return JSON.parse(stdout) as {
    recipe: { ratio: number; temperatureC: number };
    changes: Record<'ratio' | 'temperatureC' | 'timeS' | 'grindSteps' | 'doseG', Change>;
  };
}

async function addNatural(page: Page, name: string): Promise<void> {
  await openPage(page, `${server.url}/releases/new`);
  await page.getByLabel('Name of the release').fill(name);
  await enterDay(page, 'Roast date', new Date());
  await page.getByLabel('Country').fill('Ethiopia');
  await page.getByLabel('Process').selectOption('natural');
  await page.getByLabel('Variety class').selectOption('ordinary');
  await page.getByLabel('Altitude, m').fill('1900');
  await page.getByLabel('Roast, in the house’s word').selectOption('-1');
  await page.getByRole('button', { name: 'Create and read it' }).press('Enter');
  await expect(
    page.getByRole('heading', { name: /resist|hard to extract|medium|easy/i }),
  ).toBeVisible();
}

const signedText = (value: number, digits: number) => {
  const text = Math.abs(value).toFixed(digits);
  return Number(text) === 0 ? text : `${value < 0 ? '−' : '+'}${text}`;
};

test('a new light natural, coming from a washed coffee: the changes shown are what kb says', async ({
  page,
}) => {
  await addNatural(page, 'Well Alegre Natural');
  await page.getByRole('link', { name: /^2 Start/ }).press('Enter');
  await page.getByLabel('The bench now runs').selectOption({ label: 'Monte Calado' });
  const table = page.getByRole('region', { name: 'Changes from Monte Calado' });
  await expect(table).toBeVisible();
  const { changes, recipe } = askKb('Well Alegre Natural', 'Monte Calado');
  const row = (name: string) => table.getByRole('row', { name: new RegExp(`^${name}`) });
  await expect(row('Ratio')).toContainText(`1:${changes.ratio.to.toFixed(2)}`);
  await expect(row('Ratio')).toContainText(signedText(changes.ratio.change, 2));
  await expect(row('Temperature')).toContainText(signedText(changes.temperatureC.change, 1));
  await expect(row('Grind')).toContainText(signedText(changes.grindSteps.change, 1));
  await expect(row('Dose')).toContainText(signedText(changes.doseG.change, 1));
  expect(changes.ratio.to).toBeCloseTo(recipe.ratio, 12);

  await test.step('a dial is offered, and the evidence opens', async () => {
    await expect(row('Dial')).toContainText('purge before the first shot');
    const influential = page.getByRole('region', { name: 'Most influential past releases' });
    await expect(influential.getByRole('row')).toHaveCount(6);
    const first = influential.getByRole('link').first();
    const name = await first.textContent();
    await first.press('Enter');
    await expect(page.getByRole('heading', { name: name!, level: 1 })).toBeVisible();
  });
});

test('supposing another roast moves the proposal, and it can be taken back', async ({ page }) => {
  await openRelease(page, server.url, 'Dembi Ridge', 'start');
  await page.getByLabel('the roast were').selectOption('1');
  const table = page.getByRole('region', { name: 'What if' });
  await expect(table.getByRole('row', { name: /^Ratio/ })).toContainText('−');
  await expect(page).toHaveURL(/ifRoast=1/);
  await page.getByRole('button', { name: 'Back to what is known' }).press('Enter');
  await expect(table).toHaveCount(0);
});

test('Patterns shows at least two learnt effects, narrows, exports, and opens a release', async ({
  page,
}) => {
  await openPage(page, `${server.url}/patterns`);
  const findings = page.getByRole('list', { name: 'Where your recipes differ from the rules' });
  await expect(findings.getByText(/Ratio\. One roast step lighter: .* longer/)).toBeVisible();
  await expect(
    findings.getByText(/Temperature\. (Natural|Anaerobic natural), beside washed/).first(),
  ).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export CSV' }).first().click(),
  ]);
  expect(download.suggestedFilename()).toBe('kettlebrand-effects.csv');
  await page.getByLabel('Process', { exact: true }).selectOption('natural');
  await expect(page).toHaveURL(/process=natural/);
  await expect(page.getByText(/your 1\d releases/)).toBeVisible();
  await page.getByText('As a table, each with its release').first().click();
  const link = page
    .getByRole('region', { name: 'Proposed and published' })
    .getByRole('link')
    .first();
  const name = await link.textContent();
  await link.press('Enter');
  await expect(page.getByRole('heading', { name: name!, level: 1 })).toBeVisible();
});

test('a rule of the house’s own moves the next proposal, and is reset to the trade’s', async ({
  page,
}) => {
  await openPage(page, `${server.url}/house/rules`);
  await page.getByLabel('Temperature', { exact: true }).check();
  await page.getByLabel('Variety: dense landrace: rule').fill('-4');
  await page.getByLabel('Variety: dense landrace: may be off by').fill('0,1');
  await page.getByRole('button', { name: 'Save the rules' }).press('Enter');
  await expect(page.getByText('Saved. Proposals and Patterns follow it')).toBeVisible();
  await openRelease(page, server.url, 'Dembi Ridge', 'start');
  const held = Number(await page.getByLabel('Temperature, °C').inputValue());
  await openPage(page, `${server.url}/house/rules`);
  await page
    .getByRole('button', { name: /Reset all to the trade’s \(1 is yours\)/ })
    .press('Enter');
  await page.getByRole('button', { name: 'Save the rules' }).press('Enter');
  await expect(page.getByText('Saved. Proposals and Patterns follow it')).toBeVisible();
  await openRelease(page, server.url, 'Dembi Ridge', 'start');
  const back = Number(await page.getByLabel('Temperature, °C').inputValue());
  expect(back).toBeGreaterThan(held + 1);
});

test('a grinder is calibrated from three shots by keyboard', async ({ page }) => {
  await openPage(page, `${server.url}/equipment`);
  await page.getByRole('button', { name: 'Change Single-dose grinder' }).press('Enter');
  await page.getByRole('button', { name: /Calibrate from/ }).press('Enter');
  const shots = [
    ['20', '22.0'],
    ['24', '29.5'],
    ['28', '40.1'],
  ] as const;
  for (const [i, [dial, time]] of shots.entries()) {
    await page.getByLabel(`Shot ${i + 1}: dial`).fill(dial);
    await page.getByLabel(`Shot ${i + 1}: time, s`).fill(time);
  }
  await page.getByRole('button', { name: 'Work it out' }).press('Enter');
  await page.getByRole('button', { name: 'Take these figures' }).press('Enter');
  await page.getByRole('button', { name: 'Save the grinder' }).press('Enter');
  await expect(
    page.getByText(/2\.\d+ s \(± 0\.\d+\) a step, 14 µm a step, usual coffee at 23\.\d/),
  ).toBeVisible();
});
