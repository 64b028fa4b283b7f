import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { CupSheet } from './CupSheet';
import { cupSentOf, EMPTY_CUP, toggled } from './cupText';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

function openSheet() {
  const view = houseWith({}).view();
  const bench = view.bench!;
  renderAs(<CupSheet view={view} bench={bench} shot={bench.shots[0]!} />);
  return { user: userEvent.setup(), shotId: bench.shots[0]!.id };
}

async function score(user: ReturnType<typeof userEvent.setup>, scale: string, digit: string) {
  const row = within(screen.getByRole('radiogroup', { name: scale }));
  row.getAllByRole('radio')[0]!.focus();
  await user.keyboard(digit);
}

describe('the cup sheet', () => {
  it('is filled by digits and sends only what was touched', async () => {
    const sent = fakeServer(DONE);
    const { user, shotId } = openSheet();
    await score(user, 'Sweetness', '7');
    await score(user, 'Liking', '8');
    await user.click(screen.getByLabelText('bergamot'));
    await user.type(screen.getByLabelText('Other notes, separated by commas'), 'honey, , lime');
    await user.click(screen.getByRole('button', { name: 'Keep this cup sheet' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.input).toEqual({
      shotId,
      tastedAt: expect.stringMatching(/^\d{4}-\d\d-\d\dT/),
      moment: 'warm',
      serving: 'straight',
      scales: { sweetness: 7, liking: 8, strength: 0, signs: [] },
      notesFound: ['bergamot', 'honey', 'lime'],
      remark: '',
    });
  });

  it('says the direction as the scales are set, in words and as a move', async () => {
    const { user } = openSheet();
    expect(screen.queryByRole('status')).toBeNull();
    await score(user, 'Sharp acidity', '9');
    expect(screen.getByRole('status').textContent).toMatch(/under-extracted.*Longer: 36\.0 → 4/);
    await score(user, 'Bitterness', '9');
    expect(screen.getByRole('status').textContent).toMatch(/channel.*not the recipe/);
  });

  it('gives strength and extraction for a reading, and none for an impossible one', async () => {
    const { user } = openSheet();
    await user.type(screen.getByLabelText('TDS, %'), '9,6');
    expect(screen.getByText('9.6 % strong, 19.2 % extracted')).toBeTruthy();
    await user.clear(screen.getByLabelText('TDS, %'));
    await user.type(screen.getByLabelText('TDS, %'), '90');
    expect(screen.getByText(/With a TDS reading/)).toBeTruthy();
  });

  it('shows the cautions of a tasting', () => {
    openSheet();
    expect(screen.getByText(/400 mg a day.*ask a doctor.*allergens/s)).toBeTruthy();
  });

  it('toggles words in and out', () => {
    expect(toggled(toggled(['a'], 'b'), 'a')).toEqual(['b']);
    expect(cupSentOf({ ...EMPTY_CUP, tdsPct: '9,1' }).tdsPct).toBe(9.1);
  });
});
