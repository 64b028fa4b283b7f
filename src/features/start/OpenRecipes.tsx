'use client';

import { dayWords } from '@/core/dayWords';
import { DRINK_LABELS, STYLE_LABELS } from '@/core/vocabulary';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, useUnits } from '@/ui/person';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { usePutOnBench } from '@/ui/usePutOnBench';
import type { OpenRecipe } from '@/views/start';

/** Several recipes of a release stand open at once; one of them is on the bench, because somebody said so. */
export function OpenRecipes({
  releaseId,
  open,
}: {
  releaseId: string;
  open: readonly OpenRecipe[];
}) {
  const isLead = useMay('lead');
  const { mass, massFigure, temperature } = useUnits();
  const { put, faults, isBusy } = usePutOnBench(releaseId);
  if (open.length === 0) return null;
  return (
    <section>
      <SectionTitle>Recipes of this release</SectionTitle>
      <Small>
        Shots, cups and the card belong to the one on the bench; the others wait as they are.
      </Small>
      <TableScroll aria-label="Recipes of this release">
        <Table>
          <TableHead
            columns={[
              { words: 'Style' },
              { words: 'For' },
              { words: 'Setup' },
              'Batch of',
              'Recipe',
              'Window, s',
              'Water',
              { words: 'Bench' },
            ]}
          />
          <tbody>
            {open.map(({ draftId, style, drink, setupName, roastDate, recipe, isOnBench }) => (
              <tr key={draftId}>
                <td className="words">{STYLE_LABELS[style]}</td>
                <td className="words">{DRINK_LABELS[drink]}</td>
                <td className="words">{setupName}</td>
                <td>{dayWords(roastDate)}</td>
                <td>
                  {massFigure(recipe.doseG)} → {mass(recipe.yieldG)}
                </td>
                <td>{recipe.timeS.join('-')}</td>
                <td>{temperature(recipe.temperatureC)}</td>
                <td className="words">
                  {isOnBench ? (
                    <strong>on the bench</strong>
                  ) : (
                    isLead && (
                      <Button
                        isPending={isBusy}
                        aria-label={`Put on the bench: ${STYLE_LABELS[style].toLowerCase()} recipe ${drink === 'milk' ? 'for milk drinks ' : ''}on ${setupName}, batch of ${dayWords(roastDate)}`}
                        onPress={() =>
                          void put(
                            draftId,
                            `The ${STYLE_LABELS[style].toLowerCase()} recipe of the batch of ${dayWords(roastDate)} is on the bench.`,
                          )
                        }
                      >
                        Put on the bench
                      </Button>
                    )
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Faults faults={faults} />
    </section>
  );
}
