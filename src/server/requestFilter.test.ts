/** @jest-environment node */
import { addressOfRequest, isInner, refusalOf, type RawRequest } from './requestFilter';

const status = (changes: Partial<RawRequest>) =>
  refusalOf(
    { method: 'GET', url: '/', ...changes, headers: { host: 'localhost', ...changes.headers } },
    (host) => host === 'localhost',
  )?.status ?? 'in';

it('lets in what the program itself asks for', () => {
  const tree = encodeURIComponent(JSON.stringify(['', { children: ['__PAGE__', {}] }]));
  expect(status({})).toBe('in');
  expect(status({ method: 'POST', url: '/api/commands' })).toBe('in');
  expect(status({ url: '/find?q=caf%C3%A9+%26+plum' })).toBe('in');
  expect(status({ headers: { 'next-router-state-tree': tree } })).toBe('in');
});

it.each<[string, Partial<RawRequest>, number]>([
  ['a method it does not know', { method: 'PATCH' }, 405],
  ['a method for proxies', { method: 'TRACE' }, 405],
  ['another name than its own', { headers: { host: 'evil.example' } }, 421],
  ['no name', { headers: { host: undefined } }, 421],
  ['two names', { headers: { host: ['localhost', 'localhost'] } }, 421],
  ['bytes that are no text', { url: '/%ff' }, 400],
  ['half a percent sign', { url: '/find?q=%' }, 400],
  ['a nought byte', { url: '/releases/%00' }, 400],
  ['a new line', { url: '/a%0d%0aset-cookie:x' }, 400],
  ['a backslash', { url: '/%5c%5cevil.example' }, 400],
  ['another host in the path', { url: '//evil.example/' }, 400],
  ['a whole address in place of a path', { url: 'http://evil.example/' }, 400],
  ['a very long address', { url: `/${'a'.repeat(4001)}` }, 414],
  ['a very long body', { method: 'POST', headers: { 'content-length': '20000001' } }, 413],
  ['a page state that is none', { headers: { 'next-router-state-tree': '%%%' } }, 400],
  ['a page state of another kind', { headers: { 'next-router-state-tree': '{}' } }, 400],
])('refuses %s', (_, request, expected) => {
  expect(status(request)).toBe(expected);
});

it('drops what only its own parts say to each other', () => {
  for (const name of [
    'x-middleware-subrequest',
    'x-nextjs-data',
    'next-action',
    'x-kettlebrand-from',
  ])
    expect([name, isInner(name)]).toEqual([name, true]);
  for (const name of ['next-router-state-tree', 'rsc', 'cookie', 'x-style'])
    expect([name, isInner(name)]).toEqual([name, false]);
});

it('takes the address of the line, or what the house’s own proxy wrote last', () => {
  expect(addressOfRequest('::ffff:192.0.2.7', '203.0.113.1', false)).toBe('192.0.2.7');
  expect(addressOfRequest('127.0.0.1', 'made up, 203.0.113.1', true)).toBe('203.0.113.1');
  expect(addressOfRequest('127.0.0.1', undefined, true)).toBe('127.0.0.1');
  expect(addressOfRequest(undefined, undefined, false)).toBe('unknown');
});
