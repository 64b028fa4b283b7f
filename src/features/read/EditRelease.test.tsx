import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { RELEASE, send } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { EditRelease } from './EditRelease';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

/** One person writes while another saves; the refresh brings the other's version. */
async function writeWhileAnotherSaves() {
  const house = houseWith();
  const onDone = jest.fn();
  const page = () => <EditRelease release={house.view().release} onDone={onDone} />;
  const { rerender } = renderAs(page());
  const user = userEvent.setup();
  const type = async (label: string, text: string) => {
    await user.clear(field(label));
    await user.type(field(label), text);
  };
  await type('Name of the release', 'Dembi Upper Ridge');
  await type('Region', 'Guji zone');
  send(house.db, 'editRelease', {
    releaseId: house.releaseId,
    rowVersion: 1,
    release: { ...RELEASE, name: 'Dembi High Ridge', promisedNotes: ['lime'] },
  });
  rerender(page());
  return { user, house, onDone, refresh: () => rerender(page()) };
}

describe('two people on the facts of one release', () => {
  it('see both versions of what both changed, and lose nothing else', async () => {
    await writeWhileAnotherSaves();
    const both = screen.getByRole('region', { name: 'Both versions' }).textContent;
    expect(both).toMatch(/Name of the release.*Dembi Upper Ridge.*Dembi High Ridge/);
    expect(both).not.toMatch(/Promised notes/);
    expect(screen.getByText(/Taken over from them: Promised notes/)).toBeTruthy();
    expect(field('Name of the release').value).toBe('Dembi Upper Ridge');
    expect(field('Region').value).toBe('Guji zone');
    expect(field('Promised notes').value).toBe('lime');
  });

  it('take theirs, and save the rest over the version they have now seen', async () => {
    const sent = fakeServer(DONE);
    const { user, house, onDone } = await writeWhileAnotherSaves();
    await user.click(screen.getByRole('button', { name: 'Take theirs' }));
    expect(field('Name of the release').value).toBe('Dembi High Ridge');
    expect(screen.queryByRole('region', { name: 'Both versions' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Save the facts' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    send(house.db, 'editRelease', sent[0]!.input);
    const { release } = house.view();
    expect(release).toMatchObject({ name: 'Dembi High Ridge', promisedNotes: ['lime'] });
    expect(release.components[0]!.region).toBe('Guji zone');
  });

  it('keep a clash open when the other saves once more and leaves that field alone', async () => {
    const { house, refresh } = await writeWhileAnotherSaves();
    send(house.db, 'editRelease', {
      releaseId: house.releaseId,
      rowVersion: 2,
      release: { ...RELEASE, name: 'Dembi High Ridge', promisedNotes: ['lime', 'tea'] },
    });
    refresh();
    const both = screen.getByRole('region', { name: 'Both versions' }).textContent;
    expect(both).toMatch(/Dembi Upper Ridge.*Dembi High Ridge/);
    expect(field('Promised notes').value).toBe('lime, tea');
  });

  it('keep theirs unread away from a form nobody touched', () => {
    const house = houseWith();
    const page = () => <EditRelease release={house.view().release} onDone={jest.fn()} />;
    const { rerender } = renderAs(page());
    send(house.db, 'editRelease', {
      releaseId: house.releaseId,
      rowVersion: 1,
      release: { ...RELEASE, name: 'Dembi High Ridge' },
    });
    rerender(page());
    expect(field('Name of the release').value).toBe('Dembi High Ridge');
    expect(screen.queryByRole('region', { name: 'Both versions' })).toBeNull();
  });
});

describe('a blend', () => {
  it('asks for shares as soon as there are two components, and says what they make', async () => {
    renderAs(<EditRelease release={houseWith().view().release} onDone={jest.fn()} />);
    const user = userEvent.setup();
    expect(screen.queryByLabelText('Share, %')).toBeNull();
    await user.click(screen.getByRole('button', { name: /It is a blend/ }));
    expect(screen.getByText(/Give every component its share/)).toBeTruthy();
    const [first, second] = screen.getAllByLabelText<HTMLInputElement>('Share, %');
    await user.clear(first!);
    await user.type(first!, '70');
    await user.type(second!, '25');
    expect(screen.getByText('The shares make 95 %, 5 % is missing.')).toBeTruthy();
    await user.type(second!, '{ArrowUp}');
    expect(screen.getByText('The shares make 100 %.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Leave component 2 out' }));
    expect(screen.queryByLabelText('Share, %')).toBeNull();
  });
});
