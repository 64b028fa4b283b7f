import { act, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { makeDrill } from '@/core/practice/drill';
import type * as Answering from '@/workers/answer';
import type { ToWorker } from '@/workers/protocol';
import { renderAs } from '../../../tests/support/render';
import { PracticePage } from './PracticePage';

let isBroken = false;
jest.mock('@/workers/client', () => {
  // The worker's own work, done at once.
  const { answer } = jest.requireActual<typeof Answering>('@/workers/answer');
  const ask = (kind: ToWorker['kind'], input: unknown) =>
    new Promise((resolve, reject) => {
      if (isBroken) return reject(new Error('The simulator did not load. Try again.'));
      answer({ kind, id: 1, input } as ToWorker, (from) => {
        if (from.kind === 'done') resolve(from.result);
        if (from.kind === 'failed') reject(new Error(from.words));
      });
    });
  return { ask };
});

const DRILL = makeDrill({ seed: 1 });
const TRUTH = [...DRILL.cups].sort((a, b) => a.came - b.came).map(({ code }) => code);
const PLACES = ['First cup', 'Second cup', 'Last cup'];
const ASKED = { more: /^More/, leave: /^Nothing/, less: /^Less/, prep: /preparation/ } as const;

const choose = (group: string, name: string | RegExp) =>
  fireEvent.click(
    within(screen.getByRole('radiogroup', { name: group })).getByRole('radio', { name }),
  );

const putInOrder = (codes: readonly string[]) =>
  codes.forEach((code, i) => choose(PLACES[i]!, code));

const tellButton = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Show the truth' });

describe('staged cups on paper', () => {
  async function open() {
    renderAs(<PracticePage />);
    const user = userEvent.setup();
    await user.click(screen.getByLabelText('Staged cups'));
    await screen.findByRole('region', { name: 'Cup sheets' });
    return user;
  }

  it('hands the cups over without saying when they came', async () => {
    await open();
    const heads = screen.getAllByRole('columnheader').map(({ textContent }) => textContent);
    expect(heads).toEqual([
      'Scale, 0-10',
      ...DRILL.cups.map(({ code }) => `Cup ${code}`),
      'Served',
    ]);
    const sharp = within(screen.getByRole('row', { name: /^Sharp acidity/ }))
      .getAllByRole('cell')
      .slice(1)
      .map(({ textContent }) => Number(textContent));
    expect(sharp).toEqual(
      [...DRILL.cups, DRILL.served].map(({ taste }) => Number(taste.sharpness.toFixed(1))),
    );
    expect(screen.queryByText(/The order/)).toBeNull();
  });

  it('takes an answer when it is whole, and each cup once', async () => {
    await open();
    expect(tellButton().disabled).toBe(true);
    putInOrder([TRUTH[0]!, TRUTH[0]!, TRUTH[2]!]);
    choose('What the served shot asks for', ASKED[DRILL.answer]);
    expect(screen.getByText('Each cup came once.')).toBeTruthy();
    expect(tellButton().disabled).toBe(true);
    choose('Second cup', TRUTH[1]!);
    expect(tellButton().disabled).toBe(false);
  });

  it('says a right answer is right, counts it, and deals another shot', async () => {
    const user = await open();
    putInOrder(TRUTH);
    choose('What the served shot asks for', ASKED[DRILL.answer]);
    await user.click(tellButton());
    expect(
      screen.getByText((words) => words.startsWith(`The order is right: ${TRUTH.join(', then ')}`)),
    ).toBeTruthy();
    expect(screen.getByText(/So is what the served shot asks for/)).toBeTruthy();
    expect(screen.getByText(/1 of 1 orders right/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Another shot' }));
    await screen.findByRole('region', { name: 'Cup sheets' });
    expect(tellButton().disabled).toBe(true);
    expect(screen.getByText(/1 of 1 orders right/)).toBeTruthy();
  });

  it('says what it was where the answer was wrong', async () => {
    const user = await open();
    putInOrder([...TRUTH].reverse());
    const wrong = DRILL.answer === 'leave' ? ASKED.more : ASKED.leave;
    choose('What the served shot asks for', wrong);
    await user.click(tellButton());
    expect(screen.getByText(/The order was another/)).toBeTruthy();
    expect(screen.getByText(/The served shot asks for:/)).toBeTruthy();
    expect(screen.getByText(/0 of 1 orders right\. By luck alone/)).toBeTruthy();
  });
});

describe('staged cups at the bench', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  function open(roast: string) {
    renderAs(<PracticePage />);
    fireEvent.click(screen.getByLabelText('Staged cups'));
    fireEvent.click(screen.getByLabelText('Your own, at the bench'));
    fireEvent.click(screen.getByLabelText(roast));
    const told = screen.getByText(/Have someone stick/).textContent!;
    const codes = /stick (\w) .* (\w) under the second, (\w) under/.exec(told)!.slice(1);
    return { told, codes };
  }
  const press = () => fireEvent.keyDown(document.body, { key: ' ' });
  const wait = (seconds: number) => act(() => jest.advanceTimersByTime(1000 * seconds));

  it('calls each change, sooner for dark', () => {
    const { told, codes } = open('Dark');
    expect(told).toContain('every 5 s from the first drip');
    expect(new Set(codes).size).toBe(3);
    expect(screen.getByText('Start the pump')).toBeTruthy();
    press();
    wait(30);
    // The clock of the cups waits for the drip, however long it takes.
    expect(screen.getByText('Wait for the first drip')).toBeTruthy();
    press();
    wait(4.5);
    expect(screen.getByText(`Cup 1: ${codes[0]}`)).toBeTruthy();
    expect(screen.getByText('change in 1 s')).toBeTruthy();
    wait(1);
    expect(screen.getByText(`Cup 2: ${codes[1]}`)).toBeTruthy();
    wait(5);
    expect(screen.getByText(`Cup 3: ${codes[2]}`)).toBeTruthy();
    wait(40);
    expect(screen.getByText(`Cup 3: ${codes[2]}`)).toBeTruthy();
    press();
    expect(screen.queryByText(/Cup 3/)).toBeNull();
  });

  it('keeps the order to itself until it is asked for, and shows the cautions', () => {
    const { codes } = open('Light');
    press();
    press();
    press();
    expect(screen.queryByText(/Have someone stick/)).toBeNull();
    expect(screen.getByText(/Caffeine adds up over a tasting/)).toBeTruthy();
    expect(screen.getByText(/stream scald/)).toBeTruthy();
    putInOrder(codes);
    fireEvent.click(tellButton());
    expect(screen.getByText((words) => words.includes(codes.join(', then ')))).toBeTruthy();
    expect(screen.getByText(/1 of 1 orders right/)).toBeTruthy();
  });
});

it('says that the simulator did not load, on paper and at the dial, and goes on once it does', async () => {
  isBroken = true;
  renderAs(<PracticePage />);
  const user = userEvent.setup();
  const tryAgain = () => screen.getByRole('button', { name: 'Try again' });
  expect((await screen.findByRole('alert')).textContent).toMatch(/did not load/);
  await user.click(screen.getByLabelText('Staged cups'));
  expect((await screen.findByRole('alert')).textContent).toMatch(/did not load/);
  isBroken = false;
  await user.click(tryAgain());
  await screen.findByRole('region', { name: 'Cup sheets' });
  expect(screen.queryByRole('alert')).toBeNull();
});
