/** A simulator that does not load is said so, and nothing of a screen stays mute because of it. */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { listSetups } from '@/data/setups';
import type * as Answering from '@/workers/answer';
import type { ToWorker } from '@/workers/protocol';
import { router } from '../../../tests/support/browser';
import { send, SETUP } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { PullStage } from './PullStage';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

let isBroken = true;
jest.mock('@/workers/client', () => {
  const { answer } = jest.requireActual<typeof Answering>('@/workers/answer');
  const ask = (kind: ToWorker['kind'], input: unknown) =>
    new Promise((resolve, reject) => {
      if (isBroken) return reject(new Error('The simulator did not load. Try again.'));
      answer({ kind, id: 1, input } as ToWorker, (from) => {
        if (from.kind === 'done') resolve(from.result);
      });
    });
  return { ask };
});

const clock = () => screen.getByRole('button', { name: /^Clock/ });

it('Pull with a simulated scale says what is wrong, lets the clock be worked by hand, and recovers', async () => {
  const { db, setupId, view, pull, releaseId } = houseWith();
  const { machine, grinder, basket } = listSetups(db)[0]!;
  const parts = { machineId: machine.id, grinderId: grinder.id, basketId: basket.id };
  const links = { scale: 'simulated' };
  send(db, 'saveSetup', { setupId, rowVersion: 1, setup: { name: SETUP.name, ...parts, links } });
  renderAs(
    <PullStage
      bench={view().bench}
      pull={pull()}
      releaseId={releaseId}
      newBatch={null}
      price={null}
    />,
  );
  await screen.findByText(/did not load.*clock works by hand/);
  expect(clock().hasAttribute('disabled')).toBe(false);
  fireEvent.keyDown(document.body, { key: ' ' });
  expect(clock().getAttribute('data-phase')).toBe('running');
  isBroken = false;
  await userEvent.setup().click(screen.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(screen.queryByText(/did not load/)).toBeNull());
  expect(screen.getByText(/Simulated scale ready/)).toBeTruthy();
});
