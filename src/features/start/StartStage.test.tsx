import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { propose } from '@/core/start/propose';
import { listSetups } from '@/data/setups';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { StartStage } from './StartStage';

jest.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/releases/r/start',
  useSearchParams: () => new URLSearchParams(),
}));

function openStart() {
  const { db, view } = houseWith();
  const setups = listSetups(db);
  const proposal = propose({
    release: view().facts,
    style: 'classic',
    temperatureSchool: 'both',
    history: [],
    setup: setups[0],
  });
  renderAs(
    <StartStage
      view={view()}
      batch={view().batch}
      proposal={proposal}
      style="classic"
      temperatureSchool="both"
      setups={setups}
      setupId={setups[0]!.id}
    />,
  );
  return { user: userEvent.setup(), proposal };
}

describe('Start', () => {
  it('puts the proposal on the bench as it stands, with what the model had said', async () => {
    const sent = fakeServer(DONE);
    const { user, proposal } = openStart();
    await user.click(screen.getByRole('button', { name: 'Put it on the bench' }));
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

  it('asks why only when a figure was overruled, and forgets on the way back', async () => {
    const { user, proposal } = openStart();
    expect(screen.queryByLabelText(/Why you overrule/)).toBeNull();
    const dose = screen.getByLabelText<HTMLInputElement>('Dose, g');
    await user.click(dose);
    await user.keyboard('{ArrowDown}');
    expect(screen.getByLabelText(/Why you overrule/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Back to the proposal' }));
    expect(dose.value).toBe(String(proposal.recipe.doseG));
    expect(screen.queryByLabelText(/Why you overrule/)).toBeNull();
  });

  it('shows the band of every figure and calls the rules rules', () => {
    const { proposal } = openStart();
    const [low, high] = proposal.interval80.temperatureC;
    expect(screen.getByText(`80 %: ${low.toFixed(1)}-${high.toFixed(1)}`)).toBeTruthy();
    expect(screen.getByText(/Rules only/)).toBeTruthy();
  });

  it('shows pushes that lead from the base to the proposal', async () => {
    const { user } = openStart();
    await user.click(screen.getByLabelText('Temperature'));
    expect(screen.getByText(/^Temperature: 9\d\.\d °C, 80 % between/)).toBeTruthy();
    expect(screen.getByText('From 92.0 °C to')).toBeTruthy();
    expect(screen.getByText('Variety: dense landrace')).toBeTruthy();
  });

  it('keeps the question in the address', async () => {
    const { user } = openStart();
    await user.click(screen.getByLabelText('Soak first'));
    expect(router.replace).toHaveBeenCalledWith('/releases/r/start?style=soakFirst', {
      scroll: false,
    });
  });
});
