import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { BATCH, send } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { batchChoices } from '@/views/lookedAt';
import { ReleaseFrame } from './ReleaseFrame';
import { stagesOf } from './stages';

jest.mock('next/navigation', () => ({
  useRouter: () => router,
  useSelectedLayoutSegment: () => 'pull',
  useSearchParams: () => search,
}));

let search = new URLSearchParams();
beforeEach(() => {
  search = new URLSearchParams();
});

function openFrame({ db, view }: ViewedHouse) {
  renderAs(
    <ReleaseFrame view={view()} stages={stagesOf(view())} choices={batchChoices(db, view())}>
      <p>The stage</p>
    </ReleaseFrame>,
  );
  return userEvent.setup();
}

const advice = () => screen.getByLabelText('Next move').textContent ?? '';

describe('the frame of a release', () => {
  it('shows the recipe in force with its units', () => {
    openFrame(houseWith());
    const plate = (screen.getByLabelText('Recipe in force').textContent ?? '').replaceAll(
      '\u00a0',
      ' ',
    );
    for (const words of [
      'On the bench',
      '18.0 → 36.0 g',
      '1:2.00',
      '26-30 s from the pump',
      '93.0 °C',
      'dose ± 0.3 g, yield ± 1.4 g',
      'day 8-21',
    ])
      expect(plate).toContain(words);
  });

  it('changes stage by digit, but not while a figure is typed', async () => {
    const user = openFrame(houseWith());
    await user.keyboard('4');
    expect(router.push).toHaveBeenLastCalledWith(expect.stringMatching(/\/taste$/));
    router.push.mockClear();
    const field = document.createElement('input');
    document.body.append(field);
    field.focus();
    await user.keyboard('2');
    expect(router.push).not.toHaveBeenCalled();
    field.remove();
  });

  it('marks the stage that is open', () => {
    openFrame(houseWith());
    expect(screen.getByRole('link', { current: 'page' }).textContent).toMatch(/Pull/);
  });
});

describe('the batch switch', () => {
  /** A second batch, not pulled yet. */
  const houseOfTwo = () => {
    const house = houseWith({});
    const batch = { ...BATCH, roastDate: '2026-05-14' };
    const { batchId } = send(house.db, 'saveBatch', { releaseId: house.releaseId, batch });
    return { house, batchId: String(batchId) };
  };

  it('is not there for a coffee of one batch', () => {
    openFrame(houseWith({}));
    expect(screen.queryByLabelText('Batch')).toBeNull();
  });

  it('leads to another batch on the same stage', async () => {
    const { house, batchId } = houseOfTwo();
    const user = openFrame(house);
    const select = screen.getByLabelText('Batch');
    expect(select.textContent).toMatch(/1 shot, on the bench/);
    await user.selectOptions(select, `batch=${batchId}`);
    expect(router.push).toHaveBeenLastCalledWith(
      `/releases/${house.releaseId}/pull?batch=${batchId}`,
    );
  });

  it('stays with it on the stages of one batch, and says no next move of the bench there', async () => {
    const { house, batchId } = houseOfTwo();
    search = new URLSearchParams({ batch: batchId });
    const user = openFrame(house);
    expect(screen.getByRole('link', { name: /Taste/ }).getAttribute('href')).toMatch(
      `/taste?batch=${batchId}`,
    );
    expect(screen.getByRole('link', { name: /Publish/ }).getAttribute('href')).toMatch(/publish$/);
    await user.keyboard('5');
    expect(router.push).toHaveBeenLastCalledWith(expect.stringMatching(`/rest.batch=${batchId}`));
    expect(screen.queryByLabelText('Next move')).toBeNull();
    expect(screen.getByRole('link', { name: /Pull/ }).textContent).toMatch(/0 shots/);
    expect(screen.getByLabelText('Coffee').textContent).toMatch(/2, this one not on the bench/);
  });
});

describe('the next move', () => {
  it('asks for the first shot', () => {
    openFrame(houseWith());
    expect(advice()).toMatch(/Pull the first shot/);
  });

  it('says grind direction with word and dial, the purge, the expectation and its band', () => {
    openFrame(houseWith({ timeS: 22 }));
    expect(advice()).toMatch(/Finer, 12 → 1[01](\.5)?/);
    expect(advice()).toMatch(/Purge 1\.0 g first: as much as this move needs/);
    expect(advice()).toMatch(
      /Expect 2\d s from the pump, likely \d\d-\d\d \(8 in 10\)\. In the window: (a toss-up|\d in 10)/,
    );
    expect(advice()).toMatch(/Repeat unchanged: 22 s/);
    expect(screen.queryByRole('button', { name: 'Use this recipe' })).toBeNull();
  });

  it('puts a move made by taste on the bench as the next revision', async () => {
    const house = houseWith({}, {});
    const { shots } = house.view().bench!;
    send(house.db, 'recordTasting', {
      shotId: shots.at(-1)!.id,
      moment: 'warm',
      serving: 'straight',
      scales: { bitterness: 9, dryness: 9 },
      notesFound: [],
      remark: '',
    });
    const sent = fakeServer(DONE);
    const user = openFrame(house);
    expect(advice()).toMatch(/Shorter: 36\.0 → \d\d\.\d g/);
    await user.click(screen.getByRole('button', { name: 'Use this recipe' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    const { input } = sent[0]!;
    expect(input.yieldG).toBeLessThan(36);
    expect((input.timeS as number[])[1]).toBeLessThan(30);
    expect(input.why).toMatch(/^Taste: Shorter/);
    const { draftId } = send(house.db, 'acceptRecipe', input);
    expect(house.view().bench!.draft).toMatchObject({
      id: draftId,
      revision: 2,
      recipe: { yieldG: input.yieldG },
    });
  });

  it('says what is on target, how surely, and expects nothing', () => {
    openFrame(houseWith({}, {}));
    expect(advice()).toMatch(
      /On target: taste it.*28\.0 ± \d\.\d s: (almost certain|9 in 10|10 in 10) that it holds/,
    );
    expect(advice()).not.toMatch(/Expect/);
  });
});
