import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { findHouse } from '@/data/house';
import { findPartner } from '@/data/partners';
import { readCheckSheet } from '@/views/checkSheet';
import type { CafesView, SignalView } from '@/views/cafes';
import type { ReleaseCafesView } from '@/views/releaseCafes';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { openHouse, send, WORDS } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { AnswerForm } from './AnswerForm';
import { CafesPage } from './CafesPage';
import { CafesStage } from './CafesStage';
import { PartnerForm } from './PartnerForm';
import { QuickEntry } from './QuickEntry';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

function partner() {
  const { db, releaseId, draftId } = openHouse();
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const { partnerId } = send(db, 'savePartner', {
    partner: { name: 'Quay Nine', town: 'Ostrel', people: 'Ada' },
    releaseIds: [releaseId],
  });
  const stored = findPartner(db, String(partnerId))!;
  return { db, releaseId, stored, sheet: readCheckSheet(db, findHouse(db)!, stored) };
}

const SIGNAL: SignalView = {
  key: 'step a 1',
  kind: 'step',
  title: 'Quay Nine: all coffees 2.7 s fast since 24 Nov',
  reason: '9 in 10 that it is so.',
  partnerIds: ['a'],
  releaseId: null,
  settled: null,
  asksOrder: true,
  days: [],
};

const viewOf = (changes: Partial<CafesView> = {}): CafesView => ({
  cafes: [
    {
      partner: { ...partner().stored, id: 'a' },
      inside: 3,
      made: 5,
      due: 6,
      days: [
        {
          day: '2026-11-24',
          isClosed: false,
          cells: [
            { time: '7:05', state: 'fast', words: '7:05: 2 of 2 off, fast' },
            { time: '10:30', state: null, words: '10:30: no check' },
          ],
        },
        { day: '2026-11-25', isClosed: true, cells: [] },
      ],
    },
  ],
  signals: [SIGNAL],
  help: [],
  standings: [],
  ...changes,
});

