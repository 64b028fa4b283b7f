'use client';

import { BATCH } from '@/core/entity/batch';
import type { ComponentRow } from '@/core/entity/component';
import { EntryField, EntryFields, type Form } from '@/ui/EntryField';
import { FieldGrid } from '@/ui/fields';

/** What is known of one roast batch, in the order people have it at hand. */
export function BatchFields({
  components = [],
  ...form
}: Omit<Form<typeof BATCH>, 'fields'> & {
  /** Of a blend, in their order: a batch may have other shares. */
  components?: readonly ComponentRow[];
}) {
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
      {components.length > 1 && (
        <EntryField
          form={{ ...form, fields: BATCH }}
          name="sharesPct"
          hint={`If blended otherwise than ${components.map(shareWords).join(' / ')}`}
        />
      )}
    </FieldGrid>
  );
}

const shareWords = ({ sharePct, country, region }: ComponentRow) =>
  [sharePct, country || region].filter(Boolean).join(' ');
