/** What an address that writes answers: who may call, how much, and a fault as its status and words. */
import { userFault, type FaultCode } from '@/core/errors';
import { ANONYMOUS_BYTES, MOST_BYTES } from '@/data/command';
import { answer, bytesOf, jsonOf } from './edge';

const HERE = 'http://house.example';

function request(headers: Record<string, string> = {}, body?: BodyInit): Request {
  return new Request(`${HERE}/api/commands`, {
    method: 'POST',
    headers: { host: 'house.example', 'content-type': 'application/json', ...headers },
    ...(body !== undefined && { body, duplex: 'half' }),
  } as RequestInit);
}

/** A body of so many chunks, and how many of them were taken. */
function chunks(count: number, bytesEach: number) {
  const taken = { count: 0 };
  const body = new ReadableStream<Uint8Array>(
    {
      pull(controller) {
        if (taken.count === count) return controller.close();
        taken.count += 1;
        controller.enqueue(new Uint8Array(bytesEach));
      },
    },
    { highWaterMark: 0 },
  );
  return { body, taken };
}

const faultsOf = async (response: Response) =>
  ((await response.json()) as { faults: { field: string; message: string }[] }).faults;

describe('a fault', () => {
  const told: [FaultCode, number][] = [
    ['badInput', 400],
    ['signedOut', 401],
    ['refused', 403],
    ['notFound', 404],
    ['conflict', 409],
    ['gone', 410],
    ['tooMany', 429],
  ];
  it.each(told)('%s answers %d with its field and its words', async (code, status) => {
    const response = await answer(request(), async () => {
      throw userFault(code, 'doseG', 'Enter 3-40 g.');
    });
    expect(response.status).toBe(status);
    expect(await response.json()).toEqual({
      code,
      faults: [{ field: 'doseG', message: 'Enter 3-40 g.' }],
    });
  });

  it('nobody foresaw says that nothing was stored, and nothing of itself', async () => {
    const response = await answer(request(), async () => {
      throw new Error('secret of the inside');
    });
    expect(response.status).toBe(500);
    const [fault] = await faultsOf(response);
    expect(fault!.message).toMatch(/Nothing was stored; your entry is kept here/);
    expect(JSON.stringify(fault)).not.toMatch(/secret/);
  });

  it('of a full disk is no fault of the program: 507, with what to do', async () => {
    const response = await answer(request(), async () => {
      throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    });
    expect(response.status).toBe(507);
    expect((await faultsOf(response))[0]!.message).toMatch(/^Nothing was stored, .*disk/i);
  });
});

describe('a caller', () => {
  const asked = async (headers: Record<string, string>) =>
    (await answer(request(headers), async () => 'done')).status;

  it.each([
    ['a page of another site', { 'sec-fetch-site': 'cross-site' }],
    ['a page of a sister site', { 'sec-fetch-site': 'same-site' }],
    ['another origin', { origin: 'http://other.example' }],
    ['a longer name that begins alike', { origin: 'http://house.example.net' }],
    ['a page without an origin of its own', { origin: 'null' }],
  ])('from %s is refused', async (_from, headers) => {
    expect(await asked(headers as Record<string, string>)).toBe(403);
  });

  it.each([
    ['a page of the house', { 'sec-fetch-site': 'same-origin', origin: HERE }],
    ['a page of the house behind a proxy', { origin: 'https://house.example' }],
    ['an address that was typed', { 'sec-fetch-site': 'none' }],
    ['a program', {}],
  ])('from %s is heard', async (_from, headers) => {
    expect(await asked(headers as Record<string, string>)).toBe(200);
  });
});

describe('a body', () => {
  it('is JSON, and said to be', async () => {
    expect(await jsonOf(request({}, '{"a":1}'), ANONYMOUS_BYTES)).toEqual({ a: 1 });
    const refused = (headers: Record<string, string>, body: string) =>
      jsonOf(request(headers, body), MOST_BYTES).then(
        () => 'taken',
        (fault: Error & { faults: { message: string }[] }) => fault.faults[0]!.message,
      );
    expect(await refused({ 'content-type': 'text/plain' }, '{}')).toMatch(/application\/json/);
    expect(await refused({}, '{"a":')).toBe('That is not JSON.');
  });

  it('that is too long is refused at its end, so that the next request is read from its beginning', async () => {
    const { body, taken } = chunks(9, 1000);
    const refused = await bytesOf(request({}, body), 4000, '4 kB').catch((fault: unknown) => fault);
    expect(refused).toMatchObject({ code: 'badInput', faults: [{ field: 'file' }] });
    expect(String((refused as { faults: { message: string }[] }).faults[0]!.message)).toMatch(
      /over 4 kB\. Send less/,
    );
    expect(taken.count).toBe(9);
  });

  it('of exactly the most is taken whole', async () => {
    expect((await bytesOf(request({}, chunks(4, 1000).body), 4000, '4 kB')).length).toBe(4000);
    expect((await bytesOf(request(), 4000, '4 kB')).length).toBe(0);
  });
});
