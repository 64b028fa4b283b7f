'use client';

import { figure } from '@/core/figure';
import { CLOCK_LABELS } from '@/core/vocabulary';
import type { RecipeBody } from '@/formats/recipe/document';
import { MainButton, QuietButton } from '@/ui/Button';
import { DialogSheet } from '@/ui/DialogSheet';

/** The one question before a recipe leaves the house: a published version never changes. */
export function ConfirmPublish({
  body,
  onPublish,
  onClose,
}: {
  body: RecipeBody;
  onPublish: () => void;
  onClose: () => void;
}) {
  const { recipe, coffee, version } = body;
  return (
    <DialogSheet title={`Publish version ${version}?`} onClose={onClose}>
      <p>
        <strong>{coffee.name}</strong>: {figure(recipe.doseG, 1)} → {figure(recipe.yieldG, 1)} g in{' '}
        {recipe.timeS[0]}-{recipe.timeS[1]} s {CLOCK_LABELS[recipe.clock]} at{' '}
        {figure(recipe.temperatureC, 1)} °C.
      </p>
      <p>
        Anyone with the address can read it, and this version never changes: a correction is a new
        version. The public page shows the newest one.
      </p>
      <p>
        <MainButton onPress={onPublish} autoFocus>
          Publish
        </MainButton>{' '}
        <QuietButton onPress={onClose}>Cancel</QuietButton>
      </p>
    </DialogSheet>
  );
}
