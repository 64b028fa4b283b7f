import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BagView } from '@/views/rest';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { Bags } from './Bags';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const bag = (more: Partial<BagView>): BagView => ({
  id: 'a',
  rowVersion: 3,
  label: 'A',
  bagG: 250,
  place: 'shelf',
  frozenOn: undefined,
  thawedOn: undefined,
  spentG: 40,
  leftG: 210,
  isOpen: false,
  isFrozen: false,
  keptFor: [],
  ...more,
});
const rowOf = (label: RegExp) => within(screen.getByRole('row', { name: label }));

describe('bags set aside', () => {
  it('say what is left, what is frozen, and what each is held back for', () => {
    renderAs(
      <Bags
        batchId="b"
        bags={[
          bag({ isOpen: true, keptFor: ['opens', 'fades'] }),
          bag({ id: 'c', label: 'C', frozenOn: '2026-05-10' }),
        ]}
      />,
    );
    expect(rowOf(/^A, in use/).getByText('as it opens, as it fades')).toBeTruthy();
    expect(rowOf(/^A, in use/).getByText(/210.*of.*250/)).toBeTruthy();
    expect(rowOf(/^C/).getByText('since 10 May 2026')).toBeTruthy();
  });

  it('are taken into use, and put away again', async () => {
    const sent = fakeServer(DONE);
    renderAs(<Bags batchId="b" bags={[bag({}), bag({ id: 'c', label: 'C', isOpen: true })]} />);
    const user = userEvent.setup();
    await user.click(rowOf(/^A/).getByRole('button', { name: 'Use this bag' }));
    await user.click(rowOf(/^C/).getByRole('button', { name: 'Put it away' }));
    expect(sent.map(({ kind, input }) => [kind, input])).toEqual([
      ['openSample', { batchId: 'b', sampleId: 'a' }],
      ['openSample', { batchId: 'b', sampleId: null }],
    ]);
  });

  it('are set aside by a form that keeps what was typed when it is refused', async () => {
    const faults = [{ field: 'bagG', message: 'The bags would hold 450 g. Enter at most 150 g.' }];
    const sent = fakeServer({ status: 400, body: { code: 'badInput', faults } });
    renderAs(<Bags batchId="b" bags={[]} />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Set a bag aside' }));
    await user.type(screen.getByLabelText('Bag'), 'B');
    await user.type(screen.getByLabelText(/Grams in the bag/), '200');
    await user.click(screen.getByRole('button', { name: 'Set it aside' }));
    expect(sent[0]).toMatchObject({
      kind: 'saveSample',
      input: { batchId: 'b', sample: { label: 'B', bagG: 200 } },
    });
    expect(await screen.findByText(/Enter at most 150 g/)).toBeTruthy();
    expect(screen.getByLabelText('Bag')).toHaveProperty('value', 'B');
  });

  it('are only looked at by a reader', () => {
    renderAs(<Bags batchId="b" bags={[bag({})]} />, { role: 'reader' });
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});
