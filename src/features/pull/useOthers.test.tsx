import { act, renderHook } from '@testing-library/react';
import { router } from '../../../tests/support/browser';
import { useOthers } from './useOthers';

jest.mock('next/navigation', () => ({ useRouter: () => router }));
jest.mock('@/ui/outbox', () => ({ isOwn: (id: string) => id.startsWith('own') }));

class Stream {
  static readonly opened: Stream[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  isClosed = false;
  constructor(readonly address: string) {
    Stream.opened.push(this);
  }
  close(): void {
    this.isClosed = true;
  }
  say(news: { id: string; words: string; isMine: boolean; releaseId?: string }): void {
    act(() => this.onmessage?.({ data: JSON.stringify({ releaseId: 'r1', ...news }) }));
  }
}

/** Pages of one browser: a lock that one of them holds, and a channel all of them hear. */
class Channel {
  static readonly open = new Set<Channel>();
  onmessage: ((event: { data: unknown }) => void) | null = null;
  constructor() {
    Channel.open.add(this);
  }
  postMessage(data: unknown): void {
    for (const other of Channel.open) if (other !== this) other.onmessage?.({ data });
  }
  close(): void {
    Channel.open.delete(this);
  }
}
const locks = {
  request: (_name: string, _options: unknown, hold: () => Promise<void>) => hold(),
};

let visibility: 'visible' | 'hidden';
function turn(to: 'visible' | 'hidden'): void {
  visibility = to;
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
}

beforeEach(() => {
  jest.useFakeTimers();
  Stream.opened.length = 0;
  router.refresh.mockClear();
  visibility = 'visible';
  Object.defineProperty(document, 'visibilityState', { configurable: true, get: () => visibility });
  Object.defineProperty(navigator, 'locks', { configurable: true, value: locks });
  globalThis.EventSource = Stream as unknown as typeof EventSource;
  globalThis.BroadcastChannel = Channel as unknown as typeof BroadcastChannel;
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'EventSource');
});

function open() {
  const rendered = renderHook(({ id }) => useOthers(id), { initialProps: { id: 'r1' } });
  act(() => jest.advanceTimersByTime(2000));
  return rendered;
}

it('tells what another did and brings the screen up to date', () => {
  const { result, unmount } = open();
  expect(Stream.opened.map(({ address }) => address)).toEqual(['/api/stream']);
  Stream.opened[0]!.say({ id: 'e1', words: 'Tobin logged a shot', isMine: false });
  expect(result.current).toEqual({ id: 'e1', words: 'Tobin logged a shot' });
  expect(router.refresh).toHaveBeenCalledTimes(1);
  unmount();
});

it('brings in what the same person did elsewhere without a word, and nothing of its own or of other releases', () => {
  const { result, unmount } = open();
  Stream.opened[0]!.say({ id: 'e2', words: 'logged a shot', isMine: true });
  expect(router.refresh).toHaveBeenCalledTimes(1);
  Stream.opened[0]!.say({ id: 'own-3', words: 'logged a shot', isMine: true });
  Stream.opened[0]!.say({ id: 'e4', words: 'logged a shot', isMine: false, releaseId: 'r2' });
  expect(router.refresh).toHaveBeenCalledTimes(1);
  expect(result.current).toBeNull();
  unmount();
});

it('has one line for all parts of a page, and none once they are left', () => {
  const [one, other] = [open(), open()];
  expect(Stream.opened).toHaveLength(1);
  one.unmount();
  expect(Stream.opened[0]!.isClosed).toBe(false);
  other.unmount();
  expect(Stream.opened[0]!.isClosed).toBe(true);
});

it('hears what the page that holds the line passes on', () => {
  const { result, unmount } = open();
  const news = { id: 'e5', releaseId: 'r1', words: 'Tobin tasted', isMine: false };
  act(() => new Channel().postMessage(news));
  expect(result.current).toEqual({ id: 'e5', words: 'Tobin tasted' });
  unmount();
});

it('holds no line out of view, and looks again when it comes back', () => {
  const { unmount } = open();
  turn('hidden');
  expect(Stream.opened[0]!.isClosed).toBe(true);
  expect(router.refresh).not.toHaveBeenCalled();
  turn('visible');
  expect(Stream.opened).toHaveLength(2);
  expect(router.refresh).toHaveBeenCalledTimes(1);
  unmount();
});

it('asks now and then where a browser cannot share a line, and opens nothing for a page left at once', () => {
  renderHook(() => useOthers('r1')).unmount();
  act(() => jest.advanceTimersByTime(2000));
  expect(Stream.opened).toHaveLength(0);
  Reflect.deleteProperty(globalThis, 'EventSource');
  const { result, unmount } = open();
  act(() => jest.advanceTimersByTime(20_000));
  expect(router.refresh).toHaveBeenCalledTimes(1);
  expect(result.current).toBeNull();
  unmount();
});
