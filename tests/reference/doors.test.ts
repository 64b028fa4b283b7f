/** Signing in, the brake on guessing, sessions and what ends them. */
import { commands } from '@/app/commands';
import { isKnownHost, publicAddress } from '@/data/address';
import { clock } from '@/data/clock';
import { submit } from '@/data/command';
import { refuseCommon } from '@/data/commonPasswords';
import { listDoorLog } from '@/data/accessLog';
import { findHouse } from '@/data/house';
import { comparePassword, hashPassword } from '@/data/passwords';
import { findLead, findPerson, findSignIn } from '@/data/people';
import { browserOf, endSession, listSessions, startSession } from '@/data/session';
import { openSetUp } from '@/data/setUpCode';
import { openDatabase, type Db } from '@/data/database';
import { commonHeaders } from '@/server/headers';
import { signInAs, cookieJar, onNewBrowser } from '../support/door';
import { faultOf } from '../support/fault';
import { join, LEAD, newId, openHouse, quickHash, send, stopClock, WORDS } from '../support/house';

const later = (minutes: number) => {
  const at = clock.now().getTime() + minutes * 60_000;
  clock.now = () => new Date(at);
};
const DAY = 24 * 60;
const HOME = { address: '192.0.2.1' };

async function refusals(db: Db, tries: number, knock = HOME, name = 'ines') {
  const codes: string[] = [];
  for (let i = 0; i < tries; i++)
    codes.push(
      await signInAs(db, name, `wrong ${i}`, knock).then(
        () => 'in',
        (error: { code: string }) => error.code,
      ),
    );
  return codes;
}

describe('a password', () => {
  it('is kept as a salted hash of today’s cost that fits it alone', async () => {
    const [one, other] = await Promise.all([
      hashPassword('kettle at six'),
      hashPassword('kettle at six'),
    ]);
    expect(one).toMatch(/^scrypt\$17\$/);
    expect(one).not.toBe(other);
    expect(await comparePassword('kettle at six', one)).toEqual({ isRight: true, isOld: false });
    expect((await comparePassword('kettle at seven', one)).isRight).toBe(false);
    for (const broken of ['', 'scrypt$', 'scrypt$17$a', 'plain$17$a$b'])
      expect((await comparePassword('kettle at six', broken)).isRight).toBe(false);
  });

  it('whose hash is older is hashed anew when it comes in', async () => {
    const { db } = openHouse();
    const before = findSignIn(db, 'ines')!.passwordHash;
    expect((await signInAs(db, 'INES', LEAD.password)).name).toBe('Ines');
    const after = findSignIn(db, 'ines')!.passwordHash;
    expect([before.split('$')[1], after.split('$')[1]]).toEqual(['4', '17']);
    expect((await signInAs(db, 'ines', LEAD.password)).name).toBe('Ines');
  });

  it('is refused alike for a wrong one and a name nobody has', async () => {
    const { db } = openHouse();
    const messageOf = (name: string) =>
      signInAs(db, name, 'something else').catch((error: Error) => error.message);
    expect(await messageOf('nobody')).toBe(await messageOf('ines'));
  });

  it('that very many people have is refused', () => {
    for (const common of ['password1234', 'Qwertyuiop123', '123456789012', 'aaaaaaaaaaaa'])
      expect([common, faultOf(() => refuseCommon(common, 'next')).code]).toEqual([
        common,
        'badInput',
      ]);
    expect(() => refuseCommon('kettle at six', 'next')).not.toThrow();
  });
});

describe('the brake on guessing', () => {
  it('holds one address for one name after ten, even for the right one, and lets go later', async () => {
    const { db } = openHouse();
    expect(await refusals(db, 11)).toEqual([...Array<string>(10).fill('signedOut'), 'tooMany']);
    await expect(signInAs(db, 'ines', LEAD.password)).rejects.toThrow(/Wait 15 minutes/);
    later(16);
    expect((await signInAs(db, 'ines', LEAD.password)).name).toBe('Ines');
  });

  it('does not hold the name for others: nobody is barred by a stranger', async () => {
    const { db } = openHouse();
    await refusals(db, 12, { address: '203.0.113.9' });
    expect((await signInAs(db, 'ines', LEAD.password, HOME)).name).toBe('Ines');
  });

  it('slows strangers who are many, and never a browser that has signed in before', async () => {
    const { db } = openHouse();
    const { store } = onNewBrowser(db, findLead(db)!);
    const browser = browserOf(store);
    for (let i = 0; i < 6; i++) await refusals(db, 10, { address: `203.0.113.${i}` });
    // Fifty strangers' tries for the name: one at a time from now on.
    await expect(signInAs(db, 'ines', LEAD.password, HOME)).rejects.toThrow(/Wait 5 seconds/);
    expect((await signInAs(db, 'ines', LEAD.password, { ...HOME, browser })).name).toBe('Ines');
    later(0.1);
    expect((await signInAs(db, 'ines', LEAD.password, HOME)).name).toBe('Ines');
  });

  it('gives a known browser its own allowance, and only for its own person', async () => {
    const { db } = openHouse();
    join(db, 'bench', 'tobin');
    const { store } = onNewBrowser(db, findLead(db)!);
    const known = { ...HOME, browser: browserOf(store) };
    expect((await refusals(db, 11, known)).at(-1)).toBe('tooMany');
    await refusals(db, 10, known, 'tobin');
    expect(await refusals(db, 1, HOME, 'tobin')).toEqual(['tooMany']);
  });

  it('counts tries that come at once one by one', async () => {
    const { db } = openHouse();
    const codes = await Promise.all(
      Array.from({ length: 14 }, () => refusals(db, 1).then(([code]) => code)),
    );
    expect(codes.filter((code) => code === 'signedOut')).toHaveLength(10);
  });

  it('lets tries be that a clock running ahead has dated in the future', async () => {
    const { db } = openHouse();
    later(DAY);
    await refusals(db, 12);
    stopClock();
    expect((await signInAs(db, 'ines', LEAD.password)).name).toBe('Ines');
  });
});

