import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { findHouse } from '@/data/house';
import { countReleases, listReleaseNames } from '@/data/releases';
import { noteBackup } from '@/data/backup';
import { backupWarning } from '@/views/backups';
import { readToday } from '@/views/today';
import type { Role } from '@/core/roles';
import { send, shotInput, stopClock, TODAY } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { TodayPage } from './TodayPage';
import { todayRows } from './todayRows';

const STEPS = { hasSetup: true, hasRelease: true, hasColleague: false };

function openToday({ db }: ViewedHouse, { role = 'lead' as Role, steps = STEPS } = {}) {
  const warning = backupWarning(db, '');
  const rows = todayRows(readToday(db, findHouse(db)!, { today: TODAY }), TODAY, {
    names: listReleaseNames(db),
    count: countReleases(db),
  });
  renderAs(
    <TodayPage
      today={TODAY}
      rows={rows}
      firstSteps={steps}
      importer={null}
      backupWarning={warning}
      fieldNews={[]}
    />,
    {
      role,
    },
  );
  return { user: userEvent.setup(), rows };
}

describe('Today', () => {
  it('tells the lead that the last good backup is old, and why the newest failed', () => {
    const house = houseWith({});
    openToday(house);
    expect(screen.getByText(/There is no backup of this house\. Name a folder/)).toBeTruthy();
    noteBackup(house.db, { file: 'x', bytes: 1, fault: '' });
    expect(backupWarning(house.db, '/mnt/backups')).toBeNull();
    stopClock('2026-05-23');
    noteBackup(house.db, { file: 'x', bytes: 0, fault: 'No backup was made: the disk is full.' });
    expect(backupWarning(house.db, '/mnt/backups')).toBe(
      'The last good backup is of 20 May 2026. No backup was made: the disk is full.',
    );
  });

  it('lists what is due with its reason, and leads to the stage that mends it', () => {
    openToday(houseWith({ timeS: 22 }));
    const due = within(screen.getByRole('region', { name: 'Due' }));
    expect(due.getByRole('heading').textContent).toBe('1 due');
    const link = due.getByRole('link');
    expect(link.textContent).toMatch(/Dembi Ridge1 shot, not on target\. Next: finer, 12 → 1/);
    expect(link.getAttribute('href')).toMatch(/\/pull$/);
  });

  it('places each batch on the calendar by days from today, with what happened to it', () => {
    const house = houseWith({});
    send(house.db, 'logShot', shotInput(house.draftId));
    const { rows } = openToday(house);
    expect(rows.strips).toHaveLength(1);
    // Roasted 12 days ago; opens at 6, best 8-21, fades at 35.
    expect(rows.strips[0]!.edges).toEqual([-12, -6, -4, 9, 23]);
    expect(rows.strips[0]!.marks).toEqual([
      { kind: 'shot', day: 0, label: '2 shots, 20 May 2026' },
    ]);
    expect(screen.getByText('Day 12, best')).toBeTruthy();
  });

  it('is walked by the arrow keys', async () => {
    const { user } = openToday(houseWith({ timeS: 22 }));
    await user.keyboard('{ArrowDown}');
    expect(document.activeElement?.textContent).toMatch(/not on target/);
    await user.keyboard('{ArrowRight}');
    expect(document.activeElement?.textContent).toMatch(/Day 12, best/);
    await user.keyboard('{ArrowLeft}');
    expect(document.activeElement?.textContent).toMatch(/not on target/);
  });

  it('tells an empty house what to do first, in order', () => {
    const house = houseWith();
    send(house.db, 'remove', { what: 'release', id: house.releaseId });
    openToday(house, { steps: { hasSetup: true, hasRelease: false, hasColleague: false } });
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('No coffee here yet');
    const steps = within(screen.getByRole('region', { name: 'First steps' }));
    expect(steps.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
      '/equipment',
      '/releases/new',
      '/people',
      '/house',
    ]);
    expect(steps.getByRole('link', { name: /Describe machine.*\(done\)/ })).toBeTruthy();
  });

  it('offers a bench hand nothing that only the lead may do', () => {
    openToday(houseWith(), { role: 'bench' });
    expect(screen.queryByRole('link', { name: /New release/ })).toBeNull();
    expect(screen.queryByRole('link', { name: /Import/ })).toBeNull();
  });
});
