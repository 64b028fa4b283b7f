import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { findHouse } from '@/data/house';
import { readBest } from '@/views/best';
import { DONE, fakeServer, router } from '../../../tests/support/browser';
import { send } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith, type ViewedHouse } from '../../../tests/support/view';
import { Best } from './Best';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

/** A bench whose shots were liked so. */
function liked(...shots: (readonly [yieldG: number, liking: number])[]): ViewedHouse {
  const house = houseWith(...shots.map(([yieldG]) => ({ yieldG })));
  house.view().bench!.shots.forEach(({ id }, i) => {
    send(house.db, 'recordTasting', {
      shotId: id,
      moment: 'warm',
      serving: 'straight',
      scales: { liking: shots[i]![1], sweetness: 5, sharpness: 2 },
      notesFound: [],
      remark: '',
    });
  });
  return house;
}

function show({ db, view, releaseId }: ViewedHouse) {
  const bench = view().bench!;
  const best = readBest(db, findHouse(db)!, view())!;
  renderAs(<Best best={best} bench={bench} releaseId={releaseId} />);
  return best;
}

it('says before any cup how near a first one should be, and which cups would tell most', () => {
  show(houseWith({}));
  expect(screen.getByText(/a first cup is expected within about \d\.\d points/)).toBeTruthy();
  const flight = screen.getByRole('region', { name: 'Cups that would tell most' });
  expect(within(flight).getAllByRole('row')).toHaveLength(4);
  expect(screen.queryByRole('button', { name: 'Use the forgiving recipe' })).toBeNull();
});

it('finds the better side from ordinary cups, and takes the recipe that forgives in one press', async () => {
  const sent = fakeServer(DONE);
  const best = show(liked([32, 4], [36, 6], [42, 8]));
  expect(best.cups).toBe(3);
  expect(best.robust.ratio).toBeGreaterThan(2);
  expect(screen.getByText(/3 cups of 3 recipes by 1 taster/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Use the forgiving recipe' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.kind).toBe('acceptRecipe');
  const { yieldG, why, doseG } = sent[0]!.input as { yieldG: number; why: string; doseG: number };
  expect(yieldG).toBeCloseTo(best.robust.ratio * doseG, 0);
  expect(why).toMatch(/forgiving recipe, from 3 cups/);
});

it('counts a cup where its shot really was, and neither milk nor a choked shot', () => {
  const house = liked([36, 7]);
  const count = () => readBest(house.db, findHouse(house.db)!, house.view())!.cups;
  expect(count()).toBe(1);
  const shotId = house.view().bench!.shots[0]!.id;
  send(house.db, 'recordTasting', {
    shotId,
    moment: 'warm',
    serving: 'milk',
    scales: { liking: 9 },
    notesFound: [],
    remark: '',
  });
  expect(count()).toBe(1);
});

it('says how cafés’ cups lean together, and what each of them says', async () => {
  const { db, view, releaseId } = houseWith({});
  const bench = view().bench!;
  const place = { ratio: 2, temperatureC: 93, timeS: 28 };
  const cafes = [
    { ...place, cafe: 'a', name: 'Quay Nine', u: 1.24, sd: 0.7, cups: 40 },
    { ...place, cafe: 'b', name: 'Old Tram Shed', u: -0.3, sd: 0.8, cups: 12 },
  ];
  const best = { ...readBest(db, findHouse(db)!, view())!, cafes };
  renderAs(<Best best={best} bench={bench} releaseId={releaseId} />);
  // (1.24/.49 − .3/.64) / (1/.49 + 1/.64) = .572, and 1.2816/√3.603 = .675.
  expect(screen.getByText(/Words of 52 cups at 2 cafés count too/).textContent).toMatch(
    /together \+0\.6 ± 0\.7 points of sour over bitter/,
  );
  await userEvent.click(screen.getByText('What each café says'));
  const each = within(screen.getByRole('region', { name: 'What each café says' }));
  expect(each.getByRole('row', { name: 'Old Tram Shed 12 −0.3 ± 1.0' })).toBeTruthy();
});