describe('a session', () => {
  it('is known by a token of which only the hash is kept, and by nothing else', () => {
    const { db } = openHouse();
    const lead = findLead(db)!;
    const { find, kept } = onNewBrowser(db, lead);
    expect(find()).toMatchObject({
      person: { id: lead.id },
      session: { device: 'Firefox on Linux' },
    });
    for (const token of kept.values()) expect(db.serialize().includes(token)).toBe(false);
    for (const broken of ['', '%', 'Fe26.2*1*x', '\u0000', 'x'.repeat(5000)]) {
      const { store } = cookieJar();
      store.set('kettlebrand', broken);
      expect(onNewBrowser(db, lead).find()).not.toBeNull();
      expect(listSessions(db, lead.id).length).toBeGreaterThan(0);
    }
  });

  it('ends after two weeks without use, and after ninety days of use', () => {
    const { db } = openHouse();
    const idle = onNewBrowser(db, findLead(db)!);
    const used = onNewBrowser(db, findLead(db)!);
    for (let day = 0; day < 89; day++) {
      later(DAY);
      expect([day, used.find() !== null]).toEqual([day, true]);
      if (day === 14) expect(idle.find()).toBeNull();
    }
    later(2 * DAY);
    expect(used.find()).toBeNull();
  });

  it('ends where its browser signs out, where another signs in, and nowhere else', () => {
    const { db } = openHouse();
    const lead = findLead(db)!;
    const [here, there] = [onNewBrowser(db, lead), onNewBrowser(db, lead)];
    endSession(db, here.store);
    expect(here.find()).toBeNull();
    expect(there.find()).not.toBeNull();
  });

  const as = (browser: ReturnType<typeof onNewBrowser>, db: Db, kind: string, input: unknown) => {
    const { person, session } = browser.find()!;
    return submit(db, commands, { id: newId(), kind, input }, { personId: person.id, session });
  };

  it('ends with removal, a new role, and a new sign-in', () => {
    const { db } = openHouse();
    const lead = onNewBrowser(db, findLead(db)!);
    for (const end of [
      (personId: string) => as(lead, db, 'remove', { what: 'person', id: personId }),
      (personId: string) => as(lead, db, 'changeRole', { personId, role: 'reader' }),
      (personId: string) => {
        const token = newId();
        as(lead, db, 'invite', { forWhom: 'Tobin', role: 'bench', token, personId });
        const { name, signInName } = findPerson(db, personId)!;
        send(
          db,
          'acceptInvitation',
          { token, name, signInName, password: 'purge then pull' },
          newId(),
          null,
        );
      },
    ]) {
      const personId = join(db, 'bench', `tobin${newId().slice(0, 6)}`);
      const theirs = onNewBrowser(db, findPerson(db, personId)!);
      end(personId);
      expect(theirs.find()).toBeNull();
    }
    expect(lead.find()).not.toBeNull();
  });

  it('of one’s own can be ended one by one, or all others at once', () => {
    const { db } = openHouse();
    const lead = findLead(db)!;
    const other = onNewBrowser(db, findPerson(db, join(db, 'bench'))!);
    const [here, there, far] = [1, 2, 3].map(() => onNewBrowser(db, lead)) as [
      typeof other,
      typeof other,
      typeof other,
    ];
    as(here, db, 'endSessions', { sessionId: there.find()!.session.id });
    expect([here, there, far].map(({ find }) => find() !== null)).toEqual([true, false, true]);
    const theirs = other.find()!.session.id;
    expect(faultOf(() => as(here, db, 'endSessions', { sessionId: theirs })).code).toBe('notFound');
    as(here, db, 'endSessions', {});
    expect([here, far, other].map(({ find }) => find() !== null)).toEqual([true, false, true]);
  });

  it('older than half a day proves itself again before anything leaves the house', () => {
    const { db, releaseId, draftId } = openHouse();
    const browser = onNewBrowser(db, findLead(db)!);
    const publish = () => as(browser, db, 'publish', { releaseId, draftId, ...WORDS });
    later(12 * 60 + 1);
    expect(faultOf(publish)).toMatchObject({ code: 'unproved' });
    expect(
      faultOf(() => as(browser, db, 'invite', { forWhom: 'x', role: 'lead', token: newId() })).code,
    ).toBe('unproved');
    db.prepare('UPDATE session SET proved_at = ?').run(clock.now().toISOString());
    expect(publish()).toMatchObject({ version: 1 });
  });
});

