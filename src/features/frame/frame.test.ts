import { send, shotInput, WORDS } from '../../../tests/support/house';
import { houseWith } from '../../../tests/support/view';
import { stagesOf } from './stages';
import { stripMarks } from './stripMarks';
import { originWords } from './words';

const figures = (view: ReturnType<ReturnType<typeof houseWith>['view']>) =>
  Object.fromEntries(stagesOf(view).map(({ path, figure }) => [path, figure]));

describe('the stages', () => {
  it('carry the figure that matters at each', () => {
    const { view } = houseWith({ timeS: 22 });
    expect(figures(view())).toEqual({
      read: 'ease −0.7',
      start: '1:2.00',
      pull: '1 shot',
      taste: '0 cups',
      rest: 'day 12',
      publish: 'not yet',
      field: '0 cafés',
    });
  });

  it('are done when their work is', () => {
    const { db, draftId, releaseId, view } = houseWith({}, {});
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const done = stagesOf(view()).filter((stage) => stage.isDone);
    expect(done.map((stage) => stage.path)).toEqual(['read', 'start', 'pull', 'rest', 'publish']);
    expect(figures(view())).toMatchObject({ pull: 'on target', publish: 'version 1' });
  });

  it('ask for a proposal before there is a recipe', () => {
    const { db, view } = houseWith();
    db.exec('DELETE FROM recipe_draft');
    expect(figures(view())).toMatchObject({ start: 'propose', pull: '0 shots' });
  });
});

describe('marks on the rest strip', () => {
  it('stand on the rest day they happened', () => {
    const { db, draftId, releaseId, view } = houseWith({});
    const { shotId } = send(db, 'logShot', shotInput(draftId));
    send(db, 'recordTasting', {
      shotId,
      moment: 'hot',
      serving: 'straight',
      scales: { sweetness: 7 },
      notesFound: [],
      remark: '',
    });
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    expect(stripMarks(view().batch).map(({ kind, restDays }) => [kind, restDays])).toEqual([
      ['shot', 12],
      ['tasting', 12],
      ['publication', 12],
    ]);
    expect(stripMarks(view().batch)[0]!.label).toBe('2 shots, 20 May 2026');
  });
});

describe('origin', () => {
  it('names what is known, narrow to wide', () => {
    const [component] = houseWith().view().release.components;
    expect(originWords([component!])).toBe('Dembi Ridge washing station, Guji, Ethiopia');
    expect(originWords([{ ...component!, producer: '', region: '' }])).toBe('Ethiopia');
    const other = { ...component!, country: 'Brazil' };
    expect(originWords([component!, other, other])).toBe('Blend: Ethiopia, Brazil');
  });
});
