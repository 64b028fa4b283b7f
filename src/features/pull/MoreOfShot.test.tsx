import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { Bench } from '@/views/release';
import type { Refractometer } from '@/devices/instruments';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { MoreOfShot } from './MoreOfShot';
import { prefill, type ShotText } from './shotEntry';

let noted: ShotText;

function Noted({
  bench,
  start,
  refractometer = null,
}: {
  bench: Bench;
  start: ShotText;
  refractometer?: Refractometer | null;
}) {
  const [text, setText] = useState(start);
  const onChange = (change: Partial<ShotText>) => {
    noted = { ...text, ...change };
    setText(noted);
  };
  return (
    <MoreOfShot
      bench={bench}
      text={text}
      onChange={onChange}
      faultOf={() => undefined}
      refractometer={refractometer}
    />
  );
}

function open({
  start = {},
  refractometer,
}: { start?: Partial<ShotText>; refractometer?: Refractometer } = {}) {
  const bench = houseWith().view().bench!;
  renderAs(
    <Noted
      bench={bench}
      start={{ ...prefill(bench), ...start }}
      {...(refractometer && { refractometer })}
    />,
  );
  return userEvent.setup();
}

/** A cup that fills evenly from second 6 to second 28, read on for three more. */
const TRACE = [
  'time_s,weight_g',
  ...Array.from({ length: 310 }, (_, i) => {
    const timeS = (i + 1) / 10;
    return `${timeS},${(36 * Math.min(1, Math.max(0, (timeS - 6) / 22))).toFixed(2)}`;
  }),
].join('\n');

/** The tests' browser has files without their bytes. */
function fileOf(content: string): File {
  const bytes = Uint8Array.from(Buffer.from(content));
  const file = new File([content], 'trace.csv', { type: 'text/csv' });
  return Object.assign(file, { arrayBuffer: async () => bytes.buffer });
}

const readFile = (user: ReturnType<typeof userEvent.setup>, content: string) =>
  user.upload(screen.getByLabelText('Trace file'), fileOf(content));

describe('a trace from a file', () => {
  it('fills time, first drip and yield, and goes with the shot', async () => {
    const user = open();
    await readFile(user, TRACE);
    expect(await screen.findByText(/A trace of \d+ points goes with this shot/)).toBeTruthy();
    expect(Math.abs(Number(noted.yieldG) - 36)).toBeLessThan(0.2);
    expect(Math.abs(Number(noted.firstDripS) - 6)).toBeLessThan(0.5);
    expect(Math.abs(Number(noted.timeS) - 28)).toBeLessThan(1);
    await user.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(noted.trace).toBeNull();
    // The figures it gave stay: they can be typed over.
    expect(Math.abs(Number(noted.yieldG) - 36)).toBeLessThan(0.2);
  });

  it('gives the time on the clock of the entry', async () => {
    const user = open({ start: { clock: 'firstDrip' } });
    await readFile(user, TRACE);
    await screen.findByText(/points goes with this shot/);
    expect(Math.abs(Number(noted.timeS) - 22)).toBeLessThan(1.2);
  });

  it.each([
    ['time_s,volume\n1,2\n2,3\n', /weight_g/],
    ['time_s,weight_g\n1,0\nsoon,3\n', /row 3|line 3|soon/i],
    ['', /./],
  ])('says what is wrong with %j, and changes nothing', async (content, words) => {
    const user = open({ start: { yieldG: '35.5' } });
    await readFile(user, content);
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(words);
    expect(screen.queryByText(/goes with this shot/)).toBeNull();
    expect(screen.getByRole('button', { name: /Trace from a CSV file/ })).toBeTruthy();
    await readFile(user, TRACE);
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});

describe('the refractometer', () => {
  it('is read for the shot, again if asked, and says what keeps it from reading', async () => {
    const read = jest
      .fn<Promise<{ tdsPct: number }>, []>()
      .mockRejectedValueOnce(new Error('There is no cup to measure. Pull a shot first.'))
      .mockResolvedValueOnce({ tdsPct: 9.84 })
      .mockResolvedValueOnce({ tdsPct: 9.91 });
    const user = open({ refractometer: { read } });
    await user.click(screen.getByRole('button', { name: 'Read the refractometer' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/Pull a shot first/);
    await user.click(screen.getByRole('button', { name: 'Read the refractometer' }));
    expect(await screen.findByText(/Strength 9.84 % TDS goes with this shot/)).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Read it again' }));
    await waitFor(() => expect(noted.tdsPct).toBe('9.91'));
  });

  it('is not offered where none is linked', () => {
    open();
    expect(screen.queryByRole('button', { name: /refractometer/ })).toBeNull();
  });
});

describe('beans', () => {
  it.each([
    ['Warmed', /never unattended.*catch fire/],
    ['Misted', /Moisture may rust burrs/],
    ['From the freezer', /close the bag at once/],
  ])('%s carry their caution', async (state, words) => {
    const user = open();
    expect(screen.queryByText(words)).toBeNull();
    await user.selectOptions(screen.getByLabelText('Beans'), state);
    expect(screen.getByText(words)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Beans'), 'Room temperature');
    expect(screen.queryByText(words)).toBeNull();
  });
});
