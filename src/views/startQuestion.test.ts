import type { StoredDraft } from '@/data/dialIns';
import { readStartQuestion } from './startQuestion';

const house = { brewStyle: 'classic', temperatureSchool: 'both' } as const;
const setups = [{ id: 'one' }, { id: 'two' }];
const read = (
  search: Record<string, string | string[] | undefined>,
  draft?: Partial<StoredDraft>,
) => readStartQuestion(search, { house, draft: draft as StoredDraft | undefined, setups });

describe('the question in the address', () => {
  it('falls back to the bench, and then to the house', () => {
    const onBench = {
      style: 'soakFirst',
      temperatureSchool: 'wide',
      setupId: 'two',
    } as const;
    expect(read({}, onBench)).toMatchObject(onBench);
    expect(read({})).toMatchObject({
      style: 'classic',
      temperatureSchool: 'both',
      setupId: 'one',
    });
  });

  it('puts what is asked before both', () => {
    const asked = { style: 'declining', school: 'narrow', setup: 'one', batch: 'b', from: 'r' };
    expect(read(asked, { style: 'soakFirst', setupId: 'two' })).toMatchObject({
      style: 'declining',
      temperatureSchool: 'narrow',
      setupId: 'one',
      batchId: 'b',
      from: 'r',
    });
  });

  it('sets no style beside itself', () => {
    expect(read({ style: 'longQuick', beside: 'longQuick' }).beside).toBeNull();
    expect(read({ style: 'longQuick', beside: 'shortDense' }).beside).toBe('shortDense');
  });

  it('supposes only what a coffee can be', () => {
    const { suppose } = read({ ifRoast: '-1.5', ifProcess: 'honey', ifRest: '30' });
    expect(suppose).toEqual({ roastLevel: -1.5, process: 'honey', restDays: 30 });
    const nothing = { roastLevel: undefined, process: undefined, restDays: undefined };
    expect(read({ ifRoast: '9', ifProcess: 'moon', ifRest: '' }).suppose).toEqual(nothing);
    expect(read({ ifRoast: ['1', '2'], ifRest: 'NaN' }).suppose).toEqual(nothing);
  });

  it('never breaks on an address somebody bent', () => {
    for (const bent of ['', ' ', '__proto__', 'constructor', '%00', '1e999', '-0'])
      expect(read({ style: bent, school: bent, setup: bent, ifRoast: bent })).toMatchObject({
        style: 'classic',
        setupId: 'one',
      });
  });
});
