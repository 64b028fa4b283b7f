import { screen, within } from '@testing-library/react';
import { playPractice, practiceTruth, type PracticeMove } from '@/core/practice/play';
import { renderAs } from '../../../tests/support/render';
import { Ways } from './Ways';

/** A sound shot, a move without a purge, and dust at the end of the dial. */
const MOVES: PracticeMove[] = [
  { dial: 20, doseG: 18, purgeG: 8 },
  { dial: 12, doseG: 18, purgeG: 0 },
  { dial: 2, doseG: 18, purgeG: 8 },
];
const ROUND = { level: 'demanding', seed: 4, moves: MOVES } as const;

const rowsOf = () =>
  within(screen.getByRole('table'))
    .getAllByRole('row')
    .slice(1)
    .map((row) =>
      within(row)
        .getAllByRole('cell')
        .map(({ textContent }) => textContent),
    );

describe('the way of a round', () => {
  it('is nothing before the first shot', () => {
    renderAs(<Ways yours={playPractice({ ...ROUND, moves: [] })} advised={null} />);
    expect(screen.queryByRole('table')).toBeNull();
  });

  it('says of each shot what was set and what it did, an unpurged move and a choke by name', () => {
    const yours = playPractice(ROUND);
    renderAs(<Ways yours={yours} advised={null} />);
    expect(screen.getByText('Your way')).toBeTruthy();
    const rows = rowsOf();
    expect(rows.map((cells) => cells.slice(0, 4))).toEqual([
      ['1', '20', '18.0', '8.0'],
      ['2', '12', '18.0', ''],
      ['3', '2', '18.0', '8.0'],
    ]);
    expect(rows.map((cells) => Number(cells[4]))).toEqual(
      yours.shots.map(({ timeS }) => Number(timeS.toFixed(1))),
    );
    expect(rows[1]![5]).toBe('unpurged');
    expect(rows[2]![5]).toBe('choked');
  });

  it('stands beside the advice’s once the round is over, each row as long as the longer of the two', () => {
    const yours = playPractice(ROUND);
    const { advised } = practiceTruth(ROUND);
    renderAs(<Ways yours={yours} advised={advised} />);
    expect(screen.getByText('Your way, and the advice’s')).toBeTruthy();
    const rows = rowsOf();
    expect(rows).toHaveLength(Math.max(yours.shots.length, advised.shots.length));
    expect(rows.map((cells) => cells.length)).toEqual(rows.map(() => 11));
    // Both begin with the player's first shot; the advice's last one landed.
    expect(rows[0]!.slice(6, 9)).toEqual(rows[0]!.slice(1, 4));
    expect(rows[advised.shots.length - 1]!.at(-1)).toBe('landed');
  });
});
