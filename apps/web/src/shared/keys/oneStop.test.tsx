import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { OneStop } from './OneStop';
import { stepFrom, stopOf } from './oneStop';

/** Elements that lie where they are told to: rows of columns of 10 x 10 px. */
const laid = (...rows: readonly string[][]): HTMLElement[] =>
  rows.flatMap((row, y) =>
    row.map((name, x) => {
      const element = document.createElement('button');
      element.textContent = name;
      element.getBoundingClientRect = () => new DOMRect(12 * x, 12 * y, 10, 10);
      return element;
    }),
  );
beforeAll(() => {
  window.DOMRect ??= class {
    constructor(
      readonly x: number,
      readonly y: number,
      readonly width: number,
      readonly height: number,
    ) {}
    get left() {
      return this.x;
    }
    get right() {
      return this.x + this.width;
    }
    get top() {
      return this.y;
    }
    get bottom() {
      return this.y + this.height;
    }
  } as unknown as typeof DOMRect;
});

test('arrows go as things lie, and stay at the borders', () => {
  const all = laid(['a', 'b', 'c'], ['d', 'e']);
  const from = (name: string, key: string) =>
    stepFrom(
      all,
      all.findIndex((e) => e.textContent === name),
      key,
    )?.textContent;
  expect(from('b', 'ArrowDown')).toBe('e');
  expect(from('c', 'ArrowDown')).toBe('e');
  expect(from('e', 'ArrowUp')).toBe('b');
  expect(from('a', 'ArrowUp')).toBeUndefined();
  expect(from('e', 'ArrowDown')).toBeUndefined();
  expect(from('c', 'ArrowRight')).toBe('d');
  expect(from('a', 'ArrowLeft')).toBeUndefined();
  expect([from('c', 'Home'), from('a', 'End')]).toEqual(['a', 'e']);
  expect(from('a', 'x')).toBeUndefined();
  expect(stepFrom(all, -1, 'ArrowRight')).toBeUndefined();
});

test('the stop is the one that was left, else the chosen one, else the first', () => {
  const [a, b, c] = laid(['a', 'b', 'c']);
  b.setAttribute('aria-pressed', 'true');
  expect(stopOf([a, b, c], c)).toBe(c);
  expect(stopOf([a, b, c], undefined)).toBe(b);
  b.setAttribute('aria-pressed', 'false');
  expect(stopOf([a, b, c], document.createElement('i'))).toBe(a);
  expect(stopOf([], undefined)).toBeUndefined();
});

function Group() {
  const [names, setNames] = useState(['one', 'two', 'three']);
  return (
    <>
      <OneStop role="group" aria-label="Names">
        {names.map((name) => (
          <button key={name} type="button">
            {name}
          </button>
        ))}
        <input aria-label="a field" />
      </OneStop>
      <button type="button" onClick={() => setNames(['zero', 'four'])}>
        after
      </button>
    </>
  );
}
const focused = () => document.activeElement?.textContent || document.activeElement?.getAttribute('aria-label');

test('Tab comes once into a group and back to where it was left', async () => {
  const user = userEvent.setup();
  render(<Group />);
  await user.tab();
  expect(focused()).toBe('one');
  await user.keyboard('{ArrowRight}{ArrowDown}');
  expect(focused()).toBe('three');
  await user.tab();
  await user.tab();
  expect(focused()).toBe('after');
  await user.tab({ shift: true });
  await user.tab({ shift: true });
  expect(focused()).toBe('three');
});

test('a field in the group keeps its arrows, and what comes in later takes part', async () => {
  const user = userEvent.setup();
  render(<Group />);
  screen.getByLabelText('a field').focus();
  await user.keyboard('ab{ArrowLeft}{Home}c');
  expect(screen.getByLabelText('a field')).toHaveValue('cab');
  await user.click(screen.getByText('after'));
  await Promise.resolve();
  expect(screen.getAllByRole('button').map((b) => b.tabIndex)).toEqual([0, -1, 0]);
  screen.getByText('zero').focus();
  await user.keyboard('{End}');
  expect(focused()).toBe('four');
});
