import { commands } from '@/app/commands';
import { mayDo, ROLES } from '@/core/roles';
import { faultOf } from '../support/fault';
import { join, LEAD, newId, openHouse, send, shotInput, stopClock } from '../support/house';
import { clock } from '@/data/clock';
import { openInvitation } from '@/data/invitations';
import { findPerson, listPeople, setPassword } from '@/data/people';
import { hashPassword, isPassword, signIn } from '@/data/signIn';

const minutesLater = (minutes: number) => {
  const at = clock.now().getTime() + minutes * 60_000;
  clock.now = () => new Date(at);
};

describe('a password', () => {
  it('is kept as a salted hash that fits it alone', () => {
    const hash = hashPassword('kettle at six');
    expect(hash).not.toContain('kettle');
    expect(hash).not.toBe(hashPassword('kettle at six'));
    expect(isPassword('kettle at six', hash)).toBe(true);
    expect(isPassword('kettle at seven', hash)).toBe(false);
    expect(isPassword('kettle at six', 'scrypt$')).toBe(false);
  });

  it('signs in without regard to case of the name', () => {
    const { db } = openHouse();
    expect(signIn(db, 'INES', LEAD.password).name).toBe('Ines');
  });

  it('is refused alike for a wrong password and a name nobody has', () => {
    const { db } = openHouse();
    const wrong = faultOf(() => signIn(db, 'ines', 'something else'));
    const nobody = faultOf(() => signIn(db, 'nobody', 'something else'));
    expect(wrong.code).toBe('signedOut');
    expect(nobody.message).toBe(wrong.message);
  });

  it('is held after ten wrong ones, even when the eleventh is right, and free again later', () => {
    stopClock();
    const { db } = openHouse();
    for (let i = 0; i < 10; i++) faultOf(() => signIn(db, 'Ines', `wrong ${i}`));
    const held = faultOf(() => signIn(db, 'ines', LEAD.password));
    expect(held.code).toBe('tooMany');
    expect(held.message).toMatch(/Wait 15 minutes/);
    minutesLater(16);
    expect(signIn(db, 'ines', LEAD.password).name).toBe('Ines');
  });

  it('changed, ends the sessions made with the old one', () => {
    const { db } = openHouse();
    const { id, sessionEpoch } = listPeople(db)[0]!;
    setPassword(db, id, hashPassword('another long one'));
    expect(findPerson(db, id)!.sessionEpoch).toBe(sessionEpoch + 1);
    expect(signIn(db, 'ines', 'another long one').id).toBe(id);
  });
});

