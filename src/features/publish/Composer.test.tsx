import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { findHouse } from '@/data/house';
import { fakeServer, router } from '../../../tests/support/browser';
import { send, TODAY, WORDS } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { PublishStage } from './PublishStage';
import { publishStageOf } from './stageOf';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

const PUBLISHED = { status: 200, body: { result: { version: 2, sha256: 'x' } } };

function open() {
  const house = houseWith({}, {});
  const { db, releaseId, draftId, view } = house;
  send(db, 'publish', { releaseId, draftId, ...WORDS, hasDrinks: true });
  send(db, 'notePrinted', { releaseId, paper: 'label', copies: 12 });
  send(db, 'publish', { releaseId, draftId, ...WORDS, whatChanged: 'Finer.', hasDrinks: true });
  const stage = publishStageOf(db, findHouse(db)!, view(), { today: TODAY });
  renderAs(<PublishStage {...stage} />);
  return {
    user: userEvent.setup(),
    preview: () => within(screen.getByLabelText('Preview of the card')),
  };
}

describe('what a card says beside its recipe', () => {
  it('shows in the preview as it is ticked and typed', async () => {
    const { user, preview } = open();
    expect(preview().getByText('For your cups')).toBeTruthy();
    await user.click(screen.getByLabelText(/Say what goes into each cup/));
    expect(preview().queryByText('For your cups')).toBeNull();
    await user.click(screen.getByLabelText('Home, 54 mm'));
    expect(preview().getByText(/Home, 54 mm/)).toBeTruthy();
    await user.type(screen.getByLabelText(/Tried there/), 'at Wren’s, twice');
    expect(preview().getByText(/tried: at Wren’s, twice/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Settings over the rest span'), '3');
    expect(preview().getAllByText(/^day \d+-\d+$/)).toHaveLength(3);
  });

  it('fits other setups by what cafés elsewhere found, and says by whom and how surely', () => {
    const { db, view } = houseWith({}, {});
    const stage = publishStageOf(db, findHouse(db)!, view(), { today: TODAY });
    const tried = {
      ...{ timeShare: 0.3, lnRatioPerCooler: 0.055, lnRatioPerHotter: 0.04 },
      ...{ timeShareSd: 0.05, lnRatioPerCSd: 0.02, baskets: 3, heats: 0 },
    };
    const lever = { audience: 'homeLever' as const, tried: '' };
    const timesOf = (offers: typeof stage.offers) => {
      const composed = { ...stage.composed, fits: [lever] };
      const { unmount } = renderAs(<PublishStage {...stage} composed={composed} offers={offers} />);
      const text = screen.getByLabelText('Preview of the card').textContent;
      const said = screen.queryByText(/By the words of cafés elsewhere/)?.textContent;
      unmount();
      return { time: /(\d+)-(\d+) s/.exec(text.split('lever')[1]!)!.slice(1).map(Number), said };
    };
    const [rule, taught] = [timesOf(stage.offers), timesOf({ ...stage.offers!, tried })];
    expect(taught.time[1]).toBeGreaterThan(rule.time[1]!);
    expect(rule.said).toBeUndefined();
    expect(taught.said).toMatch(
      /30\.0 ± 6\.4 %.*\(rule 12\.5 %\), from 3 cafés on another basket\. /,
    );
  });

  it('says phases with a hole before the confirmation, and sends nothing', async () => {
    const sent = fakeServer(PUBLISHED);
    const { user } = open();
    await user.type(screen.getByLabelText(/What changed from version 2/), 'A phase.');
    await user.selectOptions(screen.getByLabelText('Settings over the rest span'), '2');
    const second = within(screen.getByRole('group', { name: 'Phase 2' }));
    const from = second.getByLabelText(/From day/);
    const day = Number((from as HTMLInputElement).value);
    await user.clear(from);
    await user.type(from, String(day + 2));
    await user.click(screen.getByRole('button', { name: 'Publish version 3' }));
    expect(
      screen.getAllByText(new RegExp(`Nothing is said of day ${day} to ${day + 1}`)).length,
    ).toBeGreaterThan(0);
    expect(sent).toEqual([]);
  });

  it('is planned for a later day as it stands', async () => {
    const sent = fakeServer(PUBLISHED);
    const { user } = open();
    await user.type(screen.getByLabelText(/What changed from version 2/), 'Later.');
    await user.click(screen.getByRole('button', { name: 'Plan version 3' }));
    expect(sent[0]).toMatchObject({
      kind: 'planPublication',
      input: { whatChanged: 'Later.', hasDrinks: true, fits: [] },
    });
  });

  it('keeps the house’s words in another language apart', async () => {
    const sent = fakeServer(PUBLISHED);
    const { user } = open();
    await user.selectOptions(screen.getByLabelText('Language'), 'Français');
    await user.type(screen.getByLabelText('Français: when right'), 'Abricot.');
    await user.type(screen.getByLabelText(/What changed from version 2/), 'Words.');
    await user.click(screen.getByRole('button', { name: 'Plan version 3' }));
    expect(sent[0]!.input.otherWords).toEqual({ fr: { right: 'Abricot.' } });
  });
});

describe('papers', () => {
  it('say which are stale, and are noted as printed', async () => {
    const sent = fakeServer(PUBLISHED);
    const { user } = open();
    expect(
      screen.getByText(/To print again, still of an older version: 12 × shelf label \(version 1\)/),
    ).toBeTruthy();
    const label = within(screen.getByRole('group', { name: 'Shelf label' }));
    expect(label.getByText(/12 printed of version 1: stale/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Language of the papers'), 'Deutsch');
    expect(label.getByRole('link').getAttribute('href')).toMatch(/^\/p\/[\w-]+\/de\/label\.pdf$/);
    await user.type(label.getByLabelText('Copies'), '20');
    await user.click(label.getByRole('button', { name: 'Note as printed' }));
    expect(sent[0]).toMatchObject({ kind: 'notePrinted', input: { paper: 'label', copies: 20 } });
  });
});
