import { act, render, screen } from '@testing-library/react';
import { Suspense, use, useState } from 'react';
import { router } from '../../tests/support/browser';
import { RefreshKeeper, useRefresh } from './useRefresh';

jest.mock('next/navigation', () => ({ useRouter: () => router }));

/** A page whose answers come as each is told to: whole, or never. */
function openPage(...answers: ('whole' | 'never')[]) {
  const asked = { count: 0 };
  function Page({ page }: { page: Promise<string> }) {
    return <p>{use(page)}</p>;
  }
  /** A form that is gone as soon as it has asked. */
  function Asker({ onDone }: { onDone: () => void }) {
    const [, refresh] = useRefresh();
    const ask = () => {
      refresh();
      onDone();
    };
    return <button onClick={ask}>Keep</button>;
  }
  function Screen() {
    const [page, setPage] = useState(() => Promise.resolve('old'));
    const [isAsked, setAsked] = useState(false);
    router.refresh.mockImplementation(() => {
      const answer = answers[asked.count];
      asked.count += 1;
      setPage(answer === 'whole' ? Promise.resolve('new') : new Promise<string>(() => undefined));
    });
    return (
      <>
        <RefreshKeeper />
        {!isAsked && <Asker onDone={() => setAsked(true)} />}
        <Suspense>
          <Page page={page} />
        </Suspense>
      </>
    );
  }
  return { asked, Screen };
}

async function press(screenOf: () => React.JSX.Element) {
  const Screen = screenOf;
  await act(async () => render(<Screen />));
  await act(async () => screen.getByRole('button').click());
}
const wait = (ms: number) => act(async () => jest.advanceTimersByTimeAsync(ms));

beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  jest.useRealTimers();
  router.refresh.mockReset();
});

it('asks once where the answer comes, however long the page stays open', async () => {
  const { asked, Screen } = openPage('whole');
  await press(Screen);
  await wait(60_000);
  expect(screen.getByText('new')).toBeTruthy();
  expect(asked.count).toBe(1);
});

it('asks again for an answer that broke off, ever later, until the page stands', async () => {
  const { asked, Screen } = openPage('never', 'never', 'whole');
  await press(Screen);
  expect(screen.getByText('old')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
  await wait(4_900);
  expect(asked.count).toBe(1);
  await wait(200);
  expect(asked.count).toBe(2);
  await wait(9_800);
  expect(asked.count).toBe(2);
  await wait(300);
  expect(asked.count).toBe(3);
  expect(screen.getByText('new')).toBeTruthy();
  await wait(60_000);
  expect(asked.count).toBe(3);
});

it('says that it is coming to whoever asked, and asks itself where no keeper stands', async () => {
  function Alone() {
    const [isRefreshing, refresh] = useRefresh();
    const [page, setPage] = useState(() => Promise.resolve('old'));
    router.refresh.mockImplementation(() => setPage(new Promise<string>(() => undefined)));
    return (
      <>
        <button onClick={refresh}>{isRefreshing ? 'coming' : 'stands'}</button>
        <Suspense>{use(page)}</Suspense>
      </>
    );
  }
  await press(() => (
    <Suspense>
      <Alone />
    </Suspense>
  ));
  expect(screen.getByRole('button').textContent).toBe('coming');
  expect(router.refresh).toHaveBeenCalledTimes(1);
});
