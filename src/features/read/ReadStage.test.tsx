import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { easeOf } from '@/core/ease/ease';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { RELEASE, send, TODAY } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { ReadStage } from './ReadStage';
import { BATCH } from '@/core/entity/batch';
import { sentOf } from '@/ui/entryText';
import {
  EMPTY_COMPONENT,
  EMPTY_RELEASE,
  EMPTY_BATCH,
  releaseSent,
  typedSumPct,
} from './releaseForm';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

function openRead(house = houseWith()) {
  const view = house.view();
  renderAs(<ReadStage view={view} ease={easeOf(view.facts)} hasBeanMap={false} nearest={[]} />);
  return { user: userEvent.setup(), house, view };
}

describe('Read', () => {
  it('shows the push of each fact, the sum, its band, and that it is a heuristic', () => {
    openRead();
    expect(screen.getByText('Variety: dense landrace')).toBeTruthy();
    expect(screen.getByText('−0.50')).toBeTruthy();
    expect(
      screen.getByText(/Ease −0\.65, four times in five between −1\.3\d and \+0\.0\d/),
    ).toBeTruthy();
    expect(screen.getByText(/rule of thumb/)).toBeTruthy();
    expect(screen.getByText(/Practitioners disagree about variety/)).toBeTruthy();
  });

  it('does not claim to know a coffee it knows nothing of', () => {
    const house = houseWith();
    house.db.exec(`UPDATE component SET variety_class = NULL, process = NULL, altitude_m = NULL`);
    house.db.exec('UPDATE batch SET roast_level = NULL');
    openRead(house);
    expect(screen.getByText('Too little is known to say how it will extract')).toBeTruthy();
    const missing = screen.getAllByText(/narrower$/).map((item) => item.textContent);
    expect(missing[0]).toMatch(/^Ground colour/);
    expect(missing).toHaveLength(4);
  });

  it('corrects a fact under the row version it was read at', async () => {
    const sent = fakeServer(DONE);
    const { user, house } = openRead();
    await user.click(screen.getByRole('button', { name: 'Correct the facts' }));
    const density = screen.getByLabelText('Green density, measured, g/L');
    await user.type(density, '712,5');
    await user.click(screen.getByRole('button', { name: 'Save the facts' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      kind: 'editRelease',
      input: {
        rowVersion: 1,
        release: {
          name: RELEASE.name,
          components: [{ densityGPerL: 712.5, altitudeM: 2050, sharePct: 100 }],
        },
      },
    });
    send(house.db, 'editRelease', sent[0]!.input);
    expect(house.view().release.components[0]!.densityGPerL).toBe(712.5);
    expect(house.view().release.rowVersion).toBe(2);
  });

  it('keeps what was typed when someone else was quicker', async () => {
    fakeServer({
      status: 409,
      body: {
        faults: [{ field: 'release', message: 'Someone else changed this release meanwhile.' }],
      },
    });
    const { user } = openRead();
    await user.click(screen.getByRole('button', { name: 'Correct the facts' }));
    const name = screen.getByLabelText<HTMLInputElement>('Name of the release');
    await user.clear(name);
    await user.type(name, 'Dembi High Ridge');
    await user.click(screen.getByRole('button', { name: 'Save the facts' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/Someone else/);
    expect(name.value).toBe('Dembi High Ridge');
  });
});

describe('what the forms send', () => {
  it('leaves unknown facts out, splits the notes, and gives the only component all of it', () => {
    const typed = {
      ...EMPTY_RELEASE,
      name: 'Lume',
      promisedNotes: ' cocoa, ,raisin ',
      components: [{ ...EMPTY_COMPONENT, sharePct: '40', densityGPerL: 'heavy' }],
    };
    const { components, promisedNotes } = releaseSent(typed);
    expect(promisedNotes).toEqual(['cocoa', 'raisin']);
    expect(components[0]).toMatchObject({
      sharePct: 100,
      varietyClass: undefined,
      process: undefined,
      altitudeM: undefined,
      densityGPerL: 'heavy',
    });
    expect(
      sentOf(BATCH, { ...EMPTY_BATCH, roastDate: TODAY, roastLevel: '-0.5', colourGround: '88,5' }),
    ).toEqual({
      label: '',
      sharesPct: '',
      roastDate: TODAY,
      roastLevel: -0.5,
      colourBean: undefined,
      colourGround: 88.5,
      weightLossPct: undefined,
      sampleG: undefined,
    });
  });

  it('says what typed shares come to', () => {
    const part = (sharePct: string) => ({ ...EMPTY_COMPONENT, sharePct });
    expect(typedSumPct([part('60'), part('39,5')])).toBe(99.5);
    expect(typedSumPct([part('60'), part('')])).toBeNull();
  });
});
