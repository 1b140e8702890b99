import { fireEvent, render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { DrawnFrame } from './DrawnFrame';
import { overlap, useMarquee, type Frame } from './useMarquee';

test('frames that share more than an edge overlap', () => {
  const at = (left: number, top: number): Frame => ({ left, top, width: 10, height: 10 });
  expect(overlap(at(0, 0), at(9, 9))).toBe(true);
  expect(overlap(at(0, 0), at(10, 0))).toBe(false);
  expect(overlap(at(0, 0), at(0, -10))).toBe(false);
});

describe('a frame that is drawn', () => {
  const onSelect = jest.fn();
  let asked: Frame | undefined;
  function Wall() {
    const box = useRef<HTMLDivElement>(null);
    const marquee = useMarquee(box, (frame) => ((asked = frame), ['x']), onSelect);
    return (
      <div ref={box} data-testid="wall" {...marquee.handlers}>
        <DrawnFrame frame={marquee.box} />
        <p data-id="a">a picture</p>
        <button type="button">a button</button>
      </div>
    );
  }
  const wall = () => screen.getByTestId('wall');
  /** jsdom's pointer events have no place; those of a mouse have. */
  const point = (type: string, e: Element, x = 0, y = 0, button = 0) =>
    fireEvent(e, new MouseEvent(type, { bubbles: true, clientX: x, clientY: y, button }));
  const press = (e: Element, x: number, y: number, button = 0) => point('pointerdown', e, x, y, button);
  beforeEach(() => {
    onSelect.mockClear();
    HTMLElement.prototype.setPointerCapture = jest.fn();
    render(<Wall />);
    wall().getBoundingClientRect = () => ({ left: 100, top: 50 }) as DOMRect;
    wall().scrollTop = 400;
  });

  test('selects what it touches, in px of what scrolls, drawn in any direction', () => {
    press(wall(), 160, 90);
    point('pointermove', wall(), 120, 130);
    expect(asked).toEqual({ left: 20, top: 440, width: 40, height: 40 });
    expect(onSelect).toHaveBeenLastCalledWith(['x']);
    expect(wall().querySelector('[aria-hidden]')).toHaveStyle({ left: '20px', top: '440px' });
    point('pointerup', wall());
    expect(wall().querySelector('[aria-hidden]')).toBeNull();
    point('pointermove', wall(), 10, 10);
    expect(onSelect).toHaveBeenCalledTimes(1);
  });

  test('a click on an empty spot selects none', () => {
    press(wall(), 160, 90);
    point('pointerup', wall());
    expect(onSelect).toHaveBeenCalledWith([]);
  });

  test('pictures, buttons and other keys of the mouse draw none', () => {
    press(screen.getByText('a picture'), 1, 1);
    press(screen.getByText('a button'), 1, 1);
    press(wall(), 1, 1, 2);
    point('pointermove', wall(), 50, 50);
    point('pointerup', wall());
    expect(onSelect).not.toHaveBeenCalled();
  });
});
