'use client';

import { BATCH } from '@/core/entity/batch';
import { EntryFields, type Form } from '@/ui/EntryField';
import { FieldGrid } from '@/ui/fields';

/** What is known of one roast batch, in the order people have it at hand. */
export function BatchFields(form: Omit<Form<typeof BATCH>, 'fields'>) {
  return (
    <FieldGrid>
      <EntryFields
        form={{ ...form, fields: BATCH }}
        names={[
          'roastDate',
          'roastLevel',
          'label',
          'colourGround',
          'colourBean',
          'crush',
          'weightLossPct',
          'sampleG',
        ]}
      />
    </FieldGrid>
  );
}
