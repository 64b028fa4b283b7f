import { act, renderHook } from '@testing-library/react';
import { useOrder } from './useOrder';

const ROWS = [
  { name: 'Lot 10', timeS: 28 },
  { name: 'Lot 9', timeS: undefined },
  { name: 'Lot 8', timeS: 31 },
];
const ORDERING = {
  by: {
    name: ({ name }: (typeof ROWS)[number]) => name,
    timeS: ({ timeS }: (typeof ROWS)[number]) => timeS,
  },
  down: ['timeS'] as const,
};

function ordered() {
  const { result } = renderHook(() => useOrder(ROWS, ORDERING));
  const head = (name: 'name' | 'timeS') => {
    const column = result.current.head(name, { words: name });
    if (typeof column !== 'object' || !('onSort' in column)) throw new Error('not sortable');
    return column;
  };
  return {
    names: () => result.current.rows.map(({ name }) => name),
    sorted: (name: 'name' | 'timeS') => head(name).sorted,
    press: (name: 'name' | 'timeS') => act(() => head(name).onSort!()),
  };
}

test('one press sorts, the second turns round, the third gives the rows back as they came', () => {
  const { names, press, sorted } = ordered();
  expect(names()).toEqual(['Lot 10', 'Lot 9', 'Lot 8']);
  press('name');
  expect(names()).toEqual(['Lot 8', 'Lot 9', 'Lot 10']);
  expect([sorted('name'), sorted('timeS')]).toEqual(['ascending', 'none']);
  press('name');
  expect(names()).toEqual(['Lot 10', 'Lot 9', 'Lot 8']);
  expect(sorted('name')).toBe('descending');
  press('name');
  expect(sorted('name')).toBe('none');
});

test('a figure is asked for from the largest down, and what is not known stands last either way', () => {
  const { names, press } = ordered();
  press('timeS');
  expect(names()).toEqual(['Lot 8', 'Lot 10', 'Lot 9']);
  press('timeS');
  expect(names()).toEqual(['Lot 10', 'Lot 8', 'Lot 9']);
});
