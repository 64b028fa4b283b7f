import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { listParts } from '@/data/equipment';
import { listSetups } from '@/data/setups';
import { UndoBar } from '@/ui/undo';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { BASKET, openHouse, send } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { EquipmentPage } from './EquipmentPage';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const TAUGHT = {
  dialIns: 12,
  stepS: 2.71,
  stepHalf80S: 0.5,
  scatterPct: 4.1,
  people: [
    { name: 'Ines', scatterPct: 3.2 },
    { name: 'Tobin', scatterPct: 5.1 },
  ],
  isMostlyRule: false,
  hint: { retentionG: 3, lnGain: 4 },
  usualDials: { light: 9.5, medium: 11, dark: 12 },
};

function openEquipment(role: 'lead' | 'reader' = 'lead') {
  const { db } = openHouse();
  const page = () => (
    <>
      <EquipmentPage
        periods={[]}
        hasRelease={false}
        setups={listSetups(db)}
        taught={Object.fromEntries(listParts(db, 'grinder').map(({ id }) => [id, TAUGHT]))}
        parts={{
          machine: listParts(db, 'machine'),
          grinder: listParts(db, 'grinder'),
          basket: listParts(db, 'basket'),
        }}
      />
      <UndoBar />
    </>
  );
  const { rerender } = renderAs(page(), { role });
  return { db, user: userEvent.setup(), refresh: () => rerender(page()) };
}

describe('Equipment', () => {
  it('says what a grinder has taught', () => {
    openEquipment();
    const facts = screen.getByLabelText(/What past dial-ins taught of/).textContent;
    expect(facts).toMatch(/12 dial-ins.*2\.7 ± 0\.5 s.*4\.1 %: Ines 3\.2 %, Tobin 5\.1 %/);
    expect(facts).toMatch(/9\.5 light, 11 medium, 12 dark/);
    expect(screen.getByText(/fit better if it keeps about 3\.0 g, not/)).toBeTruthy();
  });

  it('makes a setup of what is there and of what is described in the same go', async () => {
    const sent = fakeServer(DONE);
    const { db, user } = openEquipment();
    await user.click(screen.getByRole('button', { name: 'Add a setup' }));
    const form = within(screen.getByRole('form', { name: 'New setup' }));
    await user.type(form.getByLabelText('Name of the setup'), 'Van');
    await user.selectOptions(form.getByLabelText('Which basket'), 'A new one');
    await user.type(form.getByLabelText('Basket'), 'Small');
    await user.clear(form.getByLabelText('Rated for, g'));
    await user.type(form.getByLabelText('Rated for, g'), '14,5');
    await user.click(form.getByRole('button', { name: 'Add the setup' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    send(db, 'saveSetup', sent[0]!.input);
    const van = listSetups(db).find(({ name }) => name === 'Van')!;
    expect(van.basket).toMatchObject({ name: 'Small', ratedG: 14.5 });
    expect(van.machine.name).toBe('Machine');
    expect(listParts(db, 'machine')).toHaveLength(1);
  });

  it('warns of a pressurised basket where it is described', async () => {
    const { user } = openEquipment();
    await user.click(screen.getByRole('button', { name: 'Change Double' }));
    const form = within(screen.getByRole('form', { name: 'Change basket' }));
    await user.click(
      within(form.getByRole('radiogroup', { name: 'Pressurised' })).getByLabelText('yes'),
    );
    expect(form.getByText(/grind cannot be dialled in on it/)).toBeTruthy();
  });

  it('shows both versions when another changed the part meanwhile', async () => {
    const { db, user, refresh } = openEquipment();
    await user.click(screen.getByRole('button', { name: 'Change Double' }));
    const form = within(screen.getByRole('form', { name: 'Change basket' }));
    await user.clear(form.getByLabelText('Rated for, g'));
    await user.type(form.getByLabelText('Rated for, g'), '19');
    const [basket] = listParts(db, 'basket');
    const fields = { ...BASKET, ratedG: 20, diameterMm: 57 };
    send(db, 'savePart', { part: 'basket', id: basket!.id, rowVersion: 1, fields });
    refresh();
    const both = screen.getByRole('region', { name: 'Both versions' });
    expect(both.textContent).toMatch(/Rated for19.*20/);
    expect(form.getByLabelText<HTMLInputElement>('Diameter, mm').value).toBe('57');
  });

  it('takes a setup away and offers to put it back', async () => {
    const sent = fakeServer(DONE);
    const { user } = openEquipment();
    await user.click(screen.getByRole('button', { name: 'Delete Window bench' }));
    expect(await screen.findByText('Window bench was deleted.')).toBeTruthy();
    await user.keyboard('z');
    await waitFor(() => expect(sent.map(({ kind }) => kind)).toEqual(['remove', 'restore']));
    expect(sent[1]!.input).toEqual(sent[0]!.input);
    await waitFor(() => expect(screen.queryByText(/was taken away/)).toBeNull());
  });

  it('lets a reader read', () => {
    openEquipment('reader');
    expect(screen.getByText(/Dial 0 to 30 in steps of 0\.5/)).toBeTruthy();
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});
