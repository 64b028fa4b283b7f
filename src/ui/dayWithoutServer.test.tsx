import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { renderAs } from '../../tests/support/render';
import { DayInput } from './DayInput';

jest.mock('./DayPicker', () => {
  throw new Error('The server is not reached.');
});

function Form() {
  const [day, setDay] = useState('2026-05-08');
  return (
    <>
      <DayInput label="Roasted on" value={day} onChange={setDay} />
      <output>{day}</output>
    </>
  );
}

it('a day can be typed where its picker cannot be fetched, and nothing else breaks', async () => {
  renderAs(<Form />);
  fireEvent.pointerMove(window);
  const field = await screen.findByDisplayValue('2026-05-08');
  await userEvent.setup().clear(field);
  await userEvent.setup().type(field, '2026-05-09');
  expect(screen.getByRole('status').textContent).toBe('2026-05-09');
});
