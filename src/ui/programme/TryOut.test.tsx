import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { STYLE_STEPS } from '@/core/programme/styles';
import { tryProgramme, type Tried, type TryInput } from '@/core/simulator/tryProgramme';
import type { JobOptions } from '@/workers/client';
import { renderAs } from '../../../tests/support/render';
import { textOf } from './stepText';
import WriteProgramme from './WriteProgramme';

interface Waiting {
  readonly input: TryInput;
  readonly options: JobOptions;
  readonly resolve: (tried: Tried) => void;
  readonly reject: (error: Error) => void;
}
const asked: Waiting[] = [];
jest.mock('@/workers/client', () => ({
  BrokenWorker: class extends Error {},
  ask: (_kind: string, input: TryInput, options: JobOptions) =>
    new Promise<Tried>((resolve, reject) => {
      asked.push({ input, options, resolve, reject });
    }),
}));
beforeEach(() => (asked.length = 0));

const WITH = {
  coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
  basket: { diameterMm: 58, ratedG: 18 },
  recipe: { doseG: 18, yieldG: 36, temperatureC: 93, centreS: 28 },
};

function Written() {
  const [text, setText] = useState(textOf(STYLE_STEPS.classic));
  return (
    <WriteProgramme
      text={text}
      onChange={setText}
      windowS={[26, 30]}
      faultOf={() => undefined}
      tryWith={WITH}
    />
  );
}

async function open() {
  renderAs(<Written />);
  const user = userEvent.setup();
  const button = () => screen.queryByRole('button', { name: 'Try it in the simulator' });
  await user.click(button()!);
  const isDrawn = () => screen.queryByRole('img', { name: /as simulated/ }) !== null;
  return { user, button, isDrawn };
}

describe('trying a programme', () => {
  it('tells how far it is, then what came of it, drawn and in words', async () => {
    const { isDrawn } = await open();
    act(() => asked[0]!.options.onProgress!(0.25));
    expect(screen.getByRole<HTMLProgressElement>('progressbar').value).toBe(0.25);
    expect(isDrawn()).toBe(false);
    await act(async () => asked[0]!.resolve(tryProgramme(asked[0]!.input)));
    expect(
      screen.getByText(/At the grind that takes the window’s middle: 36\.\d g in 28 s/),
    ).toBeTruthy();
    expect(screen.getByText(/Simulated, heuristic.*differ by about 4 % in time/)).toBeTruthy();
    expect(isDrawn()).toBe(true);
  });

  it('forgets it when a step changes', async () => {
    const { user, isDrawn } = await open();
    await act(async () => asked[0]!.resolve(tryProgramme(asked[0]!.input)));
    expect(isDrawn()).toBe(true);
    act(() => screen.getByRole('slider', { name: 'Step 1' }).focus());
    await user.keyboard('{ArrowDown}');
    expect(isDrawn()).toBe(false);
    expect(screen.queryByText(/window’s middle/)).toBeNull();
  });

  it('is given up by the person, without a fault', async () => {
    const { user, button } = await open();
    const { signal } = asked[0]!.options;
    signal!.addEventListener('abort', () => {
      asked[0]!.reject(new DOMException('Given up.', 'AbortError'));
    });
    await user.click(screen.getByRole('button', { name: 'give it up' }));
    expect(signal!.aborted).toBe(true);
    expect(button()).not.toBeNull();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('says so when the simulator does not get through, and can be asked again', async () => {
    const { button } = await open();
    await act(async () => asked[0]!.reject(new Error('broken')));
    expect(screen.getByRole('alert').textContent).toMatch(/did not get through.*try again/);
    expect(button()).not.toBeNull();
  });

  it('says plainly where no grind reaches the window', async () => {
    await open();
    const { input, resolve } = asked[0]!;
    await act(async () => resolve({ ...tryProgramme(input), offBy: 0.3 }));
    expect(screen.getByText(/No grind brings this programme to 28 s/)).toBeTruthy();
  });
});
