'use client';

import { useId } from 'react';
import styled from 'styled-components';
import { Chip, ChipRow } from './choices';
import { TextInput } from './fields';
import { Notice } from './type';

const Box = styled.div`
  display: grid;
  gap: 8px;
`;

/**
 * Why the model is overruled: one press for the usual reasons, or in one's own words. The overruling
 * is recorded either way; the advice is only advice.
 */
export function OverruleReason({
  label,
  reasons,
  value,
  onChange,
  fault,
}: {
  label: string;
  reasons: readonly string[];
  value: string;
  onChange: (reason: string) => void;
  fault?: string | undefined;
}) {
  const id = useId();
  return (
    <Box>
      <Notice id={id} role="status">
        {label}
      </Notice>
      <ChipRow role="group" aria-labelledby={id}>
        {reasons.map((reason) => (
          <Chip
            key={reason}
            isSelected={value === reason}
            onChange={(isSelected) => onChange(isSelected ? reason : '')}
          >
            {reason}
          </Chip>
        ))}
      </ChipRow>
      <TextInput label="In your own words" value={value} onChange={onChange} fault={fault} />
    </Box>
  );
}
