/** What was entered wrongly is put right: shots and cup sheets, with what they were kept. */
import { findHouse } from '@/data/house';
import { listEvents } from '@/data/events';
import { listShots } from '@/data/shots';
import { listTastings } from '@/data/tastings';
import { listVersions } from '@/data/publications';
import { readRelease } from '@/views/release';
import { faultOf } from '../support/fault';
import { join, newId, send, shotInput, TODAY, WORDS } from '../support/house';
import { houseWith } from '../support/view';

const CUP = {
  moment: 'hot',
  serving: 'straight',
  scales: { liking: 8, sweetness: 6, sharpness: 2, bitterness: 2 },
  notesFound: ['apricot'],
  remark: '',
};

const openShot = (timeS: number) => {
  const house = houseWith({ timeS });
  const dialInId = house.view().bench!.draft.dialInId;
  const shot = () => listShots(house.db, dialInId)[0]!;
  const { draftId: _draftId, ...entered } = shotInput(house.draftId, { timeS });
  const words = () => listEvents(house.db, house.releaseId)[0]!.words;
  return { ...house, dialInId, shot, entered, words };
};

describe('a shot that was entered wrongly', () => {
  it('is corrected, judged anew, said in the log, and can be put back', () => {
    const { db, shot, entered, words, view } = openShot(82);
    const input = { ...entered, shotId: shot().id, rowVersion: 1, timeS: 28, dial: 11 };
    const { editId } = send(db, 'correctShot', input);
    expect(shot()).toMatchObject({ timeS: 28, dial: 11, rowVersion: 2 });
    expect(view().bench!.shots[0]!.mark.landed).toBe(true);
    expect(words()).toContain('dial 12 → 11, time 82 s → 28 s');
    send(db, 'undoEdit', { editId }, newId(), join(db, 'bench'));
    expect(shot()).toMatchObject({ timeS: 82, dial: 12 });
  });

  it('is not corrected over what somebody else made of it meanwhile', () => {
    const { db, shot, entered } = openShot(27);
    const input = { ...entered, shotId: shot().id, rowVersion: 1 };
    send(db, 'correctShot', { ...input, timeS: 29 });
    expect(faultOf(() => send(db, 'correctShot', { ...input, timeS: 26 })).code).toBe('conflict');
    expect(shot().timeS).toBe(29);
  });

  it('keeps to what a shot can be', () => {
    const { db, shot, entered } = openShot(27);
    const input = { ...entered, shotId: shot().id, rowVersion: 1 };
    expect(faultOf(() => send(db, 'correctShot', { ...input, firstDripS: 40 })).message).toMatch(
      /first drip comes after/,
    );
    expect(
      faultOf(() => send(db, 'correctShot', { ...input, tdsPct: 25, doseG: 6 })).message,
    ).toMatch(/more than the dose/);
    expect(shot()).toMatchObject({ timeS: 27, rowVersion: 1 });
  });

  it('of a published proof leaves the card as it was, and says so', () => {
    const { db, releaseId, draftId, shot, entered, words } = openShot(28);
    send(db, 'publish', { ...WORDS, releaseId, draftId });
    const [before] = listVersions(db, releaseId);
    send(db, 'correctShot', { ...entered, shotId: shot().id, rowVersion: 1, timeS: 45 });
    expect(words()).toContain('version 1 was published with it and stands as it was');
    expect(listVersions(db, releaseId)).toEqual([before]);
  });
});

describe('a cup sheet', () => {
  const openSheet = () => {
    const house = openShot(28);
    const { tastingId } = send(house.db, 'recordTasting', { ...CUP, shotId: house.shot().id });
    const sheets = () => listTastings(house.db, house.dialInId);
    return { ...house, tastingId: String(tastingId), sheets };
  };

  it('that says nothing is not kept', () => {
    const { db, shot, sheets } = openSheet();
    const empty = { ...CUP, scales: { strength: 0, signs: [] }, notesFound: [], shotId: shot().id };
    expect(faultOf(() => send(db, 'recordTasting', empty)).message).toMatch(/sheet is empty/);
    expect(sheets()).toHaveLength(1);
  });

  it('is corrected and deleted by its taster and the lead, with its trace in the log', () => {
    const { db, tastingId, sheets, words, view, releaseId } = openSheet();
    const bench = join(db, 'bench');
    const changed = { ...CUP, tastingId, rowVersion: 1, scales: { ...CUP.scales, liking: 3 } };
    const refused = faultOf(() => send(db, 'correctTasting', changed, newId(), bench));
    expect(refused.message).toMatch(/cup sheet of Ines\. Only they and the lead/);
    send(db, 'correctTasting', changed);
    expect(sheets()[0]).toMatchObject({ scales: { liking: 3 }, rowVersion: 2 });
    expect(words()).toBe('corrected their own cup sheet');
    send(db, 'removeTasting', { tastingId });
    expect(sheets()).toEqual([]);
    expect(words()).toBe('deleted their own cup sheet');
    // Who deleted their sheet has not tasted.
    const house = findHouse(db)!;
    expect(readRelease(db, house, releaseId, { today: TODAY })!.bench!.shots[0]!.tastings).toEqual(
      [],
    );
    expect(view().batch.marks.map(({ kind }) => kind)).toEqual(['shot']);
    send(db, 'restoreTasting', { tastingId });
    expect(sheets()).toHaveLength(1);
  });
});
