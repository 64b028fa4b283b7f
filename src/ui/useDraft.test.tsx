import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderAs } from '../../tests/support/render';
import { DraftNotice } from './DraftNotice';
import { TextInput } from './fields';
import { useRowForm } from './useRowForm';

interface Row {
  readonly text: { readonly remark: string; readonly name: string };
  readonly rowVersion: number;
}
const ROW: Row = { text: { remark: '', name: 'Río Alto' }, rowVersion: 1 };

function Form({ row, name }: { row: Row; name: string }) {
  const form = useRowForm(row, () => undefined, name);
  return (
    <>
      <DraftNotice draft={form.draft} />
      <TextInput label="Remark" {...form.bind('remark')} />
      <TextInput label="Name" {...form.bind('name')} />
      <button onClick={form.draft.forget}>Saved</button>
      <output>{form.clashes.map(({ field }) => field).join()}</output>
    </>
  );
}

const open = (row = ROW, name = 'row 1') => renderAs(<Form row={row} name={name} />);
const remark = () => screen.getByLabelText<HTMLInputElement>('Remark').value;
const isBack = () => waitFor(() => expect(screen.getByText(/is here again/)).toBeTruthy());

/** A draft is looked for in the next turn of the clock: a turn asked for later comes after it. */
const lookedFor = () => act(() => new Promise((resolve) => setTimeout(resolve)));

beforeEach(() => localStorage.clear());
afterEach(() => jest.restoreAllMocks());

describe('what was typed and not sent', () => {
  it('is there again the next time, and can be let go', async () => {
    const user = userEvent.setup();
    const first = open();
    await user.type(screen.getByLabelText('Remark'), 'half a wor');
    first.unmount();
    const second = open();
    await isBack();
    expect(remark()).toBe('half a wor');
    await user.click(screen.getByRole('button', { name: 'Start again' }));
    expect([remark(), screen.queryByText(/is here again/)]).toEqual(['', null]);
    second.unmount();
    open();
    await lookedFor();
    expect(remark()).toBe('');
  });

  it('is gone once it was sent, and is another row’s never', async () => {
    const user = userEvent.setup();
    const first = open();
    await user.type(screen.getByLabelText('Remark'), 'done');
    const other = open(ROW, 'row 2');
    await lookedFor();
    expect(screen.queryByText(/is here again/)).toBeNull();
    other.unmount();
    await user.click(screen.getByRole('button', { name: 'Saved' }));
    first.unmount();
    open();
    await lookedFor();
    expect(remark()).toBe('');
  });

  it('is merged with what somebody else made of the row meanwhile', async () => {
    const user = userEvent.setup();
    const first = open();
    await user.type(screen.getByLabelText('Remark'), 'mine');
    first.unmount();
    open({ text: { remark: 'theirs', name: 'Río Bajo' }, rowVersion: 2 });
    await isBack();
    expect(remark()).toBe('mine');
    // What was left alone follows the row; what both changed is shown with both.
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Río Bajo');
    expect(document.querySelector('output')!.textContent).toBe('remark');
  });

  it('says so where the browser keeps nothing, and work goes on', async () => {
    const user = userEvent.setup();
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    open();
    await user.type(screen.getByLabelText('Remark'), 'x');
    expect(screen.getByText(/keeps no drafts/)).toBeTruthy();
    expect(remark()).toBe('x');
  });
});
