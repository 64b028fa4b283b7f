import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { renderAs } from '../../tests/support/render';
import { DayInput } from './DayInput';

async function open(start = '', fault?: string) {
  const kept: string[] = [];
  function Form() {
    const [value, setValue] = useState(start);
    return (
      <>
        <DayInput
          label="Roast date"
          value={value}
          fault={fault}
          onChange={(day) => {
            kept.push(day);
            setValue(day);
          }}
        />
        <button onClick={() => setValue('2026-05-06')}>Today</button>
      </>
    );
  }
  renderAs(<Form />);
  const user = userEvent.setup();
  await user.keyboard('{Shift}');
  const field = within(await screen.findByRole('group', { name: 'Roast date' }));
  const shown = () => field.getAllByRole('spinbutton').map(({ textContent }) => textContent);
  return { kept, field, shown, user };
}

describe('a day', () => {
  it('is typed figure by figure, and is none before its year is whole', async () => {
    const { kept, field, shown, user } = await open();
    await user.click(field.getAllByRole('spinbutton')[0]!);
    await user.keyboard('05122');
    expect(kept.at(-1) ?? '').toBe('');
    await user.keyboard('026');
    expect(shown()).toEqual(['05', '12', '2026']);
    expect(kept.at(-1)).toBe('2026-05-12');
  });

  it('follows the form when something else changes it', async () => {
    const { shown, user } = await open('2026-04-01');
    expect(shown()).toEqual(['04', '01', '2026']);
    await user.click(screen.getByRole('button', { name: 'Today' }));
    expect(shown()).toEqual(['05', '06', '2026']);
  });

  it('is picked from a month, and says its fault', async () => {
    const { kept, field, user } = await open('2026-05-12', 'Roast date is in the future.');
    expect(screen.getByText('Roast date is in the future.')).toBeTruthy();
    await user.click(field.getByRole('button'));
    await user.click(await screen.findByRole('button', { name: /May 20, 2026/ }));
    expect(kept.at(-1)).toBe('2026-05-20');
  });
});
