import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { METRIC } from '@/core/units';
import { findHouse } from '@/data/house';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import {
  BATCH,
  COMPONENT,
  RECIPE,
  RELEASE,
  send,
  TODAY,
  WORDS,
} from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { StartStage } from './StartStage';
import { readStart } from '@/views/start';

jest.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/releases/r/start',
  useSearchParams: () => new URLSearchParams(),
}));

function openStart(search: Record<string, string> = {}, prepare?: (house: ViewedHouse) => void) {
  const house = houseWith();
  prepare?.(house);
  const { db, view } = house;
  const reader = { today: TODAY, units: METRIC };
  const start = readStart(db, findHouse(db)!, view(), search, reader);
  renderAs(<StartStage view={view()} start={start} />);
  return { user: userEvent.setup(), proposal: start.proposal, start, house };
}

/** Another release, decided in the house's own records. */
function addPast(house: ViewedHouse, name: string, changes: Record<string, unknown> = {}): string {
  const release = { ...RELEASE, name, components: [{ ...COMPONENT, process: 'natural' }] };
  const { releaseId } = send(house.db, 'createRelease', { release, batch: BATCH });
  const { draftId } = send(house.db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    batchId: `${String(releaseId)}-1`,
    setupId: house.setupId,
    ...changes,
  });
  send(house.db, 'publish', { releaseId, draftId, ...WORDS });
  return String(releaseId);
}

