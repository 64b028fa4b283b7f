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
  say(news: { id: string; words: string; isMine: boolean }): void {
    act(() => this.onmessage?.({ data: JSON.stringify(news) }));
  }
}

beforeEach(() => {
  jest.useFakeTimers();
  Stream.opened.length = 0;
  router.refresh.mockClear();
  globalThis.EventSource = Stream as unknown as typeof EventSource;
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
  const { result } = open();
  expect(Stream.opened.map(({ address }) => address)).toEqual(['/api/releases/r1/stream']);
  Stream.opened[0]!.say({ id: 'e1', words: 'Tobin logged a shot', isMine: false });
  expect(result.current).toEqual({ id: 'e1', words: 'Tobin logged a shot' });
  expect(router.refresh).toHaveBeenCalledTimes(1);
});

it('brings in what the same person did elsewhere without a word, and nothing of its own', () => {
  const { result } = open();
  Stream.opened[0]!.say({ id: 'e2', words: 'logged a shot', isMine: true });
  expect(router.refresh).toHaveBeenCalledTimes(1);
  Stream.opened[0]!.say({ id: 'own-3', words: 'logged a shot', isMine: true });
  expect(router.refresh).toHaveBeenCalledTimes(1);
  expect(result.current).toBeNull();
});

it('listens to the release that is open, and to none that was left', () => {
  const { rerender, unmount } = open();
  rerender({ id: 'r2' });
  act(() => jest.advanceTimersByTime(2000));
  expect(Stream.opened.map(({ isClosed }) => isClosed)).toEqual([true, false]);
  unmount();
  expect(Stream.opened[1]!.isClosed).toBe(true);
});

it('opens nothing for a page that is left at once, or where there are no streams', () => {
  renderHook(() => useOthers('r1')).unmount();
  act(() => jest.advanceTimersByTime(2000));
  expect(Stream.opened).toHaveLength(0);
  Reflect.deleteProperty(globalThis, 'EventSource');
  const { result } = open();
  expect(result.current).toBeNull();
});
