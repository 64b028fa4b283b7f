import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { UndoBar } from '@/ui/undo';
import { PullStage } from './PullStage';

jest.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/releases/r/pull',
}));

function openBench(...shots: Record<string, unknown>[]) {
  const { view, pull, releaseId } = houseWith(...shots);
  renderAs(
    <>
      <PullStage
        bench={view().bench}
        pull={pull()}
        releaseId={releaseId}
        newBatch={null}
        price={null}
      />
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
    expect(screen.getByRole('status').textContent).toMatch(/The dial moves 12 → .*purge 1\.0 g/);
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

  it('deletes the last shot with U and offers to put it back', async () => {
    const sent = fakeServer(DONE);
    const { user, view } = openBench({}, {});
    await user.keyboard('u');
    await user.click(await screen.findByRole('button', { name: /^Undo/ }));
    const { id } = view().bench!.shots.at(-1)!;
    expect(sent.map(({ kind, input }) => [kind, input.shotId])).toEqual([
      ['removeShot', id],
      ['restoreShot', id],
    ]);
  });
});

describe('faults at the bench', () => {
  it('keeps a shot that was not reached, says so, and sends it by itself under the same id', async () => {
    const sent = fakeServer('lost', DONE);
    const { user } = openBench();
    await user.type(field('Time, s'), '27,4');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    const notice = await screen.findByText(/1 shot waits/);
    expect(notice.parentElement!.textContent).toMatch(/27.4 s.*not reached.*goes up by itself/);
    // It is logged as far as the bench is concerned: the next one begins afresh.
    expect(field('Time, s').value).toBe('');
    await waitFor(() => expect(sent).toHaveLength(2), { timeout: 5000 });
    expect(sent[1]).toEqual(sent[0]);
    expect(sent[0]!.input.timeS).toBe(27.4);
    await waitFor(() => expect(screen.queryByText(/1 shot waits/)).toBeNull());
    expect(router.refresh).toHaveBeenCalled();
  });

  it('sends what waited in order, each once', async () => {
    const away = fakeServer('lost');
    const { user } = openBench();
    for (const timeS of ['25', '26', '27']) {
      await user.type(field('Time, s'), timeS);
      await user.click(screen.getByRole('button', { name: 'Log it' }));
      await waitFor(() => expect(field('Time, s').value).toBe(''));
    }
    expect((await screen.findByText(/3 shots wait/)).parentElement!.textContent).toMatch(
      /25 s · .*26 s · .*27 s/,
    );
    const back = fakeServer(DONE);
    await waitFor(() => expect(screen.queryByText(/shots? waits?/)).toBeNull(), { timeout: 8000 });
    const sent = [...away, ...back];
    const taken = [...new Map(sent.map(({ id, input }) => [id, input.timeS])).values()];
    expect(taken).toEqual([25, 26, 27]);
    expect(back.map(({ input }) => input.timeS)).toEqual([25, 26, 27]);
  });

  it('keeps a shot that is refused after it waited, until somebody settles it', async () => {
    fakeServer('lost', {
      status: 404,
      body: { faults: [{ field: 'draftId', message: 'The recipe on the bench is gone.' }] },
    });
    const { user } = openBench();
    await user.type(field('Time, s'), '27');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect(
      await screen.findByText(/would not take.*recipe on the bench is gone.*kept here/, undefined, {
        timeout: 5000,
      }),
    ).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Give it up' }));
    await waitFor(() => expect(screen.queryByText(/would not take/)).toBeNull());
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

  it('says what is missing or out of range without asking the server', async () => {
    const sent = fakeServer(DONE);
    const { user } = openBench();
    await user.clear(field('Dose, g'));
    await user.type(field('Dose, g'), '180');
    await user.click(screen.getByRole('button', { name: 'Log it' }));
    expect(screen.getByText('Dose 180 g is outside 3-40 g. Enter 3-40 g.')).toBeTruthy();
    expect(screen.getByText('Time is missing. Enter 1-180 s.')).toBeTruthy();
    expect(sent).toHaveLength(0);
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
    await user.type(field('Time, s'), '27');
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
    renderAs(<PullStage newBatch={null} bench={null} pull={null} releaseId="r1" price={null} />);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/releases/r1/start');
  });
});
