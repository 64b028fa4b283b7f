import { render, screen } from '@testing-library/react';
import { nextMove } from '@/core/advice/next';
import { restSpan } from '@/core/rest/rest';
import { question, shot } from '../../tests/support/coffee';
import { Gate } from './Gate';
import { RestStrip } from './RestStrip';

function drawGate(shots: ReturnType<typeof shot>[]) {
  const { marks, expect: expected, proof } = nextMove(question(shots));
  return render(
    <Gate
      yieldG={36}
      yieldToleranceG={1}
      timeS={[26, 30]}
      clockWords="from the pump"
      shots={shots.map(({ yieldG, timeS, firstDripS }, i) => ({
        number: i + 1,
        yieldG,
        timeS,
        firstDripS,
        mark: marks[i]!,
      }))}
      expect={expected}
      proof={proof}
      runningS={null}
    />,
  );
}

describe('the gate', () => {
  it('says in words what it draws', () => {
    drawGate([shot({ timeS: 22 }), shot()]);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      /^Gate: 36\.0 g ± 1\.0 g in 26-30 s from the pump\. 2 shots, 1 landed\. This setting runs 27\.9 ± \d\.\d s: (almost certain|9 in 10) that it holds/,
    );
  });

  it('gives each side of a miss a shape of its own, apart from colour', () => {
    const { container } = drawGate([shot({ timeS: 20 }), shot({ timeS: 40 }), shot()]);
    const marks = [...container.querySelectorAll('path[transform]')];
    expect(new Set(marks.map((mark) => mark.getAttribute('d'))).size).toBe(3);
  });

  it('places a fast shot left of the gate and a slow one right of it', () => {
    const { container } = drawGate([shot({ timeS: 20 }), shot({ timeS: 40 })]);
    const [fast, slow] = [...container.querySelectorAll('path[transform]')].map((mark) =>
      Number(/translate\(([\d.]+)/.exec(mark.getAttribute('transform')!)![1]),
    );
    const gate = [...container.querySelectorAll('rect')].at(-1)!;
    const left = Number(gate.getAttribute('x'));
    expect(fast!).toBeLessThan(left);
    expect(slow!).toBeGreaterThan(left + Number(gate.getAttribute('width')));
  });
});

describe('the rest strip', () => {
  it('says day, state and span in words', () => {
    const mark = { kind: 'shot', restDays: 9, label: 'Shot 1' } as const;
    render(
      <RestStrip restDays={10} state="best" span={restSpan(0, 'byRoast')} marks={[mark]} isTall />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Rested 10 days: best. Opens at day 6, best from 8 to 21, fades at 35. 1 marks.',
    );
    expect(screen.getByText('Day 10, best')).toBeTruthy();
  });
});
