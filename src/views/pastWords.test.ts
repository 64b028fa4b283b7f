import type { DecidedRecipe } from './history';
import type { HouseKnowledge } from './houseModel';
import { nearestTo, pastWords } from './pastWords';

function decided(id: string, facts: DecidedRecipe['facts'], version: number | null = 1) {
  return {
    name: `Lot ${id}`,
    version,
    decidedAt: '2026-03-04T10:00:00.000Z',
    draft: { releaseId: id, style: 'classic', recipe: { ratio: 2.4, temperatureC: 93 } },
    facts: { id, restDays: 14, varietyClass: 'ordinary', densityGPerL: 700, ...facts },
  } as unknown as DecidedRecipe;
}

function knowing(...all: DecidedRecipe[]): HouseKnowledge {
  const history = all.map(({ facts, draft: { style, recipe } }) => ({
    release: facts,
    style,
    recipe,
  }));
  return { decided: all, history } as unknown as HouseKnowledge;
}

describe('a past release in a few words', () => {
  it('names process, roast and style, the larger share first', () => {
    const blend = decided('b', {
      roastLevel: 0.5,
      components: [
        { sharePct: 30, process: 'washed' },
        { sharePct: 70, process: 'natural' },
      ],
    });
    expect(pastWords(blend)).toEqual({
      releaseId: 'b',
      name: 'Lot b',
      kind: 'Natural and washed, medium-dark, classic',
      ratio: 2.4,
      temperatureC: 93,
      day: '2026-03-04',
      isRecord: false,
    });
  });

  it('leaves out what is not known, and says when it is a record', () => {
    const words = pastWords(decided('r', {}, null));
    expect(words).toMatchObject({ kind: 'Classic', isRecord: true });
  });
});

describe('the nearest past releases', () => {
  const light = { roastLevel: -1, process: 'washed' } as const;
  const asked = {
    id: 'own',
    restDays: 14,
    varietyClass: 'ordinary',
    densityGPerL: 700,
    ...light,
  } as const;

  it('are at most four, nearest first, without the coffee itself and without strangers', () => {
    const house = knowing(
      decided('own', light),
      ...['a', 'b', 'c', 'd', 'e'].map((id, i) =>
        decided(id, { ...light, densityGPerL: 700 + 10 * i }),
      ),
      decided('far', { roastLevel: 2, process: 'infused' }),
    );
    const found = nearestTo(house, asked, 'classic');
    expect(found.map(({ releaseId }) => releaseId)).toEqual(['a', 'b', 'c', 'd']);
    expect(found.map(({ distance }) => distance)).toEqual(
      found.map(({ distance }) => distance).sort((x, y) => x - y),
    );
  });

  it('are none where the rules see no likeness', () => {
    const house = knowing(decided('far', { roastLevel: 2, process: 'infused' }));
    expect(nearestTo(house, asked, 'classic')).toEqual([]);
  });
});
