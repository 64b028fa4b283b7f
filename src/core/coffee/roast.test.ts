import { readRoast } from './roast';

const MAP = [
  { roastLevel: -1, colourGround: 96, colourBean: 84 },
  { roastLevel: 0, colourGround: 80 },
  { roastLevel: 1, colourGround: 66, colourBean: 60 },
];

describe('the roast level of a batch', () => {
  it('is the word while there is no colour', () => {
    expect(readRoast({ roastLevel: -1 }, MAP)).toEqual({
      level: -1,
      sd: 0,
      source: 'word',
      colourMinusWord: null,
    });
    expect(readRoast({}, MAP)).toEqual({
      level: null,
      sd: 0,
      source: null,
      colourMinusWord: null,
    });
  });

  it('is the house’s own reading of the ground colour, and says how far the word is off', () => {
    const { level, source, colourMinusWord } = readRoast(
      { roastLevel: -1, colourGround: 88, colourBean: 60 },
      MAP,
    );
    expect(source).toBe('ground');
    expect(level).toBeCloseTo(-0.5, 9);
    expect(colourMinusWord).toBeCloseTo(0.5, 9);
  });

  it('is the common scale’s reading while the house has fewer than two of its own', () => {
    expect(readRoast({ colourGround: 95 }, MAP.slice(0, 1)).level).toBeCloseTo(-1, 9);
  });

  it('counts a bean colour only by the house’s own map', () => {
    expect(readRoast({ colourBean: 72 }, MAP)).toMatchObject({ level: 0, source: 'bean' });
    expect(readRoast({ colourBean: 72, roastLevel: 1 }, MAP.slice(0, 2))).toMatchObject({
      level: 1,
      source: 'word',
    });
  });

  it('holds flat beyond the ends of the map', () => {
    expect(readRoast({ colourGround: 150 }, MAP).level).toBe(-1);
    expect(readRoast({ colourGround: 10 }, MAP).level).toBe(1);
  });

  it('is shifted a little by the thumb, and alone the thumb leaves it in doubt', () => {
    const doubted = readRoast({ roastLevel: -1, crush: 'crumbles' }, MAP);
    expect(doubted).toMatchObject({ source: 'word', sd: 0 });
    expect(doubted.level).toBeCloseTo(-1 + 0.2 * 2.2, 9);
    const felt = readRoast({ crush: 'resists' }, MAP);
    expect(felt).toMatchObject({ source: 'thumb' });
    expect(felt.level).toBeCloseTo(-1.2 * (0.49 / 1.3), 9);
    expect(felt.sd).toBeCloseTo(Math.sqrt((0.49 * 0.81) / 1.3), 9);
    expect(readRoast({ colourGround: 80, crush: 'crumbles' }, MAP).source).toBe('ground');
  });
});
