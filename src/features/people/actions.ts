/** Commands about people: inviting, coming in, roles, one's own units. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { ROLE_LABELS, ROLES } from '@/core/roles';
import { oneOf, text } from '@/core/schema/fields';
import { newPersonFields } from '@/core/schema/person';
import { TEMPERATURE_UNITS, VOLUME_LABELS, VOLUME_UNITS } from '@/core/units';
import { defineCommand, passwordHashOf, personOf } from '@/data/command';
import { insertInvitation, markInvitationUsed, openInvitation } from '@/data/invitations';
import {
  countLeads,
  findPerson,
  insertPerson,
  isNameTaken,
  isSignInNameTaken,
  setRole,
  setSignIn,
  setUnits,
} from '@/data/people';
import { endSessions } from '@/data/session';

/** The token is made by the inviting browser: the server keeps its hash and never repeats it. */
const tokenField = z
  .string({ error: 'The invitation link is missing. Copy the whole link.' })
  .regex(/^[A-Za-z0-9_-]{32,64}$/, {
    error: 'This is not a whole invitation link. Copy the link again.',
  });

export const invite = defineCommand({
  kind: 'invite',
  changes: ['people'],
  duty: 'lead',
  needsFreshPassword: true,
  input: z.strictObject({
    forWhom: text('Who it is for', 'name'),
    role: oneOf('Role', ROLES),
    token: tokenField,
    /** Someone who works here and lost the way in: the link gives them a new sign-in. */
    personId: z.string().max(64).optional(),
  }),
  run: (invitation, context) => {
    const { personId } = invitation;
    if (personId !== undefined && !findPerson(context.db, personId))
      throw userFault('notFound', 'personId', 'There is no such person. Reload the page.');
    insertInvitation(context.db, context.id, invitation, personOf(context).id);
    return {
      releaseId: null,
      words: `invited ${invitation.forWhom} as ${ROLE_LABELS[invitation.role].toLowerCase()}`,
      result: { invitationId: context.id },
      changesAccess: true,
    };
  },
});

export const acceptInvitation = defineCommand({
  kind: 'acceptInvitation',
  changes: ['people'],
  duty: 'open',
  hasPassword: true,
  input: z.strictObject({ token: tokenField, ...newPersonFields }),
  run: ({ token, name, signInName }, context) => {
    const { db, id } = context;
    const invitation = openInvitation(db, token);
    const person = invitation.personId === null ? null : findPerson(db, invitation.personId);
    if (invitation.personId !== null && !person)
      throw userFault(
        'gone',
        '',
        'This link was made for someone who is no longer of the house. Ask the lead for a new one.',
      );
    if (isNameTaken(db, name, person?.id ?? null))
      throw userFault(
        'badInput',
        'name',
        `Somebody here is called ${name} already. Add something that tells you apart.`,
      );
    const isOwn = person?.signInName?.toLowerCase() === signInName.toLowerCase();
    if (!isOwn && isSignInNameTaken(db, signInName))
      throw userFault(
        'badInput',
        'signInName',
        `Sign-in name ${signInName} is taken. Choose another one.`,
      );
    const entry = { name, signInName, passwordHash: passwordHashOf(context) };
    if (person) {
      setSignIn(db, person.id, entry);
      endSessions(db, person.id, { exceptId: null });
    }
    if (!person) insertPerson(db, { ...entry, id, role: invitation.role });
    markInvitationUsed(db, invitation.id);
    return {
      releaseId: null,
      words: person
        ? 'came in again with a new sign-in'
        : `came in as ${ROLE_LABELS[invitation.role].toLowerCase()}`,
      result: {},
      personId: person?.id ?? id,
      changesAccess: true,
    };
  },
});

export const changeRole = defineCommand({
  kind: 'changeRole',
  changes: ['people'],
  duty: 'lead',
  needsFreshPassword: true,
  input: z.strictObject({ personId: z.string().max(64), role: oneOf('Role', ROLES) }),
  run: ({ personId, role }, { db, caller }) => {
    const person = findPerson(db, personId);
    if (!person)
      throw userFault('notFound', 'personId', 'There is no such person. Reload the page.');
    if (person.role === 'lead' && role !== 'lead' && countLeads(db) < 2)
      throw userFault(
        'refused',
        'role',
        `${person.name} is the only lead. Make someone else lead first.`,
      );
    setRole(db, personId, role);
    // What they may do is another thing now: they come in anew. Whoever changed their own stays.
    endSessions(db, personId, { exceptId: caller.session?.id ?? null });
    return {
      releaseId: null,
      words: `made ${person.name} ${ROLE_LABELS[role].toLowerCase()}`,
      result: {},
      changesAccess: true,
    };
  },
});

export const saveUnits = defineCommand({
  kind: 'saveUnits',
  changes: ['people'],
  duty: 'self',
  input: z.strictObject({
    volume: oneOf('Volume', VOLUME_UNITS),
    temperature: oneOf('Temperature', TEMPERATURE_UNITS),
  }),
  run: (units, context) => {
    setUnits(context.db, personOf(context).id, units);
    return {
      releaseId: null,
      words: `reads in ${VOLUME_LABELS[units.volume]} and °${units.temperature}`,
      result: {},
    };
  },
});

export const endOwnSessions = defineCommand({
  kind: 'endSessions',
  changes: ['people'],
  duty: 'self',
  input: z.strictObject({ sessionId: z.string().max(64).optional() }),
  run: ({ sessionId }, context) => {
    const { db, caller } = context;
    const which = sessionId ? { id: sessionId } : { exceptId: caller.session?.id ?? null };
    const ended = endSessions(db, personOf(context).id, which);
    if (sessionId && ended === 0)
      throw userFault('notFound', 'sessionId', 'That browser is signed out already.');
    return {
      releaseId: null,
      words: sessionId ? 'signed out another browser' : 'signed out everywhere else',
      result: {},
      changesAccess: true,
    };
  },
});
