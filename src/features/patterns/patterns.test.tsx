import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { METRIC } from '@/core/units';
import { findHouse } from '@/data/house';
import { readRecords } from '@/views/records';
import { router } from '../../../tests/support/browser';
import {
  BATCH,
  COMPONENT,
  RECIPE,
  RELEASE,
  send,
  shotInput,
  WORDS,
} from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { exportPatterns } from './exports';
import { findingWords } from './findings';
import { PatternsPage } from './PatternsPage';
import { readPatterns } from '@/views/patterns';

jest.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/patterns',
  useSearchParams: () => new URLSearchParams(),
}));
// Drawn on a canvas, which this test's browser has not; every chart has its table.
jest.mock('next/dynamic', () => () => () => null);

/** A coffee dialled in with these shots, tasted once, and published at a temperature. */
function addCoffee(
  house: ViewedHouse,
  name: string,
  temperatureC: number,
  { dials, process = 'natural' }: { dials: readonly number[]; process?: string },
) {
  const components = [{ ...COMPONENT, varietyClass: 'ordinary', process }];
  const { releaseId } = send(house.db, 'createRelease', {
    release: { ...RELEASE, name, components },
    batch: BATCH,
  });
  const { draftId } = send(house.db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    batchId: `${String(releaseId)}-1`,
    setupId: house.setupId,
    temperatureC,
    proposed: { lnRatio: Math.log(1.9), temperatureC: 91.2, lnTimeS: Math.log(28) },
  });
  let shotId = '';
  for (const dial of dials) {
    const timeS = 28 + 3 * (12 - dial);
    const logged = send(house.db, 'logShot', {
      ...shotInput(String(draftId), { dial, timeS, temperatureC, purged: true }),
    });
    shotId = String(logged.shotId);
  }
  send(house.db, 'recordTasting', {
    shotId,
    moment: 'warm',
    serving: 'straight',
    scales: { liking: 8, sweetness: 7 },
    notesFound: ['bergamot'],
    remark: '',
  });
  send(house.db, 'publish', { releaseId, draftId, ...WORDS });
  return String(releaseId);
}

function houseOfNaturals() {
  const house = houseWith();
  const ids = [96, 96.5, 95.5, 96, 96.5, 96].map((temperatureC, i) =>
    addCoffee(house, `Natural ${i}`, temperatureC, { dials: i < 3 ? [14, 13, 12, 12] : [12, 12] }),
  );
  return { ...house, ids };
}

/** What is washed here ends where the rules say, so that the naturals stand out. */
function addWashed(house: ViewedHouse): void {
  for (const i of [0, 1, 2, 3])
    addCoffee(house, `Washed ${i}`, 92 + (i % 2) / 2, { dials: [12], process: 'washed' });
}

function open(search: Record<string, string> = {}, prepare?: (house: ViewedHouse) => void) {
  const house = houseOfNaturals();
  prepare?.(house);
  const view = readPatterns(house.db, findHouse(house.db)!, search);
  renderAs(<PatternsPage view={view} setups={[]} />);
  return { house, view, user: userEvent.setup() };
}