describe('behind HTTPS', () => {
  afterEach(() => {
    delete process.env.KETTLEBRAND_ADDRESS;
  });

  it('cookies are kept to this very host, and browsers are told to come closed', () => {
    process.env.KETTLEBRAND_ADDRESS = 'https://recipes.example';
    const { db } = openHouse();
    const set = jest.fn();
    const store = { get: () => undefined, set } as unknown as Parameters<typeof startSession>[1];
    startSession(db, store, findLead(db)!, 'Firefox on Linux');
    expect(set.mock.calls).toEqual([
      [
        '__Host-kettlebrand',
        expect.any(String),
        expect.objectContaining({ secure: true, path: '/' }),
      ],
      [
        '__Host-kettlebrand-browser',
        expect.any(String),
        expect.objectContaining({ httpOnly: true }),
      ],
    ]);
    expect(commonHeaders('/')['Strict-Transport-Security']).toMatch(/max-age=\d{8}/);
    expect(isKnownHost(db, 'recipes.example')).toBe(true);
    expect(publicAddress(db)).toBe('https://recipes.example');
  });

  it('only names of this server are answered: its own, the house’s, no other', () => {
    const { db } = openHouse();
    expect(commonHeaders('/')['Strict-Transport-Security']).toBeUndefined();
    for (const [host, isKnown] of [
      ['localhost:3210', true],
      ['127.0.0.1', true],
      ['[::1]:3210', true],
      ['evil.example', false],
      ['localhost.evil.example', false],
      [null, false],
    ] as const)
      expect([host, isKnownHost(db, host)]).toEqual([host, isKnown]);
    const { rowVersion, rules: _r, halfLife: _h, ...house } = findHouse(db)!;
    send(db, 'saveHouse', {
      rowVersion,
      house: { ...house, publicAddress: 'https://cards.example' },
    });
    expect(isKnownHost(db, 'cards.example')).toBe(true);
    expect(publicAddress(db)).toBe('https://cards.example');
  });
});

describe('the first set-up', () => {
  const set = (db: Db, code: string) =>
    send(db, 'setUpHouse', { houseName: 'Lanternfell Coffee', code, ...LEAD }, newId(), null);

  it('asks for the code that was printed at start, however it is typed', () => {
    const db = openDatabase(':memory:');
    const code = openSetUp();
    for (const wrong of ['AAAA-AAAA-AAAA', 'x', openSetUp().slice(1)])
      expect(faultOf(() => set(db, wrong)).faults).toMatchObject([{ field: 'code' }]);
    expect(faultOf(() => set(db, code)).code).toBe('refused');
    const valid = openSetUp();
    set(db, ` ${valid.toLowerCase().replaceAll('-', ' ')} `);
    expect(findLead(db)!.name).toBe('Ines');
    expect(faultOf(() => set(db, valid)).message).toMatch(/already set up/);
  });
});

describe('the log of access', () => {
  it('holds who came, went and changed, newest first', () => {
    const { db } = openHouse();
    const personId = join(db, 'bench', 'tobin');
    send(db, 'changeRole', { personId, role: 'reader' });
    send(db, 'remove', { what: 'person', id: personId });
    expect(listDoorLog(db, 10).map(({ words }) => words)).toEqual([
      'deleted tobin',
      'made tobin reader',
      'came in as bench hand',
      'invited tobin as bench hand',
      'set up Lanternfell Coffee',
    ]);
    expect(listDoorLog(db, 2)).toHaveLength(2);
  });
});

it('a release that was taken away is not shown again', () => {
  const { db, releaseId, draftId } = openHouse();
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  send(db, 'withdraw', { releaseId, why: 'wrong' });
  send(db, 'remove', { what: 'release', id: releaseId });
  expect(faultOf(() => send(db, 'showAgain', { releaseId })).code).toBe('notFound');
});

it('a hash made for a test fits its password', async () => {
  expect(await comparePassword('x', quickHash('x'))).toEqual({ isRight: true, isOld: true });
});
