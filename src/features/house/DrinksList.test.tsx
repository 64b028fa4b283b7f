import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { USUAL_DRINKS } from '@/core/fits/drinks';
import { renderAs } from '../../../tests/support/render';
import { DrinksList } from './DrinksList';
import type { DrinkText } from './houseText';

function open(faults: Readonly<Record<string, string>> = {}) {
  let kept: readonly DrinkText[] = [];
  function Form() {
    const [drinks, setDrinks] = useState<readonly DrinkText[]>(
      USUAL_DRINKS.map(({ cupMl, shots, ...drink }) => ({
        ...drink,
        cupMl: String(cupMl),
        shots: String(shots),
      })),
    );
    kept = drinks;
    return <DrinksList drinks={drinks} onChange={setDrinks} faultOf={(field) => faults[field]} />;
  }
  renderAs(<Form />);
  return { user: userEvent.setup(), kept: () => kept };
}

describe('the cups of the bar', () => {
  it('are changed, added and removed, each in its own row', async () => {
    const { user, kept } = open();
    const espresso = within(screen.getByRole('group', { name: 'Espresso' }));
    await user.clear(espresso.getByLabelText(/^Cup/));
    await user.type(espresso.getByLabelText(/^Cup/), '90');
    await user.selectOptions(espresso.getByLabelText('Takes'), 'half the recipe');
    await user.click(screen.getByRole('button', { name: 'Remove Cappuccino' }));
    await user.click(screen.getByRole('button', { name: 'Add a drink' }));
    await user.type(
      within(screen.getByRole('group', { name: 'Drink 3' })).getByLabelText('Drink'),
      'Flat white',
    );
    expect(kept()).toEqual([
      { name: 'Espresso', cupMl: '90', shots: '0.5', fill: 'none' },
      { name: 'Long black', cupMl: '200', shots: '1', fill: 'water' },
      { name: 'Flat white', cupMl: '', shots: '1', fill: 'milk' },
    ]);
  });

  it('say a fault where it is', () => {
    open({ 'drinks.1.cupMl': 'Cup 5 ml is outside 20-1000 ml.' });
    const row = within(screen.getByRole('group', { name: 'Cappuccino' }));
    expect(row.getByText('Cup 5 ml is outside 20-1000 ml.')).toBeTruthy();
  });
});
