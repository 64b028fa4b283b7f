import { fireEvent, render } from '@testing-library/react';
import { activeKeys, useKeys } from './useKeys';

function Part({ name, pressed }: { name: string; pressed: (name: string) => void }) {
  useKeys({ x: { words: name, act: () => pressed(name) } });
  return null;
}

const press = () => fireEvent.keyDown(document.body, { key: 'x' });

it('gives a key two parts share to the newer one, also after the older was drawn again', () => {
  const pressed = jest.fn();
  const screen = (older: string, withNewer = true) => (
    <>
      <Part key="older" name={older} pressed={pressed} />
      {withNewer && <Part key="newer" name="newer" pressed={pressed} />}
    </>
  );
  const { rerender, unmount } = render(screen('older'));
  press();
  rerender(screen('older, drawn again'));
  press();
  expect(pressed.mock.calls).toEqual([['newer'], ['newer']]);
  expect(activeKeys().x!.words).toBe('newer');
  rerender(screen('older, drawn again', false));
  press();
  expect(pressed).toHaveBeenLastCalledWith('older, drawn again');
  unmount();
  press();
  expect(pressed).toHaveBeenCalledTimes(3);
});

it('subscribes once, however often the part is drawn', () => {
  const listen = jest.spyOn(document, 'addEventListener');
  const pressed = jest.fn();
  const { rerender } = render(<Part name="a" pressed={pressed} />);
  const before = listen.mock.calls.filter(([kind]) => kind === 'keydown').length;
  for (const name of ['b', 'c', 'd']) rerender(<Part name={name} pressed={pressed} />);
  expect(listen.mock.calls.filter(([kind]) => kind === 'keydown')).toHaveLength(before);
  press();
  expect(pressed.mock.calls).toEqual([['d']]);
  listen.mockRestore();
});