describe('Start', () => {
  it('puts the proposal on the bench as it stands, with what the model had said', async () => {
    const sent = fakeServer(DONE);
    const { user, proposal } = openStart();
    await user.click(screen.getByRole('button', { name: 'Use this recipe' }));
    await waitFor(() => expect(router.push).toHaveBeenCalledWith(expect.stringMatching(/\/pull$/)));
    const { recipe, mean } = proposal;
    expect(sent[0]!.input).toMatchObject({
      doseG: recipe.doseG,
      yieldG: recipe.yieldG,
      temperatureC: recipe.temperatureC,
      timeS: recipe.timeS,
      restDays: recipe.restDays,
      startDial: 12,
      proposed: mean,
      why: '',
    });
  });

  it('says which of several open recipes is on the bench, and takes another', async () => {
    const sent = fakeServer(DONE);
    const { user, house } = openStart({}, ({ db, releaseId, setupId }) => {
      const batchId = `${releaseId}-1`;
      send(db, 'acceptRecipe', { ...RECIPE, releaseId, batchId, setupId, style: 'soakFirst' });
    });
    const table = within(screen.getByRole('region', { name: 'Recipes of this release' }));
    const benched = table.getByText('on the bench').closest('tr')!;
    expect(within(benched).getByText('Soak first')).toBeTruthy();
    await user.click(table.getByRole('button', { name: /^Put on the bench: classic recipe/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      kind: 'useRecipe',
      input: { releaseId: house.releaseId, draftId: house.draftId },
    });
  });

  it('asks why only when a figure was overruled, and forgets on the way back', async () => {
    const { user, proposal } = openStart();
    expect(screen.queryByLabelText('In your own words')).toBeNull();
    const dose = screen.getByLabelText<HTMLInputElement>('Dose, g');
    await user.click(dose);
    await user.keyboard('{ArrowDown}');
    expect(screen.getByLabelText('In your own words')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Back to the proposal' }));
    expect(dose.value).toBe(String(proposal.recipe.doseG));
    expect(screen.queryByLabelText('In your own words')).toBeNull();
  });

  it('shows the band of every figure and calls the rules rules', () => {
    const { proposal } = openStart();
    const [low, high] = proposal.interval80.temperatureC;
    expect(screen.getByText(`likely ${low.toFixed(1)}-${high.toFixed(1)} (8 in 10)`)).toBeTruthy();
    expect(screen.getByText(/Rules only/)).toBeTruthy();
  });

  it('shows pushes that lead from the base to the proposal', async () => {
    const { user } = openStart();
    await user.click(screen.getByLabelText('Temperature'));
    expect(screen.getByText(/^Temperature: 9\d\.\d °C, likely /)).toBeTruthy();
    expect(screen.getByText('From 92.0 °C to')).toBeTruthy();
    expect(screen.getByText('Variety: dense landrace')).toBeTruthy();
  });

  it('keeps the question in the address', async () => {
    const { user } = openStart();
    await user.click(screen.getByLabelText('Soak first'));
    expect(router.push).toHaveBeenCalledWith('/releases/r/start?style=soakFirst', {
      scroll: false,
    });
  });

  it('sets a second style beside the first, with what differs', () => {
    const { start } = openStart({ beside: 'soakFirst' });
    const table = screen.getByRole('region', { name: 'Two styles side by side' });
    const time = within(table).getByText('Time').closest('tr')!.textContent;
    expect(time).toContain(
      `${Math.round(start.beside!.recipe.timeS[0] + start.beside!.recipe.timeS[1]) / 2} s`,
    );
    expect(within(table).getByText(/fill fast, pause/)).toBeTruthy();
    expect(screen.getByText(/cannot make soak first/)).toBeTruthy();
  });

  it('moves with what is supposed, and leads back', async () => {
    const { user, start } = openStart({ ifRoast: '1' });
    expect(start.whatIf!.recipe.ratio).toBeLessThan(start.proposal.recipe.ratio);
    const table = screen.getByRole('region', { name: 'What if' });
    expect(within(table).getByText('Temperature').closest('tr')!.textContent).toMatch(/−2\.0$/);
    await user.click(screen.getByRole('button', { name: 'Back to what is known' }));
    expect(router.push).toHaveBeenCalledWith('/releases/r/start?', { scroll: false });
  });

  it('ignores what cannot be asked', () => {
    const { start } = openStart({
      ifRoast: 'dark',
      ifRest: '-3',
      beside: 'nosuch',
      from: 'nobody',
    });
    expect(start).toMatchObject({ whatIf: null, beside: null, comingFrom: null });
    expect(screen.queryByRole('region', { name: 'What if' })).toBeNull();
  });

  it('splits each push into rule and learned once the house has published, and names its evidence', () => {
    const { start } = openStart({}, (house) => {
      for (let i = 0; i < 5; i++) addPast(house, `Past ${i}`, { temperatureC: 90, yieldG: 45 });
    });
    expect(start.proposal).toMatchObject({ rulesOnly: false, releases: 5 });
    expect(screen.getByText('Learned')).toBeTruthy();
    expect(screen.getByText(/moved by 5 releases of your own, older ones less/)).toBeTruthy();
    const influential = screen.getByRole('region', { name: 'Most influential past releases' });
    const link = within(influential).getByRole('link', { name: 'Past 4' });
    expect(link.getAttribute('href')).toBe(
      `/releases/${start.evidence.ratio.find(({ name }) => name === 'Past 4')!.releaseId}`,
    );
    expect(screen.getByRole('region', { name: 'Nearest past releases' })).toBeTruthy();
  });

  it('gives the changes from the coffee on the bench now, its dial on the same grinder included', () => {
    const house = houseWith();
    const otherId = addPast(house, 'Cerro', { startDial: 15 });
    const reader = { today: TODAY, units: METRIC };
    const found = readStart(
      house.db,
      findHouse(house.db)!,
      house.view(),
      { from: otherId },
      reader,
    );
    const { dial, changes } = found.comingFrom!;
    expect(dial!.from).toBe(15);
    // Finer on this grinder is a lower number, about two numbers and a half a reference step.
    expect(Math.sign(dial!.to - dial!.from)).toBe(-Math.sign(changes.grindSteps!.change));
    renderAs(<StartStage view={house.view()} start={found} />);
    expect(screen.getByRole('region', { name: 'Changes from Cerro' })).toBeTruthy();
  });
});
