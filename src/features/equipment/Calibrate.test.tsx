import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderAs } from '../../../tests/support/render';
import { NotationProvider } from '@/ui/notation';
import { Calibrate } from './Calibrate';
import { NEW_PARTS } from './partText';

function open(text = NEW_PARTS.grinder) {
  const onTake = jest.fn();
  renderAs(<Calibrate text={text} onTake={onTake} />);
  return { onTake, user: userEvent.setup() };
}

async function enter(user: ReturnType<typeof userEvent.setup>, shots: readonly [string, string][]) {
  await user.click(screen.getByRole('button', { name: /Calibrate from/ }));
  for (const [i, [dial, time]] of shots.entries()) {
    await user.type(screen.getByLabelText(`Shot ${i + 1}: dial`), dial);
    await user.type(screen.getByLabelText(`Shot ${i + 1}: time, s`), time);
  }
  await user.click(screen.getByRole('button', { name: 'Work it out' }));
}

describe('the calibration of a grinder', () => {
  it('says what a step does and where the reference coffee runs, with ±, and hands it to the form', async () => {
    const { user, onTake } = open();
    await enter(user, [
      ['10', '34'],
      ['14', '23'],
    ]);
    const found = await screen.findByText(/One step changes a shot of 28 s by/);
    expect(found.textContent).toMatch(/by 2\.9 s \(8 in 10: ± 0\.\d\).* at 12\.0 \(± 0\.\d\)/);
    await user.click(screen.getByRole('button', { name: 'Take these figures' }));
    expect(onTake).toHaveBeenCalledWith({
      secondsPerStep: expect.stringMatching(/^2\.8[5-9]/) as string,
      secondsPerStepHalf80: expect.stringMatching(/^0\./) as string,
      referenceDial: expect.stringMatching(/^1[12]\./) as string,
    });
  });

  it('reads and says dials as the grinder writes them', async () => {
    const user = userEvent.setup();
    renderAs(
      <NotationProvider of={{ notation: 'letters', divisions: 8 }}>
        <Calibrate text={NEW_PARTS.grinder} onTake={jest.fn()} />
      </NotationProvider>,
    );
    await enter(user, [
      ['1 C', '34'],
      ['1 G', '23'],
    ]);
    const found = await screen.findByText(/One step changes a shot of 28 s by/);
    expect(found.textContent).toMatch(/at 1 E \(± 0\.\d letters\)/);
  });

  it('refuses shots of one dial, and a finer side that runs faster, with what to do', async () => {
    const { user, onTake } = open({ ...NEW_PARTS.grinder, finerIs: 'higher' });
    await enter(user, [
      ['10', '34'],
      ['14', '23'],
    ]);
    expect((await screen.findByRole('alert')).textContent).toMatch(/finer setting ran faster/);
    await user.clear(screen.getByLabelText('Shot 2: dial'));
    await user.type(screen.getByLabelText('Shot 2: dial'), '10');
    await user.click(screen.getByRole('button', { name: 'Work it out' }));
    expect((await screen.findByText(/two different dials/)).textContent).toBeTruthy();
    expect(onTake).not.toHaveBeenCalled();
  });
});
