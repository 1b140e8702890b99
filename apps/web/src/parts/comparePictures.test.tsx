import { act, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../test/page';
import { CompareModes, ComparePictures, type ComparedPicture, type CompareMode } from './ComparePictures';

const pictures: readonly ComparedPicture[] = [
  { url: '/a', label: 'the first', alt: 'A', aspect: 1.5 },
  { url: '/b', label: 'the second', alt: 'B', aspect: 1.5, mark: [0.1, 0.2, 0.4, 0.8] },
  { url: undefined, label: 'the third', alt: 'C', aspect: 1.5 },
];
const compare = (mode: CompareMode, of = pictures) => show(<ComparePictures pictures={of} mode={mode} />);
const frames = () => screen.getAllByRole('group').map((g) => g.getAttribute('aria-label')!.split(';')[0]);

describe('pictures against each other', () => {
  test('nothing to compare shows nothing', () => {
    compare('wipe', []);
    expect(screen.queryByRole('group')).toBeNull();
    expect(screen.queryByRole('img')).toBeNull();
  });

  test('beside each other: all of them, and what has no picture yet keeps its place', () => {
    compare('beside');
    expect(frames()).toEqual(['the first', 'the second', 'the third']);
    expect(screen.queryByAltText('C')).toBeNull();
  });

  test.each(['wipe', 'flicker', 'difference'] as const)('one picture alone is shown as it is by %s', (mode) => {
    compare(mode, pictures.slice(0, 1));
    expect(frames()).toEqual(['the first']);
  });

  test('a wipe is moved by arrows and by the pointer, and ends at the edges', () => {
    compare('wipe');
    const edge = screen.getByRole('slider', { name: 'Edge of the wipe' });
    const cut = () => screen.getByAltText('A').parentElement!.style.clipPath;
    expect(cut()).toBe('inset(0 50% 0 0)');
    fireEvent.keyDown(edge, { key: 'ArrowRight' });
    expect(edge).toHaveAttribute('aria-valuenow', '55');
    jest.spyOn(edge.parentElement!, 'getBoundingClientRect').mockReturnValue({ left: 100, width: 400 } as DOMRect);
    const pointer = (buttons: number, clientX: number) =>
      fireEvent(edge, new MouseEvent('pointermove', { bubbles: true, buttons, clientX }));
    pointer(1, 200);
    expect(cut()).toBe('inset(0 75% 0 0)');
    pointer(0, 480);
    expect(edge).toHaveAttribute('aria-valuenow', '25');
    pointer(1, 9000);
    fireEvent.keyDown(edge, { key: 'ArrowRight' });
    expect(edge).toHaveAttribute('aria-valuenow', '100');
  });

  test('in turn: the second comes and goes by itself, and says which is seen', () => {
    jest.useFakeTimers();
    try {
      const { unmount } = compare('flicker', pictures.slice(0, 2));
      expect(screen.getByAltText('B')).toHaveStyle({ visibility: 'hidden' });
      expect(frames()).toEqual(['the first']);
      act(() => jest.advanceTimersByTime(750));
      expect(screen.getByAltText('B')).toHaveStyle({ visibility: 'visible' });
      expect(frames()).toEqual(['the second']);
      act(() => jest.advanceTimersByTime(750));
      expect(frames()).toEqual(['the first']);
      unmount();
      expect(jest.getTimerCount()).toBe(0);
    } finally {
      jest.useRealTimers();
    }
  });

  test('subtracted: the second is blended over the first', () => {
    compare('difference');
    expect(screen.getByAltText('B').style.mixBlendMode).toBe('difference');
    expect(screen.getByAltText('A').style.mixBlendMode).toBe('');
  });

  test('all share one zoom, which says how far it is', () => {
    compare('beside', pictures.slice(0, 2));
    fireEvent.keyDown(screen.getAllByRole('group')[0], { key: '+' });
    const scales = ['A', 'B'].map((alt) => screen.getByAltText(alt).style.transform);
    expect(scales[0]).not.toBe('');
    expect(scales[0]).toBe(scales[1]);
    expect(screen.getAllByText(/^· \d\.\d x$/)).toHaveLength(2);
  });

  test('a mode is chosen', async () => {
    const onMode = jest.fn();
    show(<CompareModes mode="wipe" onMode={onMode} />);
    expect(screen.getByRole('button', { name: 'wipe', pressed: true })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'difference', pressed: false }));
    expect(onMode).toHaveBeenCalledWith('difference');
  });
});
