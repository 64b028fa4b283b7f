import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { Fault } from '@/core/errors';
import { renderAs } from '../../tests/support/render';
import { Faults } from './Faults';
import { QuantityInput, TextInput } from './fields';

function Form({ refused }: { refused: readonly Fault[] }) {
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const faultOf = (name: string) => faults.find(({ field }) => field === name)?.message;
  const field = (name: string) => ({ value: '', onChange: () => {}, fault: faultOf(name) });
  return (
    <form aria-label="Form">
      <TextInput label="Name" {...field('name')} />
      <QuantityInput label="Dose" quantity="doseG" step={0.1} {...field('doseG')} />
      <TextInput label="Remark" {...field('remark')} />
      <Faults faults={faults} shown={['name', 'doseG', 'remark']} />
      <button type="button" onClick={() => setFaults(refused)}>
        Save
      </button>
    </form>
  );
}

async function refuse(refused: readonly Fault[]) {
  renderAs(<Form refused={refused} />);
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'Save' }));
  return user;
}

const DOSE = { field: 'doseG', message: 'Dose is missing.' };
const REMARK = { field: 'remark', message: 'Remark is too long.' };

describe('a refused form', () => {
  it('has the focus on its first wrong field, which says why', async () => {
    await refuse([DOSE]);
    const dose = screen.getByLabelText('Dose, g');
    expect(document.activeElement).toBe(dose);
    expect(dose.getAttribute('aria-describedby')).toBeTruthy();
    expect(screen.queryByText(/fields need you/)).toBeNull();
  });

  it('lists several in an announced summary whose links go there', async () => {
    const user = await refuse([DOSE, REMARK]);
    const summary = within(screen.getByRole('alert'));
    expect(summary.getAllByRole('link').map(({ textContent }) => textContent)).toEqual([
      'Dose, g',
      'Remark',
    ]);
    await user.click(summary.getByRole('link', { name: 'Remark' }));
    expect(document.activeElement).toBe(screen.getByLabelText('Remark'));
  });

  it('says what belongs to no field, and moves nothing', async () => {
    await refuse([{ field: '', message: 'The disk is full.' }]);
    expect(screen.getByRole('alert').textContent).toBe('The disk is full.');
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Save' }));
  });
});
