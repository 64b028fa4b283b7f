'use client';

import type { Fault } from '@/core/errors';
import { Notice } from './type';

/** Faults that belong to no field in view; announced when they appear. */
export function Faults({
  faults,
  shown = [],
}: {
  faults: readonly Fault[];
  shown?: readonly string[];
}) {
  const rest = faults.filter(
    ({ field }) => !shown.some((name) => field === name || field.endsWith(`.${name}`)),
  );
  return (
    <div role="alert">
      {rest.map(({ field, message }) => (
        <Notice key={`${field}${message}`} $kind="fault">
          {message}
        </Notice>
      ))}
    </div>
  );
}
