import { render } from '@testing-library/react';
import { Cross, CrossedOut, Ring, Stroke, Strokes } from './PencilMarks';

const drawn = (mark: React.ReactElement) => [...render(mark).container.querySelectorAll('path')];
/** The places across of a path: every other number of it. */
const across = (path: Element) =>
  path
    .getAttribute('d')!
    .match(/-?[\d.]+/g)!
    .map(Number)
    .filter((_, k) => k % 2 === 0);

test('a rating is so many strokes, side by side', () => {
  for (const count of [1, 2, 3, 4, 5]) {
    const starts = drawn(<Strokes count={count} />).map((p) => across(p)[0]);
    expect(starts).toHaveLength(count);
    expect([...starts].sort((a, b) => a - b)).toEqual(starts);
  }
});

test('a stroke that is a button lies in the middle of its own box', () => {
  for (const nth of [1, 3, 5]) {
    const [path] = drawn(<Stroke nth={nth} />);
    const [from, to] = across(path);
    const [left, , width] = path.parentElement!.getAttribute('viewBox')!.split(' ').map(Number);
    expect((from + to) / 2 - left).toBeCloseTo(width / 2, 1);
  }
});

test('a cross is two lines and a ring is one; over a picture each has a dark rim under it', () => {
  expect(drawn(<Cross />)).toHaveLength(2);
  expect(drawn(<Ring />)).toHaveLength(1);
  expect(drawn(<Ring rimmed />)).toHaveLength(2);
  expect(drawn(<CrossedOut />)).toHaveLength(4);
});

test('what only could be marked is drawn thinly', () => {
  const width = (mark: React.ReactElement) => Number(drawn(mark)[0].getAttribute('stroke-width'));
  expect(width(<Ring faint />)).toBeLessThan(width(<Ring />));
});

test('marks say nothing to who hears the page: the button beside them does', () => {
  const { container } = render(<Strokes count={3} />);
  expect(container.querySelector('svg')).toHaveAttribute('aria-hidden', 'true');
});
