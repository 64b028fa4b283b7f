import { act, renderHook } from '@testing-library/react';
import { useTimer } from './useTimer';

describe('the bench clock', () => {
  it('walks from pump to first drip to stop, and reports both times', () => {
    let milliseconds = 1000;
    const runs: unknown[] = [];
    const now = () => milliseconds;
    const onStop = (run: unknown) => void runs.push(run);
    const { result } = renderHook(() => useTimer({ onStop, now }));
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
    const { result } = renderHook(() => useTimer({ onStop: () => undefined }));
    act(() => result.current.advance());
    act(() => result.current.reset());
    expect(result.current).toMatchObject({ phase: 'idle', elapsedS: 0 });
  });
});

describe('with a scale', () => {
  function open(speed = 1) {
    let milliseconds = 0;
    const runs: unknown[] = [];
    const { result } = renderHook(() =>
      useTimer({ hasScale: true, speed, onStop: (run) => runs.push(run), now: () => milliseconds }),
    );
    const advanceAt = (at: number) => {
      milliseconds = at;
      act(() => result.current.advance());
    };
    return { result, runs, advanceAt };
  }

  it('takes the first drip from the scale, once, and stops with the next key', () => {
    const { result, runs, advanceAt } = open();
    advanceAt(0);
    act(() => result.current.markDrip(6.1));
    act(() => result.current.markDrip(6.4));
    expect(result.current).toMatchObject({ phase: 'dripped', firstDripS: 6.1 });
    advanceAt(27_500);
    expect(runs).toEqual([{ elapsedS: 27.5, firstDripS: 6.1 }]);
  });

  it('stops a choked shot, of which no drip came', () => {
    const { runs, advanceAt } = open();
    advanceAt(0);
    advanceAt(30_000);
    expect(runs).toEqual([{ elapsedS: 30, firstDripS: null }]);
  });

  it('counts simulated seconds as they run', () => {
    const { runs, advanceAt } = open(10);
    advanceAt(0);
    advanceAt(2_800);
    expect(runs).toEqual([{ elapsedS: 28, firstDripS: null }]);
  });
});
