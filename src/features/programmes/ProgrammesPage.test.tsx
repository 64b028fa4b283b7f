import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { findHouse } from '@/data/house';
import { listProgrammes } from '@/data/programmes';
import { listSetups } from '@/data/setups';
import { UndoBar } from '@/ui/undo';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { openHouse, send } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { readAims } from './aims';
import { ProgrammesPage } from './ProgrammesPage';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const SLOW = {
  name: 'Slow rise',
  style: 'classic',
  isFirst: true,
  steps: [
    { drive: 'pressure', level: 3, seconds: 6, ramp: false },
    { drive: 'pressure', level: 9, seconds: 20, ramp: false },
  ],
} as const;

function open(
  role: 'lead' | 'reader' = 'lead',
  prepare?: (db: ReturnType<typeof openHouse>['db']) => void,
) {
  const { db } = openHouse();
  prepare?.(db);
  const page = () => (
    <>
      <ProgrammesPage
        programmes={listProgrammes(db)}
        setups={listSetups(db)}
        aims={readAims(db, findHouse(db)!)}
      />
      <UndoBar />
    </>
  );
  const { rerender } = renderAs(page(), { role });
  return { db, user: userEvent.setup(), refresh: () => rerender(page()) };
}

const rowOf = (name: string) => screen.getByText(name, { selector: 'strong' }).closest('li')!;

/** Puts the focus on a step of the drawing, once the editor is there. */
async function takeStep(name: string): Promise<void> {
  const step = await screen.findByRole('slider', { name });
  act(() => step.focus());
}

describe('Programmes', () => {
  it('shows every style with its steps in words, and what each setup can make', () => {
    open('lead', (db) => {
      db.exec('UPDATE machine SET pressure_control = 0, flow_control = 0, preinfusion = 0');
    });
    expect(screen.getByText(/^None yet\. Begin one from a brew style/)).toBeTruthy();
    expect(rowOf('Classic').textContent).toMatch(/9 bar to target weight.*: makes it/);
    expect(rowOf('Soak first').textContent).toMatch(/pause 30 s.*: out of reach/);
    expect(screen.getByText(/wait for it to vent/)).toBeTruthy();
  });

  it('says of a style what Start begins it with instead', () => {
    open('lead', (db) => void send(db, 'saveProgramme', SLOW));
    expect(rowOf('Slow rise').textContent).toContain('Classic; Start begins with it.');
    expect(rowOf('Classic').textContent).toContain('Start begins with Slow rise instead.');
  });

  it('begins a new one from a style and sends its steps as figures', async () => {
    const sent = fakeServer(DONE);
    const { db, user } = open();
    await user.click(screen.getByRole('button', { name: 'Begin one from Declining' }));
    const form = within(screen.getByRole('form', { name: 'New programme' }));
    await user.type(form.getByLabelText('Name'), 'Lever-like');
    await takeStep('Step 2');
    await user.keyboard('{ArrowDown}{ArrowLeft}');
    await user.click(form.getByRole('button', { name: 'Add the programme' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    send(db, 'saveProgramme', sent[0]!.input);
    expect(listProgrammes(db)).toMatchObject([
      {
        name: 'Lever-like',
        style: 'declining',
        isFirst: false,
        steps: [
          { level: 9, seconds: 10, ramp: false },
          { level: 5.5, seconds: 24, ramp: true },
        ],
      },
    ]);
  });

  it('tries a programme with what the house’s model asks of the reference coffee', () => {
    const { db } = openHouse();
    const aims = readAims(db, findHouse(db)!);
    expect(aims.classic.ratio).toBeCloseTo(2, 1);
    expect(aims.soakFirst.timeS[0]).toBeGreaterThan(50);
    expect(aims.shortDense.ratio).toBeLessThan(1.5);
    expect(aims.longQuick.timeS[1]).toBeLessThan(25);
  });

  it('shows both versions when two people write one programme, steps in words', async () => {
    const { db, user, refresh } = open('lead', (db) => void send(db, 'saveProgramme', SLOW));
    const { id, rowVersion } = listProgrammes(db)[0]!;
    await user.click(screen.getByRole('button', { name: 'Change Slow rise' }));
    await takeStep('Step 1');
    await user.keyboard('{ArrowUp}');
    const theirs = [SLOW.steps[0], { ...SLOW.steps[1], level: 8 }];
    send(db, 'saveProgramme', { ...SLOW, id, rowVersion, name: 'Slow climb', steps: theirs });
    refresh();
    const clash = within(await screen.findByRole('region', { name: 'Changed by two people' }));
    expect(clash.getByText(/Taken over from them: Name/)).toBeTruthy();
    expect(clash.getByText(/^3\.5 bar for 6 s; 9 bar to target weight/)).toBeTruthy();
    await user.click(clash.getByRole('button', { name: 'Take theirs' }));
    const form = within(screen.getByRole('form', { name: 'Change programme' }));
    expect(form.getByRole('slider', { name: 'Step 2' }).getAttribute('aria-valuenow')).toBe('8');
    const sent = fakeServer(DONE);
    await user.click(form.getByRole('button', { name: 'Save the programme' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.input).toMatchObject({ id, rowVersion: 2, name: 'Slow climb', steps: theirs });
  });

  it('keeps what was typed when the server is not reached', async () => {
    fakeServer('lost');
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'Begin one from Classic' }));
    await user.type(screen.getByLabelText('Name'), 'Kept');
    await user.click(screen.getByRole('button', { name: 'Add the programme' }));
    expect(await screen.findByText(/server was not reached/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Kept');
  });

  it('takes one away and offers it back', async () => {
    const sent = fakeServer(DONE);
    const { db, user } = open('lead', (db) => void send(db, 'saveProgramme', SLOW));
    const { id } = listProgrammes(db)[0]!;
    await user.click(screen.getByRole('button', { name: 'Delete Slow rise' }));
    expect(await screen.findByText('Slow rise was deleted.')).toBeTruthy();
    expect(sent[0]).toMatchObject({ kind: 'remove', input: { what: 'programme', id } });
    await user.click(screen.getByRole('button', { name: /^Undo/ }));
    await waitFor(() => expect(sent[1]).toMatchObject({ kind: 'restore', input: { id } }));
  });

  it('lets a reader look and change nothing', () => {
    open('reader', (db) => void send(db, 'saveProgramme', SLOW));
    expect(screen.queryByRole('button', { name: /Change|Take away|Begin one/ })).toBeNull();
    expect(rowOf('Slow rise')).toBeTruthy();
  });
});
