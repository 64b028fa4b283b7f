import { act, renderHook } from '@testing-library/react';
import { useTimer } from './useTimer';

describe('the bench clock', () => {
  it('walks from pump to first drip to stop, and reports both times', () => {
    let milliseconds = 1000;
    const runs: unknown[] = [];
    const now = () => milliseconds;
    const onStop = (run: unknown) => void runs.push(run);
    const { result } = renderHook(() => useTimer(onStop, now));
    const advanceAt = (at: number) => {
      milliseconds = at;
      act(() => result.current.advance());
    };
    advanceAt(1000);
    expect(result.current.phase).toBe('running');
    advanceAt(7240);
    expect(result.current).toMatchObject({ phase: 'dripped', firstDripS: 6.2 });
    advanceAt(29_050);
    expect(result.current).toMatchObject({ phase: 'stopped', elapsedS: 28.1 });
    expect(runs).toEqual([{ elapsedS: 28.1, firstDripS: 6.2 }]);
    advanceAt(60_000);
    expect(result.current).toMatchObject({ phase: 'running', elapsedS: 0, firstDripS: null });
  });

  it('forgets a run that is thrown away', () => {
    const { result } = renderHook(() => useTimer(() => undefined));
    act(() => result.current.advance());
    act(() => result.current.reset());
    expect(result.current).toMatchObject({ phase: 'idle', elapsedS: 0 });
  });
});
