import { commands } from '@/app/commands';
import { mayDo, ROLES } from '@/core/roles';
import { faultOf } from '../support/fault';
import { join, LEAD, newId, openHouse, send, shotInput, stopClock } from '../support/house';
import { clock } from '@/data/clock';
import { openInvitation } from '@/data/invitations';
import { listPeople } from '@/data/people';
import { signInAs } from '../support/door';

const minutesLater = (minutes: number) => {
  const at = clock.now().getTime() + minutes * 60_000;
  clock.now = () => new Date(at);
};

describe('an invitation', () => {
  const entry = { name: 'Tobin', signInName: 'tobin', password: 'purge then pull' };

  it('lets one person in, once, and its link is kept nowhere', async () => {
    const { db } = openHouse();
    const token = newId();
    send(db, 'invite', { forWhom: 'Tobin', role: 'bench', token });
    expect(openInvitation(db, token)).toMatchObject({ forWhom: 'Tobin', role: 'bench' });
    expect(db.serialize().includes(token)).toBe(false);
    send(db, 'acceptInvitation', { token, ...entry }, newId(), null);
    expect((await signInAs(db, 'tobin', entry.password)).role).toBe('bench');
    const again = faultOf(() =>
      send(
        db,
        'acceptInvitation',
        { token, ...entry, name: 'Two', signInName: 'two' },
        newId(),
        null,
      ),
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
    send(db, 'remove', { what: 'invitation', id: invitationId });
    expect(come(token).message).toMatch(/closed/);
    send(db, 'restore', { what: 'invitation', id: invitationId });
    minutesLater(8 * 24 * 60);
    expect(come(token).message).toMatch(/open for 7 days/);
    expect(listPeople(db)).toHaveLength(1);
  });

  it('gives someone who lost the way in a new sign-in and keeps who they are', async () => {
    const { db } = openHouse();
    const personId = join(db, 'bench', 'tobin');
    const token = newId();
    send(db, 'invite', { forWhom: 'Tobin', role: 'bench', token, personId });
    send(db, 'acceptInvitation', { token, ...entry }, newId(), null);
    expect((await signInAs(db, 'tobin', entry.password)).id).toBe(personId);
    await expect(signInAs(db, 'tobin', 'a long password')).rejects.toMatchObject({
      code: 'signedOut',
    });
  });

  it('made for someone who is gone closes with their removal, and lets nobody in', () => {
    const { db } = openHouse();
    const personId = join(db, 'bench', 'tobin');
    const token = newId();
    send(db, 'invite', { forWhom: 'Tobin', role: 'lead', token, personId });
    send(db, 'remove', { what: 'person', id: personId });
    const come = () =>
      faultOf(() => send(db, 'acceptInvitation', { token, ...entry }, newId(), null));
    expect(come().message).toMatch(/closed/);
    // Put back by hand, it still belongs to nobody.
    db.prepare('UPDATE invitation SET removed_at = NULL').run();
    expect(come()).toMatchObject({ code: 'gone' });
    expect(listPeople(db)).toHaveLength(1);
  });

  it('refuses a name somebody of the house has', () => {
    const { db } = openHouse();
    const token = newId();
    send(db, 'invite', { forWhom: 'Ines', role: 'bench', token });
    const fault = faultOf(() =>
      send(db, 'acceptInvitation', { token, ...entry, name: 'INES' }, newId(), null),
    );
    expect(fault.faults).toMatchObject([{ field: 'name' }]);
  });

  it('is no way around a name that was given to somebody else meanwhile', () => {
    const { db } = openHouse();
    const first = join(db, 'bench', 'tobin');
    send(db, 'remove', { what: 'person', id: first });
    const token = newId();
    send(db, 'invite', { forWhom: 'tobin', role: 'bench', token });
    send(
      db,
      'acceptInvitation',
      { token, ...entry, name: 'tobin', signInName: 'tobin2' },
      newId(),
      null,
    );
    const fault = faultOf(() => send(db, 'restore', { what: 'person', id: first }));
    expect(fault).toMatchObject({ code: 'conflict' });
    expect(listPeople(db)).toHaveLength(2);
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

  it('cannot leave a house without a lead', async () => {
    const { db } = openHouse();
    const ines = listPeople(db)[0]!.id;
    expect(
      faultOf(() => send(db, 'changeRole', { personId: ines, role: 'bench' })).message,
    ).toMatch(/only lead/);
    expect(faultOf(() => send(db, 'remove', { what: 'person', id: ines })).message).toMatch(
      /cannot take yourself away/,
    );
    const second = join(db, 'lead', 'second');
    send(db, 'remove', { what: 'person', id: ines }, newId(), second);
    await expect(signInAs(db, 'ines', LEAD.password)).rejects.toMatchObject({ code: 'signedOut' });
    const gone = faultOf(() => send(db, 'saveUnits', {}, newId(), ines));
    expect(gone.code).toBe('signedOut');
  });
});
