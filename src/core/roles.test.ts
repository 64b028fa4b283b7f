import { mayDo, ROLES, type Duty, type Role } from './roles';

// Written out, so that no change of the rule changes what is expected of it.
const MAY: Readonly<Record<Role, Readonly<Record<Duty, boolean>>>> = {
  lead: { lead: true, bench: true, self: true, open: true },
  bench: { lead: false, bench: true, self: true, open: true },
  reader: { lead: false, bench: false, self: true, open: true },
};

describe('who may do what', () => {
  it.each(
    ROLES.flatMap((role) =>
      (Object.entries(MAY[role]) as [Duty, boolean][]).map(
        ([duty, may]) => [role, duty, may] as const,
      ),
    ),
  )('a %s and what asks for %s: %s', (role, duty, may) => {
    expect(mayDo(role, duty)).toBe(may);
  });
});
