import { STYLE_STEPS } from '@/core/programme/styles';
import { send, shotInput } from '../../../tests/support/house';
import { houseWith } from '../../../tests/support/view';
import { readinessOf } from './readiness';

const gates = (house: ReturnType<typeof houseWith>) =>
  Object.fromEntries(readinessOf(house.view()).map(({ gate, ...rest }) => [gate, rest]));

describe('ready to leave the house', () => {
  it('says of each gate what stands or what is missing', () => {
    expect(gates(houseWith())).toEqual({
      confirmed: {
        isMet: false,
        words: expect.stringMatching(/^No setting is on target yet: at least two sound shots/),
      },
      tasted: {
        isMet: false,
        words: 'Nobody has kept a cup sheet of this recipe; two are asked for.',
      },
      rested: { isMet: false, words: 'No shot of this recipe was pulled yet.' },
    });
    expect(gates(houseWith({}, {}))).toMatchObject({
      confirmed: {
        isMet: true,
        words: expect.stringMatching(
          /^This setting runs 28\.0 ± \d\.\d s: (almost certain|9 in 10) that it holds/,
        ),
      },
      rested: { isMet: true, words: 'Last pulled at day 12, inside day 8-21.' },
    });
  });

  it('sees a shot outside the span the card would promise', () => {
    const house = houseWith({});
    house.db.exec("UPDATE shot SET pulled_at = '2026-05-13T12:00:00.000Z'");
    expect(gates(house).rested).toEqual({
      isMet: false,
      words: 'Last pulled at day 5, outside day 8-21 that the card would promise.',
    });
  });

  it('takes no shots for a programme that their machine cannot make', () => {
    const house = houseWith({}, {});
    house.db.exec(`UPDATE recipe_draft SET steps = '${JSON.stringify(STYLE_STEPS.soakFirst)}'`);
    house.db.exec('UPDATE machine SET pressure_control = 0, flow_control = 0');
    expect(gates(house).confirmed).toMatchObject({
      isMet: false,
      words: expect.stringMatching(/cannot make the programme the card would promise/),
    });
    house.db.exec('UPDATE machine SET flow_control = 1');
    expect(gates(house).confirmed!.isMet).toBe(true);
  });

  it('forgets repeats and cups of the recipe before a revision', () => {
    const house = houseWith({}, {});
    const { releaseId, setupId, db } = house;
    const { shots, draft } = house.view().bench!;
    send(db, 'recordTasting', {
      shotId: shots[0]!.id,
      moment: 'hot',
      serving: 'straight',
      scales: { sweetness: 7 },
      notesFound: [],
      remark: '',
    });
    expect(gates(house).tasted!.words).toMatch(/One person has kept/);
    send(db, 'acceptRecipe', {
      releaseId,
      setupId,
      batchId: `${releaseId}-1`,
      style: draft.style,
      temperatureSchool: draft.temperatureSchool,
      doseG: 18,
      yieldG: 36,
      temperatureC: 94,
      timeS: [26, 30],
      clock: 'pump',
      programme: '9 bar, flat',
      restDays: [8, 21],
      startDial: 12,
      why: '',
    });
    expect(readinessOf(house.view()).map(({ isMet }) => isMet)).toEqual([false, false, false]);
    const draftId = house.view().bench!.draft.id;
    send(db, 'logShot', shotInput(draftId, { temperatureC: 94 }));
    // One shot of the revision, right after two of the recipe before: not yet a repeat.
    expect(gates(house).confirmed!.isMet).toBe(false);
    send(db, 'logShot', shotInput(draftId, { temperatureC: 94 }));
    expect(gates(house).confirmed!.isMet).toBe(true);
  });
});
