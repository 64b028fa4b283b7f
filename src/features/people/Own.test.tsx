import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { useKeys } from '@/ui/useKeys';
import { Own } from './Own';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

function open() {
  const pressed: string[] = [];
  function Page() {
    useKeys({
      h: { words: 'Today', act: () => pressed.push('today') },
      f: { words: 'Find', act: () => pressed.push('find') },
    });
    return <Own />;
  }
  renderAs(<Page />);
  return { user: userEvent.setup(), pressed };
}

describe('one’s own keys', () => {
  it('a letter is moved to another, and leaves its old one', async () => {
    const { user, pressed } = open();
    await user.click(screen.getByRole('button', { name: 'Which letter does what' }));
    await user.type(screen.getByLabelText('Today'), 't');
    expect(screen.getByLabelText('Today')).toHaveProperty('value', 'T');
    await user.click(document.body);
    await user.keyboard('htf');
    expect(pressed).toEqual(['today', 'find']);
  });

  it('a letter that is taken is refused, with whose it is and what to do', async () => {
    const { user, pressed } = open();
    await user.click(screen.getByRole('button', { name: 'Which letter does what' }));
    await user.type(screen.getByLabelText('Today'), 'f');
    expect(screen.getByText(/F is taken: Find\. Choose another letter/)).toBeTruthy();
    await user.type(screen.getByLabelText('Find'), '7');
    expect(screen.getByText('Choose one letter, A to Z.')).toBeTruthy();
    await user.click(document.body);
    await user.keyboard('hf');
    expect(pressed).toEqual(['today', 'find']);
  });
});

it('light, dark and density change at once and go back', async () => {
  const { user } = open();
  const { dataset } = document.documentElement;
  await user.click(screen.getByLabelText('dark'));
  await user.click(screen.getByLabelText('dense'));
  expect([dataset.theme, dataset.density]).toEqual(['dark', 'dense']);
  await user.click(screen.getByLabelText('as the system'));
  await user.click(screen.getByLabelText('roomy'));
  expect([dataset.theme, dataset.density]).toEqual([undefined, undefined]);
});
