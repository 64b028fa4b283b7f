import { screen } from '@testing-library/react';
import { findHouse } from '@/data/house';
import { recipeBodySchema } from '@/formats/recipe/document';
import { RECIPE, send, shotInput, TODAY, WORDS } from '../../../tests/support/house';
import { renderAs } from '../../../tests/support/render';
import { houseWith } from '../../../tests/support/view';
import { CardBody } from './CardBody';
import { publishedBody } from './document';

function bodyAfter(...shots: Record<string, unknown>[]) {
  const { db, view } = houseWith(...shots);
  return publishedBody(findHouse(db)!, view(), WORDS, { today: TODAY });
}

describe('what publishing makes of the bench', () => {
  it('takes the recipe, the setup and the dial of the landed run', () => {
    const body = bodyAfter({ timeS: 22 }, { dial: 11, purged: true }, { dial: 11 });
    expect(recipeBodySchema.safeParse(body).success).toBe(true);
    expect(body).toMatchObject({
      version: 1,
      confirmedShots: 2,
      recipe: {
        doseG: 18,
        yieldG: 36,
        ratio: 2,
        timeS: [26, 30],
        clock: 'pump',
        restDays: [8, 21],
      },
      setup: { dial: 11, ratedG: 18 },
      tolerance: { doseG: 0.3, yieldG: 1.4 },
    });
  });

  it('publishes the dose of the recipe: a trim for the steps of one grinder stays with it', () => {
    const trimmed = { doseG: 18.4, aimDoseG: 18.4 };
    const { recipe, confirmedShots } = bodyAfter(trimmed, trimmed);
    expect(recipe.doseG).toBe(18);
    expect(recipe.ratio).toBe(2);
    expect(confirmedShots).toBe(2);
  });

  it('tells to look for what somebody found, not for what was promised', () => {
    const { db, view, draftId } = houseWith({}, {});
    const look = () =>
      publishedBody(findHouse(db)!, view(), WORDS, { today: TODAY }).coffee.promisedNotes;
    expect(look()).toEqual([]);
    const { shotId } = send(db, 'logShot', shotInput(draftId));
    const cup = { moment: 'hot', serving: 'straight', remark: '', scales: { liking: 7 } };
    send(db, 'recordTasting', { ...cup, shotId, notesFound: ['apricot'] });
    expect(look()).toEqual(['apricot']);
  });

  it('does not count the shots of a recipe since revised', () => {
    const { db, view, releaseId, setupId } = houseWith({}, {});
    const warmer = { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1`, temperatureC: 94 };
    send(db, 'acceptRecipe', warmer);
    const body = publishedBody(findHouse(db)!, view(), WORDS, { today: TODAY });
    expect(body.recipe.temperatureC).toBe(94);
    expect(body.confirmedShots).toBe(0);
    expect(view().bench!.advice.status).toBe('repeat');
  });

  it('does not call a recipe repeated that was not', () => {
    expect(bodyAfter({}, { seen: ['spurt'] }).confirmedShots).toBe(0);
    expect(bodyAfter({}).confirmedShots).toBe(0);
    // Two shots in the window that do not show that it holds it: the card says what Publish says.
    expect(bodyAfter({ timeS: 29.9 }, { timeS: 29.8 }).confirmedShots).toBe(0);
  });
});

describe('the card', () => {
  const body = bodyAfter({}, {});

  it('says everything a stranger needs, with units and the clock', () => {
    const { container } = renderAs(<CardBody body={body} />);
    const text = container.textContent ?? '';
    for (const words of [
      'Lanternfell Coffee',
      'Dembi Ridge',
      '18.0 g',
      '36.0 g',
      'Time, from the pump',
      '26-30 s',
      '93.0 °C',
      '1:2.00',
      'dose ± 0.3 g, yield ± 1.4 g',
      'Classic: 9 bar, flat',
      'as set on the machine',
      'Double, 58 mm, rated 18 g',
      'Use from day 8 to 21 after the roast of 8 May 2026',
      'Straight and in milk',
      WORDS.right,
      WORDS.short,
      WORDS.long,
      'Version 1, 20 May 2026. Repeated on target 2 times.',
    ])
      expect(text).toContain(words);
  });

  it('carries the cautions', () => {
    renderAs(<CardBody body={body} />);
    expect(screen.getByText(/vent before you loosen.*scald.*licensed technician/s)).toBeTruthy();
  });

  it('says so when it was never repeated', () => {
    renderAs(<CardBody body={{ ...body, confirmedShots: 0 }} />);
    expect(screen.getByText(/Not yet repeated on target/)).toBeTruthy();
  });

  it('has one title, of first rank only on the page of its own', () => {
    const { unmount } = renderAs(<CardBody body={body} />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Dembi Ridge');
    unmount();
    renderAs(<CardBody body={body} isPreview />);
    expect(screen.queryByRole('heading', { level: 1 })).toBeNull();
  });
});