describe('the field', () => {
  it('says who is off with a word for every mark, and leads to the answer', () => {
    renderAs(<CafesPage field={viewOf()} />);
    expect(screen.getByText(/all coffees 2\.7 s fast/)).toBeTruthy();
    expect(screen.queryByText(/\d %/)).toBeNull();
    const link = screen.getByRole('link', { name: 'See its checks and answer' });
    expect(link.getAttribute('href')).toBe('/field/cafes/a?signal=step%20a%201');
    const table = within(screen.getByRole('table'));
    expect(table.getByText('7:05: 2 of 2 off, fast.')).toBeTruthy();
    expect(table.getByText('10:30: no check.')).toBeTruthy();
    expect(table.getByText('closed')).toBeTruthy();
    expect(table.getByText(/3 of 5/)).toBeTruthy();
  });

  it('notes what a signal was, and shows it from then on', async () => {
    const sent = fakeServer(DONE);
    renderAs(<CafesPage field={viewOf()} />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Say what it was' }));
    await user.selectOptions(screen.getByLabelText('It was'), 'burrs');
    await user.type(screen.getByLabelText('Note'), 'new ones on Monday');
    await user.click(screen.getByRole('button', { name: 'Note it' }));
    expect(sent[0]).toMatchObject({
      kind: 'settleSignal',
      input: { signal: SIGNAL.key, cause: 'burrs', note: 'new ones on Monday' },
    });
  });

  it('opens the days of the weather, which asks for nothing', async () => {
    const days = [
      { id: '1', atDay: 20_590, offS: -1.9, fitS: -1.2, isOdd: false },
      { id: '2', atDay: 20_591, offS: -2.2, fitS: -1.6, isOdd: false },
    ];
    const weather: SignalView = {
      ...{ ...SIGNAL, kind: 'weather', title: 'Damp in Ostrel: everything 1.6 s fast' },
      ...{ partnerIds: [], asksOrder: false, days },
    };
    renderAs(<CafesPage field={viewOf({ signals: [weather] })} />);
    const name = 'Weather of the town, day by day';
    expect(screen.queryByRole('img', { name })).toBeNull();
    await userEvent.setup().click(screen.getByRole('button', { name: 'See its days' }));
    expect(screen.getByRole('img', { name })).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'See its checks and answer' })).toBeNull();
  });

  it('leads from a batch that is off to a check of it at Rest, with the reason', () => {
    const title = '3 cafés on the batch of 15 Nov of Dembi Ridge run 2.5 s fast';
    const batch: SignalView = {
      ...{ ...SIGNAL, kind: 'batch', title, releaseId: 'r' },
      ...{ key: 'batch r 2026-11-15', partnerIds: [], asksOrder: false },
    };
    const asked = () =>
      screen.queryByRole('link', { name: 'Ask for a check of it' })?.getAttribute('href');
    const { unmount } = renderAs(<CafesPage field={viewOf({ signals: [batch] })} />);
    const address = new URL(asked()!, 'http://house');
    expect(address.pathname).toBe('/releases/r/rest');
    expect(Object.fromEntries(address.searchParams)).toEqual({ check: title, roast: '2026-11-15' });
    unmount();
    renderAs(<CafesPage field={viewOf({ signals: [batch] })} />, { role: 'reader' });
    expect(asked()).toBeUndefined();
  });

  it('keeps settled signals below, with what they were', () => {
    const settled = {
      signal: SIGNAL.key,
      cause: 'scale' as const,
      note: '0.7 g',
      settledAt: '2026-11-24T08:00:00Z',
    };
    renderAs(<CafesPage field={viewOf({ signals: [{ ...SIGNAL, settled }] })} />);
    expect(screen.getByText(/Nobody is off/)).toBeTruthy();
    expect(screen.getByText('Found: its scale, 0.7 g')).toBeTruthy();
  });

  it('never says that nobody is off beside one that is, whether it changed or not', () => {
    const words = 'Quay Nine: Harbour Lamp 5.1 s fast, hardly a chance in its window';
    const standings = [{ partnerId: 'a', kind: 'off' as const, words }];
    renderAs(<CafesPage field={viewOf({ signals: [], standings })} />);
    expect(screen.queryByText(/Nobody is off/)).toBeNull();
    expect(screen.getByRole('link', { name: words })).toBeTruthy();
  });

  it('shows a call for help first, until it is settled', async () => {
    const sent = fakeServer(DONE);
    const visit = {
      id: 'v',
      partnerId: 'a',
      visitedAt: '2026-11-24T08:00:00Z',
      receivedAt: '2026-11-24T08:00:00Z',
      isDatedHere: false,
      enteredBy: null,
      help: 'Sour since yesterday.',
      helpSettledAt: null,
    };
    renderAs(<CafesPage field={viewOf({ help: [{ visit, cafe: 'Quay Nine' }] })} />);
    expect(screen.getByText(/Sour since yesterday\./)).toBeTruthy();
    await userEvent.setup().click(screen.getByRole('button', { name: 'Settled' }));
    expect(sent[0]).toMatchObject({ kind: 'settleHelp', input: { visitId: 'v' } });
  });

  it('says what comes here and the first step where there is no café', () => {
    renderAs(<CafesPage field={{ cafes: [], signals: [], help: [], standings: [] }} />);
    expect(screen.getByText(/No café yet\. Add one/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Add a café' })).toBeTruthy();
  });

  it('offers a reader nothing that writes', () => {
    renderAs(<CafesPage field={viewOf()} />, { role: 'reader' });
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('link', { name: 'Add a café' })).toBeNull();
  });
});

describe('an answer', () => {
  const draft = { releaseId: 'r', subject: 'Check', body: 'Good morning Ada,', asksRound: true };

  it('is changed, then lies in the outbox with the signal it answers', async () => {
    const sent = fakeServer({ status: 200, body: { result: { messageId: 'm' } } });
    renderAs(<AnswerForm partnerId="a" draft={draft} signal={SIGNAL.key} />);
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('Message'), ' grind finer.');
    await user.click(screen.getByLabelText(/Ask a whole extra round/));
    await user.click(screen.getByRole('button', { name: 'Put it into the outbox' }));
    expect(sent[0]).toMatchObject({
      kind: 'answerPartner',
      input: {
        ...{ partnerId: 'a', releaseId: 'r', signal: SIGNAL.key },
        body: 'Good morning Ada, grind finer.',
        asksRound: false,
      },
    });
    expect(await screen.findByText(/It lies in the outbox/)).toBeTruthy();
  });
});

