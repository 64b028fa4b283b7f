'use client';

import { milkYieldG } from '@/core/taste/milkRecipe';
import type { OpenRecipe } from '@/views/start';
import type { Bench } from '@/views/release';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, useUnits } from '@/ui/person';
import { SectionTitle, Small } from '@/ui/type';
import { usePutOnBench } from '@/ui/usePutOnBench';
import { useRevision } from '@/ui/useRevision';

/** The same coffee in milk: a recipe of its own beside the straight one, judged by cups in milk alone. */
export function MilkRecipe({
  bench,
  releaseId,
  open,
}: {
  bench: Bench;
  releaseId: string;
  open: readonly OpenRecipe[];
}) {
  const { drink, dialInId } = bench.draft;
  const other = open.find((one) => one.dialInId === dialInId && one.drink !== drink);
  const isLead = useMay('lead');
  return (
    <section aria-label="Recipe for milk drinks">
      <SectionTitle>{drink === 'milk' ? 'Recipe for milk drinks' : 'For milk drinks'}</SectionTitle>
      {drink === 'milk' && (
        <p style={{ marginTop: 8 }}>
          The recipe on the bench is for milk drinks: cups in milk judge it, straight cups do not.
          The card carries the straight recipe.
        </p>
      )}
      {other ? (
        <Other other={other} releaseId={releaseId} />
      ) : (
        isLead &&
        bench.isOnBench &&
        drink === 'straight' && <First bench={bench} releaseId={releaseId} />
      )}
      <Small as="p" style={{ marginTop: 8 }}>
        Milk, soya and nut drinks are allergens: say what is in the jug; local food-labelling law
        decides what must be written.
      </Small>
    </section>
  );
}

/** The other recipe, and the way to it. */
function Other({ other, releaseId }: { other: OpenRecipe; releaseId: string }) {
  const { mass, massFigure, temperature } = useUnits();
  const isLead = useMay('lead');
  const { put, faults, isBusy } = usePutOnBench(releaseId);
  const { recipe, drink, draftId } = other;
  const name = drink === 'milk' ? 'The recipe for milk drinks' : 'The straight recipe';
  return (
    <>
      <p style={{ marginTop: 8 }}>
        {name}: {massFigure(recipe.doseG)} → {mass(recipe.yieldG)} in {recipe.timeS.join('-')} s,{' '}
        {temperature(recipe.temperatureC)}.{' '}
        {isLead && (
          <Button isPending={isBusy} onPress={() => void put(draftId, `${name} is on the bench.`)}>
            {drink === 'milk' ? 'Go to the milk recipe' : 'Go to the straight recipe'}
          </Button>
        )}
      </p>
      <Faults faults={faults} />
    </>
  );
}

function First({ bench, releaseId }: { bench: Bench; releaseId: string }) {
  const { mass, massFigure } = useUnits();
  const { recipe } = bench.draft;
  const yieldG = milkYieldG(recipe);
  const { take, faults, isBusy } = useRevision(bench, releaseId, {
    drink: 'milk',
    yieldG,
    timeS: recipe.timeS,
    why: 'For milk drinks: shorter, for more strength in the cup',
  });
  return (
    <>
      <p style={{ marginTop: 8 }}>
        Milk thins strength and hides acidity. A first try, by rule of thumb:{' '}
        {massFigure(recipe.doseG)} → {mass(yieldG)} instead of {mass(recipe.yieldG)}, all else as it
        is.{' '}
        <Button isPending={isBusy} onPress={take}>
          Begin a recipe for milk drinks
        </Button>
      </p>
      <Faults faults={faults} />
    </>
  );
}
