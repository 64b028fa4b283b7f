import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { StoredGrinder } from '@/data/equipment';
import type { StoredPeriod } from '@/data/calibrationPeriods';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { GRINDER } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { CalibrationPeriods } from './CalibrationPeriods';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const grinder = { ...GRINDER, id: 'g', notation: 'numbers' } as unknown as StoredGrinder;
const period = (more: Partial<StoredPeriod>): StoredPeriod => ({
  id: 'e',
  grinderId: 'g',
  kind: 'zero',
  shift: 1.5,
  beganAt: '2026-05-10T08:00:00.000Z',
  reason: 'Burrs were cleaned',
  createdBy: 'Ines',
  ...more,
});

async function open() {
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'New zero point or burrs of Grinder' }));
  return user;
}

describe('what a grinder’s numbers mean', () => {
  it('says since when the newest of them hold, and what became of what was learnt', () => {
    const { unmount } = renderAs(
      <CalibrationPeriods grinder={grinder} periods={[period({ shift: -2 }), period({})]} />,
    );
    expect(document.body.textContent).toMatch(
      /New zero point since 10 May 2026, the same grind reads \+1\.5: Burrs were cleaned\. Older dials are read on the new scale\./,
    );
    unmount();
    renderAs(
      <CalibrationPeriods grinder={grinder} periods={[period({ kind: 'burrs', shift: null })]} />,
    );
    expect(document.body.textContent).toMatch(/New burrs since .*taught before is kept apart/);
  });

  it('a new zero point goes with its shift, or without where nobody knows it', async () => {
    const sent = fakeServer(DONE);
    renderAs(<CalibrationPeriods grinder={grinder} periods={[]} />);
    const user = await open();
    expect(screen.getByText(/Unplug the grinder before you open it/)).toBeTruthy();
    await user.type(screen.getByLabelText(/now reads higher by/), '1,5');
    await user.type(screen.getByLabelText('Reason'), 'Cleaned');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    await open();
    await user.type(screen.getByLabelText('Reason'), 'Dropped');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(sent.map(({ kind, input }) => [kind, input])).toEqual([
      ['beginCalibrationPeriod', { grinderId: 'g', kind: 'zero', reason: 'Cleaned', shift: 1.5 }],
      ['beginCalibrationPeriod', { grinderId: 'g', kind: 'zero', reason: 'Dropped' }],
    ]);
  });

  it('new burrs ask for no shift, and warn of open ones', async () => {
    const sent = fakeServer(DONE);
    renderAs(<CalibrationPeriods grinder={grinder} periods={[]} />);
    const user = await open();
    await user.type(screen.getByLabelText(/now reads higher by/), '2');
    await user.click(screen.getByLabelText('New burrs'));
    expect(screen.queryByLabelText(/now reads higher by/)).toBeNull();
    expect(screen.getByText(/burrs that touch are damaged/)).toBeTruthy();
    await user.type(screen.getByLabelText('Reason'), 'Worn');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(sent[0]!.input).toEqual({ grinderId: 'g', kind: 'burrs', reason: 'Worn' });
  });

  it('keeps what was typed when it is refused, and leaves with Cancel', async () => {
    const faults = [{ field: 'reason', message: 'Reason is missing. Say why.' }];
    fakeServer({ status: 400, body: { code: 'badInput', faults } });
    renderAs(<CalibrationPeriods grinder={grinder} periods={[]} />);
    const user = await open();
    await user.type(screen.getByLabelText(/now reads higher by/), '-1');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText('Reason is missing. Say why.')).toBeTruthy();
    expect(screen.getByLabelText(/now reads higher by/)).toHaveProperty('value', '-1');
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByRole('form')).toBeNull();
  });

  it('is changed by the lead alone', () => {
    renderAs(<CalibrationPeriods grinder={grinder} periods={[]} />, { role: 'bench' });
    expect(screen.queryByRole('button')).toBeNull();
  });
});
