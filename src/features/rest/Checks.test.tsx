import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { RestView } from '@/views/rest';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { Checks } from './Checks';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const asked = { id: 'k', day: '2026-05-21', why: 'two cafés run fast' };
const REST = {
  checks: [
    { kind: 'opens', day: '2026-05-14', state: 'missed', shots: 0, cups: 0 },
    { kind: 'asked', day: '2026-05-21', asked, state: 'overdue', shots: 0, cups: 0 },
  ],
  elsewhere: [{ id: 'e', day: '2026-05-23', why: '', roastDate: '2026-05-02' }],
  askOn: '2026-05-22',
  room: { kept: [], dropped: [], neededG: 0, shortG: 0, gramsEach: 40, leftG: null },
} as unknown as RestView;

const BATCHES = [
  { id: 'b2', roastDate: '2026-05-08' },
  { id: 'b1', roastDate: '2026-05-02' },
];
const shown = (more: Partial<Parameters<typeof Checks>[0]> = {}) => (
  <Checks
    rest={REST}
    roastDate="2026-05-08"
    releaseId="r"
    batchId="b2"
    batches={BATCHES}
    asking={null}
    {...more}
  />
);

describe('checks of a batch', () => {
  it('say what was asked for, of which batch, and that it is overdue', () => {
    renderAs(shown());
    const row = within(screen.getByRole('row', { name: /Asked for: two cafés run fast/ }));
    expect(row.getByText('overdue')).toBeTruthy();
    expect(screen.getByText(/Batch of 2 May 2026, 23 May 2026,/)).toBeTruthy();
  });

  it('are asked for in two presses, on the day that is offered', async () => {
    const sent = fakeServer(DONE);
    renderAs(shown());
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Ask for a check' }));
    await user.click(screen.getByRole('button', { name: 'Ask for it' }));
    expect(sent[0]).toMatchObject({
      kind: 'askRecheck',
      input: { batchId: 'b2', recheck: { day: '2026-05-22' } },
    });
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
  });

  it('open with what led here, and keep what was typed when they are refused', async () => {
    const faults = [{ field: 'day', message: '22 May 2026 is asked for already.' }];
    const sent = fakeServer({ status: 409, body: { code: 'conflict', faults } });
    renderAs(shown({ asking: { batchId: 'b1', why: 'From the cafés' } }));
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('Why'), ': fast');
    await user.click(screen.getByRole('button', { name: 'Ask for it' }));
    expect(sent[0]).toMatchObject({
      input: { batchId: 'b1', recheck: { why: 'From the cafés: fast' } },
    });
    expect(await screen.findByText(/asked for already/)).toBeTruthy();
    expect(screen.getByLabelText('Why')).toHaveProperty('value', 'From the cafés: fast');
  });

  it('are deleted by the lead, and asked for or deleted by no reader', async () => {
    const sent = fakeServer(DONE);
    const { unmount } = renderAs(shown());
    await userEvent
      .setup()
      .click(screen.getByRole('button', { name: /Delete the check of 21 May/ }));
    expect(sent[0]).toMatchObject({ kind: 'remove', input: { what: 'recheck', id: 'k' } });
    unmount();
    renderAs(shown(), { role: 'reader' });
    expect(screen.queryByRole('button')).toBeNull();
  });
});