describe('an invitation', () => {
  const entry = { name: 'Tobin', signInName: 'tobin', password: 'purge then pull' };

  it('lets one person in, once, and its link is kept nowhere', () => {
    const { db } = openHouse();
    const token = newId();
    send(db, 'invite', { forWhom: 'Tobin', role: 'bench', token });
    expect(openInvitation(db, token)).toMatchObject({ forWhom: 'Tobin', role: 'bench' });
    expect(db.serialize().includes(token)).toBe(false);
    send(db, 'acceptInvitation', { token, ...entry }, newId(), null);
    expect(signIn(db, 'tobin', entry.password).role).toBe('bench');
    const again = faultOf(() =>
      send(db, 'acceptInvitation', { token, ...entry, signInName: 'two' }, newId(), null),
    );
    expect(again.code).toBe('gone');
    expect(again.message).toMatch(/was used already.*ask the lead/);
    expect(listPeople(db)).toHaveLength(2);
  });

  it('is refused when it is not known, closed, too old, or its name taken', () => {
    stopClock();
    const { db } = openHouse();
    const come = (token: string, signInName = 'tobin') =>
      faultOf(() => send(db, 'acceptInvitation', { token, ...entry, signInName }, newId(), null));
    expect(come('x'.repeat(32)).code).toBe('notFound');
    const token = newId();
    const { invitationId } = send(db, 'invite', { forWhom: 'Tobin', role: 'bench', token });
    expect(come(token, 'INES').message).toMatch(/Sign-in name INES is taken/);
    send(db, 'takeAway', { what: 'invitation', id: invitationId });
    expect(come(token).message).toMatch(/closed/);
    send(db, 'putBack', { what: 'invitation', id: invitationId });
    minutesLater(8 * 24 * 60);
    expect(come(token).message).toMatch(/open for 7 days/);
    expect(listPeople(db)).toHaveLength(1);
  });

  it('gives someone who lost the way in a new sign-in and keeps who they are', () => {
    const { db } = openHouse();
    const personId = join(db, 'bench', 'tobin');
    const token = newId();
    send(db, 'invite', { forWhom: 'Tobin', role: 'bench', token, personId });
    send(db, 'acceptInvitation', { token, ...entry }, newId(), null);
    expect(signIn(db, 'tobin', entry.password).id).toBe(personId);
    expect(faultOf(() => signIn(db, 'tobin', 'a long password')).code).toBe('signedOut');
  });

  it('asks for a password that is not a toy', () => {
    const { db } = openHouse();
    const token = newId();
    send(db, 'invite', { forWhom: 'Tobin', role: 'bench', token });
    const short = { token, ...entry, password: 'short', signInName: 'to bin' };
    const fields = faultOf(() => send(db, 'acceptInvitation', short, newId(), null)).faults;
    expect(fields.map(({ field }) => field)).toEqual(['signInName', 'password']);
  });
});

describe('roles', () => {
  it('are asked for by every command before its input is looked at', () => {
    const { db } = openHouse();
    const people = Object.fromEntries(
      ROLES.map((role) => [role, join(db, role, `a-${role}`)]),
    ) as Record<(typeof ROLES)[number], string>;
    for (const { kind, duty } of commands.values()) {
      const codeFor = (personId: string | null) =>
        faultOf(() => send(db, kind, { nonsense: true }, newId(), personId)).code;
      if (duty === 'open') continue;
      expect([kind, codeFor(null)]).toEqual([kind, 'signedOut']);
      for (const role of ROLES)
        expect([kind, role, codeFor(people[role])]).toEqual([
          kind,
          role,
          mayDo(role, duty) ? 'badInput' : 'refused',
        ]);
    }
  });

  it('let only the lead publish, in words that say whom to ask', () => {
    const { db, releaseId, draftId } = openHouse();
    const bench = join(db, 'bench');
    send(db, 'logShot', shotInput(draftId), newId(), bench);
    const refused = faultOf(() => send(db, 'publish', { releaseId, draftId }, newId(), bench));
    expect(refused.message).toBe(
      'Only the lead does this; you are signed in as bench hand. Ask Ines.',
    );
  });

  it('do not answer another person’s command id', () => {
    const { db, draftId } = openHouse();
    const id = newId();
    send(db, 'logShot', shotInput(draftId), id);
    const other = join(db, 'bench');
    expect(faultOf(() => send(db, 'logShot', shotInput(draftId), id, other)).code).toBe('conflict');
  });

  it('cannot leave a house without a lead', () => {
    const { db } = openHouse();
    const ines = listPeople(db)[0]!.id;
    expect(
      faultOf(() => send(db, 'changeRole', { personId: ines, role: 'bench' })).message,
    ).toMatch(/only lead/);
    expect(faultOf(() => send(db, 'takeAway', { what: 'person', id: ines })).message).toMatch(
      /cannot take yourself away/,
    );
    const second = join(db, 'lead', 'second');
    send(db, 'takeAway', { what: 'person', id: ines }, newId(), second);
    expect(faultOf(() => signIn(db, 'ines', LEAD.password)).code).toBe('signedOut');
    const gone = faultOf(() => send(db, 'saveUnits', {}, newId(), ines));
    expect(gone.code).toBe('signedOut');
  });
});