describe('a café', () => {
  it('is described with the coffees of its sheet; letters are asked for where its dial has them', async () => {
    const sent = fakeServer({ status: 200, body: { result: { partnerId: 'p' } } });
    renderAs(<PartnerForm partner={null} coffees={[{ id: 'r', name: 'Harbour Lamp' }]} />);
    const user = userEvent.setup();
    await user.type(screen.getByRole('textbox', { name: 'Café' }), 'Quay Nine');
    await user.type(screen.getByLabelText('Town'), 'Ostrel');
    await user.click(screen.getByLabelText('Sunday'));
    await user.click(screen.getByLabelText('Harbour Lamp'));
    expect(screen.queryByLabelText('Letters to a number')).toBeNull();
    await user.selectOptions(screen.getByLabelText('The dial shows'), 'letters');
    await user.type(screen.getByLabelText('Letters to a number'), '8');
    await user.click(screen.getByRole('button', { name: 'Add the café' }));
    expect(sent[0]).toMatchObject({
      kind: 'savePartner',
      input: {
        partner: {
          ...{ name: 'Quay Nine', town: 'Ostrel', notation: 'letters', divisions: 8 },
          closedWeekdays: ['7'],
        },
        releaseIds: ['r'],
      },
    });
  });

  it('has its paper sheets written down, one line a coffee, only those with a time', async () => {
    const sent = fakeServer(DONE);
    const { stored, sheet, releaseId } = partner();
    renderAs(<QuickEntry partnerId={stored.id} sheet={sheet} />);
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('Checked at'), '2026-05-20 14:00');
    await user.type(screen.getByLabelText('Time, s'), '27.5');
    await user.selectOptions(screen.getByLabelText('Taste'), 'fine');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(sent[0]).toMatchObject({
      kind: 'enterChecks',
      input: {
        partnerId: stored.id,
        at: new Date('2026-05-20 14:00').toISOString(),
        checks: [{ releaseId, check: { timeS: 27.5, doseG: 18, taste: 'fine' } }],
      },
    });
    expect(await screen.findByText('Written down.')).toBeTruthy();
  });
});

describe('a release in the field', () => {
  const FOUND: ReleaseCafesView = {
    signals: [],
    standings: [],
    batches: [],
    drawn: [],
    tastes: [['sour', 3]],
    why: 'From the cafés: it runs fast.',
    tried: { cafeFixed: 'at Quay Nine: 10 of 12 checks inside.' },
    cafes: [
      {
        ...{ partnerId: 'a', cafe: 'Quay Nine', lastAt: null, lastState: null },
        ...{ roastDate: null, offS: -1.2, half80S: 0.8, inWindow: 0.91, inside: 10, made: 12 },
      },
    ],
  };

  it('carries what was found to the next version of its card', () => {
    const { releaseId } = partner();
    renderAs(<CafesStage releaseId={releaseId} field={FOUND} />);
    const link = screen.getByRole('link', { name: 'A new version of the card' });
    const query = new URL(link.getAttribute('href')!, 'http://here').searchParams;
    expect(query.get('why')).toBe('From the cafés: it runs fast.');
    expect(query.get('cafeFixed')).toMatch(/^at Quay Nine/);
    expect(query.has('cafe')).toBe(false);
    expect(screen.getByText('−1.2 ± 0.8')).toBeTruthy();
    expect(screen.getByText(/sour side 3/)).toBeTruthy();
  });

  it('draws the checks of every batch, each with a mark that has a word', () => {
    const batch = { before: '2026-05-01', offS: -2.1, half80S: 0.6, probability: 0.97 };
    const drawnOf = (roastDate: string, fitS: number) => ({
      roastDate,
      fitS,
      points: [{ atDay: 20_590, offS: fitS + 0.3, isOdd: false }],
    });
    const batches = [{ ...batch, roastDate: '2026-05-15' }];
    const drawn = [drawnOf('2026-05-01', 0), drawnOf('2026-05-15', -2.1)];
    renderAs(<CafesStage releaseId="r" field={{ ...FOUND, batches, drawn }} />);
    expect(
      screen.getByRole('img', { name: 'Checks by batch, with their fit, over time' }),
    ).toBeTruthy();
    expect(screen.getByText(/circles 1 May 2026, triangles 15 May 2026;/)).toBeTruthy();
    expect(screen.getByText('−2.1 ± 0.6')).toBeTruthy();
  });

  it('draws nothing where one batch alone was checked lately', () => {
    const batches = [
      { roastDate: '2026-05-15', before: '2026-05-01', offS: 0.1, half80S: 2, probability: 0.1 },
    ];
    renderAs(<CafesStage releaseId="r" field={{ ...FOUND, batches }} />);
    expect(screen.queryByRole('img')).toBeNull();
  });
});
