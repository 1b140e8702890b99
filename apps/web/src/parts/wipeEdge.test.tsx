import { fireEvent, render, screen } from '@testing-library/react';
import { WipeEdge } from './WipeEdge';

const edge = (at: number) => {
  const onMove = jest.fn();
  render(
    <div data-testid="picture">
      <WipeEdge label="Wipe" at={at} onMove={onMove} />
    </div>,
  );
  const slider = screen.getByRole('slider', { name: 'Wipe' });
  slider.setPointerCapture = jest.fn();
  screen.getByTestId('picture').getBoundingClientRect = () => ({ left: 100, width: 400 }) as DOMRect;
  const move = (clientX: number, buttons: number) =>
    fireEvent(slider, new MouseEvent('pointermove', { bubbles: true, clientX, buttons }));
  return { slider, onMove, move };
};

test('it says where it is, in parts of a hundred', () => {
  expect(edge(0.254).slider).toHaveAttribute('aria-valuenow', '25');
});

test('the pointer moves it within the picture, only while it is pressed', () => {
  const { onMove, move } = edge(0.5);
  move(200, 0);
  expect(onMove).not.toHaveBeenCalled();
  for (const x of [200, 50, 600]) move(x, 1);
  expect(onMove.mock.calls).toEqual([[0.25], [0], [1]]);
});

test.each([
  ['ArrowLeft', 0.5, 0.45],
  ['ArrowRight', 0.5, 0.55],
  ['ArrowLeft', 0.02, 0],
  ['ArrowRight', 0.98, 1],
])('%s moves it from %d to %d', (key, from, to) => {
  const { slider, onMove } = edge(from);
  fireEvent.keyDown(slider, { key });
  expect(onMove).toHaveBeenCalledTimes(1);
  expect(onMove.mock.calls[0][0]).toBeCloseTo(to, 9);
});

test('other keys are left to the page', () => {
  const { slider, onMove } = edge(0.5);
  fireEvent.keyDown(slider, { key: 'x' });
  expect(onMove).not.toHaveBeenCalled();
});