describe('Patterns', () => {
  it('says where the house differs, with its doubt and how many releases stand behind it', () => {
    open({}, addWashed);
    const findings = screen.getByRole('list', { name: /differ from the rules/ }).textContent;
    expect(findings).toMatch(
      /Natural, beside washed: .*hotter in your recipes \(likely .* where the rule says 0\.8 °C cooler\. From 6 releases: a tendency so far\./,
    );
    expect(findings).not.toMatch(/darker/);
  });

  it('shows proposed and published side by side, each opening its release', async () => {
    const { house, user } = open();
    const compare = screen.getByRole('radiogroup', { name: 'Compare' });
    await user.click(within(compare).getByLabelText('Temperature'));
    await user.click(screen.getAllByRole('button', { name: /As a table/ })[0]!);
    const table = screen.getByRole('region', { name: 'Proposed and published' });
    const row = within(table).getByRole('link', { name: 'Natural 1' }).closest('tr')!;
    expect(row.textContent).toMatch(/91\.2.*96\.5.*\+5\.3/);
    expect(within(row).getByRole('link').getAttribute('href')).toBe(`/releases/${house.ids[1]}`);
  });

  it('counts shots and coffee until on target, and says how the halves compare', () => {
    const { house } = open();
    const { dialIns } = readRecords(house.db, findHouse(house.db)!);
    const shots = dialIns.map(({ shots: count, isOnTarget }) => [count, isOnTarget]);
    expect(shots).toEqual([...Array(3).fill([4, true]), ...Array(3).fill([2, true])]);
    // 4 g are purged with each shot that is marked so: twice what the grinder keeps.
    expect(dialIns[3]!.spentG).toBe(2 * (18 + 4));
    expect(
      screen.getByText(/In the middle 4 shots over the older half and 2 over the newer half of 6/),
    ).toBeTruthy();
  });

  it('draws the newest of many and says so; the export has them all', () => {
    const house = houseOfNaturals();
    const view = readPatterns(house.db, findHouse(house.db)!, {}, 2);
    expect(view.dialIns).toMatchObject({ count: 6, points: [{ shots: 2 }, { shots: 2 }] });
    renderAs(<PatternsPage view={view} setups={[]} />);
    expect(screen.getAllByText(/The newest 2 of 6 are shown and counted/)).toHaveLength(2);
    expect(exportPatterns(house.db, findHouse(house.db)!, 'dial-ins', {})).toHaveLength(7);
  });

  it('puts likings and found notes with process and roast, a release counting once', () => {
    const { view } = open();
    expect(view.cups).toMatchObject([
      { process: 'natural', roast: 'medium', releases: 6, cups: 6, liking: { mean: 8, half80: 0 } },
    ]);
    expect(view.cups[0]!.notes[0]).toEqual({ note: 'bergamot', found: 6, asked: 6 });
  });

  it('narrows everything by the filters, the model included', () => {
    const { view } = open({ process: 'washed', roast: 'nonsense' });
    expect(view).toMatchObject({ releases: 0, cups: [] });
    expect([view.proposals.count, view.dialIns.count]).toEqual([0, 0]);
    expect(view.filters).toMatchObject({ process: 'washed', roast: null });
    expect(screen.getByText(/No published release yet/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Show everything' })).toBeTruthy();
  });

  it('exports what it shows', () => {
    const { house } = open();
    const of = (what: Parameters<typeof exportPatterns>[2]) =>
      exportPatterns(house.db, findHouse(house.db)!, what, {});
    const natural = of('effects').find(
      ([output, label]) => output === 'temperatureC' && label === 'Natural, beside washed',
    )!;
    expect(natural[2]).toBeCloseTo(-0.8, 9);
    expect(natural.at(-1)).toBe(6);
    expect(of('proposals').filter(([, , output]) => output === 'temperatureC')).toHaveLength(6);
    expect(of('dial-ins')).toHaveLength(7);
    expect(of('cups')[1]!.at(-1)).toMatch(/bergamot 6 of 6/);
    // One cup a coffee: nothing to compare.
    expect(of('tongue')).toHaveLength(1);
  });

  it('says nothing where nothing is known', () => {
    const house = houseWith();
    const view = readPatterns(house.db, findHouse(house.db)!, {});
    renderAs(<PatternsPage view={view} setups={[]} />);
    expect(screen.getByText(/No published release yet/)).toBeTruthy();
    expect(screen.getByText(/once cups are tasted/)).toBeTruthy();
    expect(screen.getByText(/once somebody tasted two cups of one coffee/)).toBeTruthy();
  });
});

it('words an effect in the reader’s own degrees', () => {
  const effect = {
    name: 'natural',
    label: 'Natural, beside washed',
    rule: -0.8,
    learned: 0.5,
    halfWidth80: 0.5,
    releases: 1,
    isDifferent: true,
  } as const;
  const american = { volume: 'flOz', temperature: 'F' } as const;
  expect(findingWords(effect, 'temperatureC', american)).toMatch(
    /0\.9 °F hotter .* 1\.4 °F cooler/,
  );
  expect(findingWords(effect, 'temperatureC', METRIC)).toMatch(/From one release/);
});
