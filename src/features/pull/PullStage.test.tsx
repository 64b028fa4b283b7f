import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { UndoBar } from '@/ui/undo';
import { PullStage } from './PullStage';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

function openBench(...shots: Record<string, unknown>[]) {
  const { view, releaseId } = houseWith(...shots);
  renderAs(
    <>
      <PullStage bench={view().bench} releaseId={releaseId} price={null} />
      <UndoBar />
    </>,
  );
  return { user: userEvent.setup(), view };
}

beforeEach(() => jest.clearAllMocks());

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

describe('the bench by keyboard', () => {
  it('times a shot with the space bar alone and logs it with Enter', async () => {
    const sent = fakeServer(DONE);
    const { user, view } = openBench();
    const clock = jest.spyOn(performance, 'now');
    for (const at of [1000, 7000, 29_100]) {
      clock.mockReturnValue(at);
      await user.keyboard(' ');
    }
    clock.mockRestore();
    expect(field('Time, s').value).toBe('28.1');
    expect(field('First drip, s').value).toBe('6.0');
    expect(document.activeElement).toBe(field('Yield, g'));
    await user.keyboard('{Enter}');
    await waitFor(() => expect(router.refresh).toHaveBeenCalled());
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({
      kind: 'logShot',
      input: {
        draftId: view().bench!.draft.id,
        dial: 12,
        doseG: 18,
        yieldG: 36,
        timeS: 28.1,
        firstDripS: 6,
      },
    });
  });

  it('reaches the figures with N and ticks the purge with P', async () => {
    const { user } = openBench({ timeS: 22 });
    await user.keyboard('n');
    expect(document.activeElement).toBe(field('Dial'));
    expect(screen.getByRole('status').textContent).toMatch(/The dial moves 12 → .*purge 4\.0 g/);
    await user.keyboard('{Escape}p');
    expect(screen.getByLabelText<HTMLInputElement>(/^Purged/).checked).toBe(true);
    expect(screen.queryByText(/The dial moves/)).toBeNull();
  });

  it('does not take Enter on a link or button for a shot', async () => {
    const sent = fakeServer(DONE);
    const { user } = openBench({});
    act(() => screen.getByRole('button', { name: /^Clock/ }).focus());
    await user.keyboard('{Enter}');
    expect(sent).toHaveLength(0);
  });

  it('takes the last shot back with U and offers to put it back', async () => {
    const sent = fakeServer(DONE);
    const { user, view } = openBench({}, {});
    await user.keyboard('u');
    await user.click(await screen.findByRole('button', { name: /Put it back/ }));
    const { id } = view().bench!.shots.at(-1)!;
    expect(sent.map(({ kind, input }) => [kind, input.shotId])).toEqual([
      ['removeShot', id],
      ['restoreShot', id],
    ]);
  });
});

describe('faults at the bench', () => {
  it('keeps a lost entry and sends it again under the same id', async () => {
    const sent = fakeServer('lost', DONE);
    const { user } = openBench();
    await user.type(field('Time, s'), '27,4');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/not reached.*kept here/);
    expect(field('Time, s').value).toBe('27,4');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toEqual(sent[0]);
    expect(sent[0]!.input.timeS).toBe(27.4);
  });

  it('takes a second Enter before the answer for the same press', async () => {
    const sent = fakeServer(DONE);
    const { user } = openBench();
    await user.type(field('Time, s'), '28');
    fireEvent.submit(screen.getByRole('form', { name: 'Shot' }));
    fireEvent.submit(screen.getByRole('form', { name: 'Shot' }));
    await waitFor(() => expect(router.refresh).toHaveBeenCalled());
    expect(sent).toHaveLength(1);
  });

  it('makes a new id once the entry was changed', async () => {
    const sent = fakeServer('lost', DONE);
    const { user } = openBench();
    await user.type(field('Time, s'), '27');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    await screen.findByText(/not reached/);
    await user.type(field('Time, s'), '.5');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]!.id).not.toBe(sent[0]!.id);
  });

  it('puts a fault at its field and the others in one place', async () => {
    fakeServer({
      status: 400,
      body: {
        faults: [
          { field: 'doseG', message: 'Dose 90 g is outside 3-40 g. Enter 3-40 g.' },
          { field: 'draftId', message: 'The recipe on the bench is gone. Reload the page.' },
        ],
      },
    });
    const { user } = openBench();
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect((await screen.findByText(/Dose 90 g/)).textContent).toMatch(/Enter 3-40 g/);
    expect(screen.getByRole('alert').textContent).toBe(
      'The recipe on the bench is gone. Reload the page.',
    );
  });
});

describe('what the bench shows', () => {
  it('warns of the pressure behind a choked puck', async () => {
    const { user } = openBench();
    await user.click(screen.getByLabelText('Choked'));
    expect(screen.getByText(/Wait for it to vent before you loosen the portafilter/)).toBeTruthy();
  });

  it('says what a dial-in has cost', () => {
    openBench({ timeS: 22 }, { dial: 11, purged: true });
    expect(screen.getByText(/Ledger: 2 shots, 40 g of coffee spent/)).toBeTruthy();
  });

  it('points to Start while there is no recipe', () => {
    renderAs(<PullStage bench={null} releaseId="r1" price={null} />);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/releases/r1/start');
  });
});
