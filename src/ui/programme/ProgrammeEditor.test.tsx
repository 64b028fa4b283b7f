import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { STYLE_STEPS } from '@/core/programme/styles';
import { renderAs } from '../../../tests/support/render';
import { ProgrammeEditor } from './ProgrammeEditor';
import { ReachNotice } from './ReachNotice';
import { drawnOf, textOf, type ProgrammeText } from './stepText';

let written: ProgrammeText = [];

function Written({ faults = {} }: { faults?: Record<string, string> }) {
  const [text, setText] = useState(textOf(STYLE_STEPS.soakFirst));
  useEffect(() => {
    written = text;
  }, [text]);
  return (
    <ProgrammeEditor
      text={text}
      onChange={setText}
      windowS={[56, 64]}
      faultOf={(field) => faults[field]}
    />
  );
}

function open(faults?: Record<string, string>) {
  renderAs(<Written {...(faults && { faults })} />);
  const handle = (number: number) => screen.getByRole('slider', { name: `Step ${number}` });
  return { user: userEvent.setup(), handle };
}

describe('writing a programme', () => {
  it('is done by keys on the drawing alone', async () => {
    const { user, handle } = open();
    await user.tab();
    expect(document.activeElement).toBe(handle(1));
    await user.keyboard('{ArrowDown}{ArrowRight}');
    await user.tab();
    await user.keyboard('{Shift>}{ArrowLeft}{/Shift}{ArrowLeft}');
    await user.tab();
    await user.keyboard('e+');
    await waitFor(() => expect(document.activeElement).toBe(handle(4)));
    await user.keyboard('f{ArrowDown}{ArrowDown}');
    expect(drawnOf(written)).toEqual([
      { drive: 'flow', level: 7.5, seconds: 5, ramp: false, limitBar: 3 },
      { drive: 'flow', level: 0, seconds: 25, ramp: false },
      { drive: 'flow', level: 2.5, seconds: 30, ramp: true, limitBar: 9 },
      { drive: 'pressure', level: 8, seconds: 10, ramp: false },
    ]);
    expect(handle(4).getAttribute('aria-valuetext')).toBe('8 bar to target weight');
    await user.keyboard('{Delete}');
    await waitFor(() => expect(document.activeElement).toBe(handle(3)));
    expect(written).toHaveLength(3);
  });

  it('takes back what lost something', async () => {
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'Remove step 1' }));
    expect(written).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'Take that back' }));
    expect(drawnOf(written)).toEqual(STYLE_STEPS.soakFirst);
  });

  it('takes exact figures for the step in hand, in its own unit', async () => {
    const { user } = open();
    await user.click(screen.getByRole('button', { name: /Step 3/ }));
    const fields = within(screen.getByRole('group', { name: 'Step 3' }));
    const level = fields.getByLabelText(/^Level, ml\/s/);
    await user.clear(level);
    await user.type(level, '2.25');
    expect(written[2]!.level).toBe('2.25');
    await user.click(fields.getByText('Pressure'));
    expect(written[2]).toMatchObject({ drive: 'pressure', limitBar: '' });
    expect(fields.queryByLabelText(/^At most/)).toBeNull();
  });

  it('says each step in words, and a fault at its field', async () => {
    const { user } = open({ 'steps.1.seconds': 'Step 300 s is outside 0.5-120 s.' });
    const words = within(screen.getByRole('list', { name: 'Steps in words' }));
    expect(words.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      'Step 18 ml/s, at most 3 bar for 4 s',
      'Step 2pause 30 s',
      'Step 32.5 ml/s, at most 9 bar to target weight',
    ]);
    expect(screen.queryByText(/outside 0.5-120/)).toBeNull();
    await user.click(screen.getByRole('button', { name: /Step 2/ }));
    expect(screen.queryByText(/outside 0.5-120/)).not.toBeNull();
  });
});

it('offers what a machine can make instead, and says nothing where it makes all', async () => {
  const onTake = jest.fn();
  const machine = { name: 'At the window', pressureControl: false, flowControl: false };
  const { rerender } = renderAs(
    <ReachNotice programme={STYLE_STEPS.soakFirst} machine={machine} onTake={onTake} />,
  );
  expect(screen.queryByText(/At the window: All of it is out of reach/)).not.toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Take that instead' }));
  expect(onTake).toHaveBeenCalledWith([{ drive: 'pressure', level: 9, seconds: 30, ramp: false }]);
  rerender(<ReachNotice programme={STYLE_STEPS.classic} machine={machine} onTake={onTake} />);
  expect(screen.queryByRole('button')).toBeNull();
});
