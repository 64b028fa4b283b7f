import { aimOf } from './aim';
import { roomOf } from './room';

const asked = { doseG: 18, retentionG: 1, recipes: 4, leftG: 200 };

describe('room for cups', () => {
  it('is a flight of three where nothing binds', () => {
    expect(roomOf(asked)).toEqual({ flight: 3, perCupG: 20, endedBy: null });
    expect(roomOf({ ...asked, leftG: null }).flight).toBe(3);
  });

  it('shrinks by recipes and by coffee, with what is to be kept', () => {
    expect(roomOf({ ...asked, mostRecipes: 6 })).toMatchObject({ flight: 2, endedBy: null });
    expect(roomOf({ ...asked, mostRecipes: 3 })).toMatchObject({ flight: 0, endedBy: 'recipes' });
    expect(roomOf({ ...asked, leftG: 45 })).toMatchObject({ flight: 2, endedBy: null });
    expect(roomOf({ ...asked, keepG: 181 })).toMatchObject({ flight: 0, endedBy: 'coffee' });
    expect(roomOf({ ...asked, leftG: -5 })).toMatchObject({ flight: 0, endedBy: 'coffee' });
  });
});

describe('a cup from elsewhere', () => {
  it('is taken by how each taster uses the scale, and more surely from those who are known', () => {
    const likings = [
      { taster: 'one', liking: 8 },
      { taster: 'other', liking: 6 },
    ];
    const known = aimOf(likings, { one: 1, other: -1 })!;
    expect(known.mean).toBeCloseTo(7, 9);
    const strangers = aimOf(likings, {})!;
    expect(strangers.sd).toBeGreaterThan(known.sd);
    // The stranger's 6 counts less than the known taster's 7.
    expect(aimOf(likings, { one: 1 })!.mean).toBeGreaterThan(6.5);
  });

  it('is no aim where nobody scored it', () => {
    expect(aimOf([], { one: 1 })).toBeNull();
  });
});
