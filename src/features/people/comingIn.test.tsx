import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { Invited } from './Invited';
import { SignIn } from './SignIn';

jest.mock('next/navigation', () => ({ useRouter: () => router }));
const loadAnew = jest.fn<void, [string]>();
jest.mock('@/ui/loadAnew', () => ({ loadAnew: (path: string) => loadAnew(path) }));

beforeEach(() => loadAnew.mockClear());

describe('signing in', () => {
  it('says why it was refused, at the password, and stays', async () => {
    const message = 'Too many wrong passwords. Wait 15 minutes, then try again.';
    fakeServer({ status: 429, body: { faults: [{ field: 'password', message }] } });
    renderAs(<SignIn houseName="Lanternfell Coffee" demo={[]} />);
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('Sign-in name'), 'ines');
    await user.type(screen.getByLabelText('Password'), 'wrong{Enter}');
    expect(await screen.findByText(message)).toBeTruthy();
    expect(screen.getByLabelText('Password').getAttribute('aria-invalid')).toBe('true');
    expect(loadAnew).not.toHaveBeenCalled();
  });

  it('offers the demo’s people only where it is given them', () => {
    renderAs(<SignIn houseName="Lanternfell Coffee" demo={[]} />);
    expect(screen.queryByRole('region', { name: 'Demo sign-ins' })).toBeNull();
  });
});

describe('an invitation', () => {
  it('makes the person, signs in, and opens the house with a full load', async () => {
    const sent = fakeServer(DONE);
    renderAs(<Invited token="t" houseName="Lanternfell Coffee" forWhom="Tobin" role="bench" />);
    const user = userEvent.setup();
    expect(screen.getByText(/invited as bench hand, who pulls and tastes/)).toBeTruthy();
    await user.type(screen.getByLabelText('Sign-in name'), 'tobin');
    await user.type(screen.getByLabelText('Password'), 'purge then pull{Enter}');
    await waitFor(() => expect(loadAnew).toHaveBeenCalledWith('/'));
    const [made, signedIn] = sent as unknown as [{ input: object }, object];
    expect(made.input).toEqual({
      token: 't',
      name: 'Tobin',
      signInName: 'tobin',
      password: 'purge then pull',
    });
    expect(signedIn).toEqual({ signInName: 'tobin', password: 'purge then pull' });
  });
});
