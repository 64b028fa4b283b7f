/** Renders a component as one of the house would see it: the lead, unless a test says otherwise. */
import { render, type RenderResult } from '@testing-library/react';
import type { ReactElement } from 'react';
import type { Role } from '@/core/roles';
import { METRIC, type Units } from '@/core/units';
import { PersonProvider } from '@/ui/person';

export function renderAs(
  element: ReactElement,
  { role = 'lead', units = METRIC }: { role?: Role; units?: Units } = {},
): RenderResult {
  return render(element, {
    wrapper: ({ children }) => (
      <PersonProvider person={{ id: 'someone', name: 'Ines', role, units, timeZone: 'UTC' }}>
        {children}
      </PersonProvider>
    ),
  });
}
