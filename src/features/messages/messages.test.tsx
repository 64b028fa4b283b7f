import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Message, Remark } from '@/data/messages';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { MessagesPage } from './MessagesPage';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const MESSAGE: Message = {
  id: 'm',
  rowVersion: 2,
  releaseId: 'r',
  release: 'Dembi Ridge',
  versionNumber: 3,
  audience: 'partners',
  partner: null,
  partnerId: null,
  subject: 'Dembi Ridge: version 3 of the recipe',
  body: 'Dose 18.0 g',
  madeAt: '2026-05-20T06:00:00.000Z',
  madeBy: 'Ines',
  filedAt: null,
};
const REMARK: Remark = {
  id: 'q',
  releaseId: 'r',
  release: 'Dembi Ridge',
  versionNumber: 3,
  language: 'de',
  words: 'Etwas sauer.',
  saidAt: '2026-05-20T06:00:00.000Z',
  settledAt: null,
};

describe('messages', () => {
  it('are changed before they are told, and filed once they are', async () => {
    const sent = fakeServer(DONE);
    renderAs(<MessagesPage messages={[MESSAGE]} remarks={[]} />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Change' }));
    await user.type(screen.getByLabelText('Message'), ', finer');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await user.click(await screen.findByRole('button', { name: 'File it: they know' }));
    expect(sent.map(({ kind, input }) => [kind, input])).toEqual([
      [
        'editMessage',
        { messageId: 'm', rowVersion: 2, subject: MESSAGE.subject, body: 'Dose 18.0 g, finer' },
      ],
      ['fileMessage', { messageId: 'm' }],
    ]);
  });

  it('say that nothing is sent, and what to do where there are none', () => {
    renderAs(<MessagesPage messages={[]} remarks={[]} />);
    expect(screen.getByText(/Nothing is sent from here/)).toBeTruthy();
    expect(screen.getByText(/Publish a recipe, and what partners/)).toBeTruthy();
    expect(screen.getByText(/Every public card has a place for one/)).toBeTruthy();
  });

  it('a remark stands in its own language, and is settled by whoever stands at the bench', async () => {
    const sent = fakeServer(DONE);
    renderAs(<MessagesPage messages={[MESSAGE]} remarks={[REMARK]} />, { role: 'bench' });
    const words = screen.getByText('Etwas sauer.');
    expect(words.getAttribute('lang')).toBe('de-DE');
    expect(screen.queryByRole('button', { name: 'Change' })).toBeNull();
    const entry = within(words.closest('li')!);
    await userEvent.setup().click(entry.getByRole('button', { name: 'Settled' }));
    expect(sent[0]).toMatchObject({ kind: 'settleRemark', input: { remarkId: 'q' } });
  });
});
