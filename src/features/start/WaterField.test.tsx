import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Role } from '@/core/roles';
import { findHouse } from '@/data/house';
import { listProgrammes } from '@/data/programmes';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { RECIPE, send, TODAY } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { StartStage } from './StartStage';
import { readStart } from '@/views/start';

jest.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/releases/r/start',
  useSearchParams: () => new URLSearchParams(),
}));

const SLOW = [
  { drive: 'pressure', level: 3, seconds: 6, ramp: false },
  { drive: 'pressure', level: 9, seconds: 20, ramp: false },
] as const;
const keepSlow = ({ db }: ViewedHouse) =>
  void send(db, 'saveProgramme', { name: 'Slow rise', style: 'classic', steps: SLOW });

function open({
  style = 'classic',
  role = 'lead',
  prepare,
}: {
  style?: string;
  role?: Role;
  prepare?: (house: ViewedHouse) => void;
} = {}) {
  const house = houseWith();
  prepare?.(house);
  const { db, view } = house;
  const start = readStart(db, findHouse(db)!, view(), { style }, { today: TODAY });
  renderAs(<StartStage view={view()} start={start} />, { role });
  const field = within(screen.getByRole('group', { name: 'Programme of the machine' }));
  const words = () => field.getByLabelText<HTMLInputElement>('Water, as the plate says it').value;
  const chosen = () =>
    field.getByLabelText<HTMLSelectElement>('Programme').selectedOptions[0]!.text;
  return { house, user: userEvent.setup(), field, words, chosen };
}

async function accepted(user: ReturnType<typeof userEvent.setup>) {
  const sent = fakeServer(DONE);
  await user.click(screen.getByRole('button', { name: 'Use this recipe' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  return sent[0]!.input;
}

/** Puts the focus on a step of the drawing, once the editor is there. */
async function takeStep(name: string): Promise<void> {
  const step = await screen.findByRole('slider', { name });
  act(() => step.focus());
}

describe('the programme at Start', () => {
  it('is the style’s unless somebody says otherwise', async () => {
    const { user, words, chosen } = open({ style: 'declining' });
    expect(chosen()).toBe('As declining has it');
    expect(words()).toBe('9 bar falling to 6');
    expect(await accepted(user)).toMatchObject({
      programme: '9 bar falling to 6',
      steps: [
        { drive: 'pressure', level: 9, seconds: 10, ramp: false },
        { drive: 'pressure', level: 6, seconds: 25, ramp: true },
      ],
    });
  });

  it('takes a programme of the house with its name', async () => {
    const { user, field, words } = open({ prepare: keepSlow });
    await user.selectOptions(field.getByLabelText('Programme'), 'Slow rise (classic)');
    expect(words()).toBe('Slow rise');
    expect(field.getByText('3 bar for 6 s; 9 bar to target weight.')).toBeTruthy();
    expect(await accepted(user)).toMatchObject({ programme: 'Slow rise', steps: SLOW });
  });

  it('names changed steps by themselves, but never over words somebody typed', async () => {
    const { user, field, words, chosen } = open();
    await user.click(field.getByRole('button', { name: 'Change the steps' }));
    await takeStep('Step 1');
    await user.keyboard('{ArrowDown}');
    expect(chosen()).toBe('Own steps');
    expect(words()).toBe('8.5 bar, flat');
    const water = field.getByLabelText('Water, as the plate says it');
    await user.clear(water);
    await user.type(water, 'A touch softer');
    await takeStep('Step 1');
    await user.keyboard('{ArrowDown}');
    expect(words()).toBe('A touch softer');
    expect(await accepted(user)).toMatchObject({
      programme: 'A touch softer',
      steps: [{ level: 8 }],
    });
  });

  it('is kept for other coffees by the lead, under its words', async () => {
    const { house, user, field } = open();
    await user.click(field.getByRole('button', { name: 'Change the steps' }));
    await takeStep('Step 1');
    expect(field.queryByRole('button', { name: /Keep it/ })).toBeNull();
    await user.keyboard('{ArrowDown}');
    const sent = fakeServer(DONE);
    await user.click(field.getByRole('button', { name: 'Keep it for other coffees' }));
    expect(await field.findByText('Kept as “8.5 bar, flat”.')).toBeTruthy();
    send(house.db, sent[0]!.kind, sent[0]!.input);
    expect(listProgrammes(house.db)).toMatchObject([{ name: '8.5 bar, flat', style: 'classic' }]);
  });

  it('is not offered for keeping to a bench hand', async () => {
    const { user, field } = open({ role: 'bench' });
    await user.click(field.getByRole('button', { name: 'Change the steps' }));
    await takeStep('Step 1');
    await user.keyboard('{ArrowDown}');
    expect(field.queryByRole('button', { name: /Keep it/ })).toBeNull();
  });

  it('says what the machine cannot make, and takes the nearest at a press', async () => {
    const { user, field, words } = open({
      style: 'soakFirst',
      prepare: ({ db }) =>
        void db.exec('UPDATE machine SET pressure_control = 1, flow_control = 0'),
    });
    expect(field.getByText(/Steps 1 and 3 of 3 are out of reach of this machine/)).toBeTruthy();
    const water = field.getByLabelText('Water, as the plate says it');
    await user.clear(water);
    await user.type(water, 'My long soak');
    await user.click(field.getByRole('button', { name: 'Take that instead' }));
    expect(field.queryByText(/out of reach/)).toBeNull();
    expect(words()).toBe('3 bar for 4 s; pause 30 s; 9 bar to target weight');
    expect(await accepted(user)).toMatchObject({
      steps: [{ level: 3 }, { level: 0 }, { level: 9 }],
    });
  });

  it('begins with what is on the bench in the same style, and not in another', () => {
    const onBench = ({ db, releaseId, setupId }: ViewedHouse) =>
      void send(db, 'acceptRecipe', {
        ...RECIPE,
        releaseId,
        setupId,
        batchId: `${releaseId}-1`,
        programme: 'Found by ear',
        steps: SLOW,
      });
    expect(open({ prepare: onBench }).words()).toBe('Found by ear');
  });

  it('does not carry a recipe’s steps into another style', () => {
    const { words } = open({ style: 'longQuick', prepare: keepSlow });
    expect(words()).toBe('6.5 bar, flat');
  });
});
