import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Role } from '@/core/roles';
import { findHouse } from '@/data/house';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { RECIPE, send, TODAY, WORDS } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { PublishStage } from './PublishStage';
import { publishStageOf } from './stageOf';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

/** The stage as its page puts it together. */
function openStage(house: ViewedHouse, role: Role = 'lead') {
  const stage = publishStageOf(house.db, findHouse(house.db)!, house.view(), { today: TODAY });
  renderAs(<PublishStage {...stage} />, { role });
  return userEvent.setup();
}

function published(): ViewedHouse {
  const house = houseWith({}, {});
  const { db, releaseId, setupId, draftId } = house;
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  send(db, 'acceptRecipe', {
    ...RECIPE,
    releaseId,
    setupId,
    batchId: `${releaseId}-1`,
    yieldG: 40,
  });
  return house;
}

type User = ReturnType<typeof openStage>;

async function writeTheRest(user: User) {
  await user.type(screen.getByLabelText('When short, and what to do'), 'Sharp.');
  await user.type(screen.getByLabelText('When long, and what to do'), 'Thin.');
}

async function writeAll(user: User) {
  const why = within(screen.getByRole('region', { name: 'Readiness' }));
  await user.type(why.getByLabelText('Publish all the same, because'), 'alone today');
  await user.type(screen.getByLabelText('How it tastes when right'), 'Apricot.');
  await writeTheRest(user);
}

describe('Publish', () => {
  it('asks why for each gap, asks once before it leaves the house, and sends both', async () => {
    const sent = fakeServer(DONE);
    const user = openStage(houseWith({}, {}));
    const gates = within(screen.getByRole('region', { name: 'Readiness' }));
    expect(gates.getByText(/that it holds the window/).parentElement!.textContent).toMatch(
      /✓ stands/,
    );
    await user.type(gates.getByLabelText('Publish all the same, because'), 'alone today');
    await user.type(screen.getByLabelText('How it tastes when right'), 'Apricot.');
    await user.click(screen.getByRole('button', { name: 'Publish version 1' }));
    // What is missing is said before the question is asked.
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(screen.getByText('When short, and what to do is empty.', { exact: false })).toBeTruthy();
    await writeTheRest(user);
    await user.click(screen.getByRole('button', { name: 'Publish version 1' }));
    expect(sent).toHaveLength(0);
    const dialog = await screen.findByRole('dialog');
    expect(dialog.textContent).toMatch(
      /Dembi Ridge: 18\.0 → 36\.0 g in 26-30 s from the pump at 93\.0 °C.*never changes/,
    );
    await user.click(within(dialog).getByRole('button', { name: 'Publish' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      kind: 'publish',
      input: { right: 'Apricot.', passed: { tasted: 'alone today' } },
    });
  });

  it('sends nothing when the answer is not yet', async () => {
    const sent = fakeServer(DONE);
    const user = openStage(houseWith({}, {}));
    await writeAll(user);
    await user.click(screen.getByRole('button', { name: 'Publish version 1' }));
    await user.click(within(await screen.findByRole('dialog')).getByText('Cancel'));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent).toHaveLength(0);
  });

  it('puts a refused gate at its own field', async () => {
    const message = 'Tasted by two: nobody. Mend it, or say why it is passed.';
    fakeServer({ status: 400, body: { faults: [{ field: 'passed.tasted', message }] } });
    const user = openStage(houseWith({}, {}));
    await writeAll(user);
    await user.click(screen.getByRole('button', { name: 'Publish version 1' }));
    await user.click(within(await screen.findByRole('dialog')).getByText('Publish'));
    const field = await screen.findByLabelText('Publish all the same, because');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(
      document.getElementById(field.getAttribute('aria-describedby')!.split(' ').at(-1)!)!
        .textContent,
    ).toBe(message);
  });

  it('shows what differs from the last version, with both figures', () => {
    openStage(published());
    const table = within(screen.getByRole('region', { name: 'Differences from version 1' }));
    expect(table.getByRole('row', { name: 'In the cup 36.0 g 40.0 g' })).toBeTruthy();
    expect(table.getByRole('row', { name: 'Ratio 1:2.00 1:2.22' })).toBeTruthy();
    expect(screen.getByText('Version 1, 20 May 2026, by Ines')).toBeTruthy();
  });

  it('withdraws with the words its page will say', async () => {
    const sent = fakeServer(DONE);
    const user = openStage(published());
    expect(screen.getByRole('link', { name: 'Card on paper (PDF)' }).getAttribute('href')).toMatch(
      /^\/p\/[\w-]{24}\/card\.pdf$/,
    );
    await user.click(screen.getByRole('button', { name: 'Withdraw it' }));
    await user.type(await screen.findByLabelText('What the page says about it'), 'Sold out.');
    await user.click(screen.getByRole('button', { name: 'Withdraw it now' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ kind: 'withdraw', input: { why: 'Sold out.' } });
  });

  it('shows a bench hand the card and the gates, and nothing that publishes', () => {
    openStage(published(), 'bench');
    expect(screen.getByText('Only the lead publishes.', { exact: false })).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Dembi Ridge' })).toBeTruthy();
    const pressed = screen.queryAllByRole('button').map(({ textContent }) => textContent);
    // Whoever stands at the printer says what was printed.
    expect(new Set(pressed)).toEqual(new Set(['Note as printed']));
  });
});
