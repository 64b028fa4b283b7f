import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderAs } from '../../../tests/support/render';
import { ColourReading } from './ColourReading';

it('reads the simulated meter, says that it is made up, and scatters from reading to reading', async () => {
  const onRead = jest.fn<void, [number]>();
  renderAs(<ColourReading roastLevel={0} onRead={onRead} />);
  const user = userEvent.setup();
  const button = screen.getByRole('button', { name: 'Read the colour meter' });
  expect(screen.queryByText(/Made up/)).toBeNull();
  for (let reading = 1; reading <= 4; reading++) {
    await user.click(button);
    await waitFor(() => expect(onRead).toHaveBeenCalledTimes(reading));
  }
  expect(screen.getByText(/Made up by the simulated meter/)).toBeTruthy();
  const read = onRead.mock.calls.map(([colour]) => colour);
  expect(new Set(read).size).toBeGreaterThan(1);
  expect(Math.max(...read) - Math.min(...read)).toBeLessThan(10);
});
