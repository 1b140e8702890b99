import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { paintOf } from '../theme/colours';
import { lightNow, startLight } from '../theme/lighting';
import { LightChoice } from './LightChoice';

const CSS = readTheme();

/** The custom properties of theme.css, for each light. */
function readTheme(): Record<'day' | 'dark' | 'print', Record<string, string>> {
  // eslint-disable-next-line @typescript-eslint/no-require-imports
  const { readFileSync } = require('fs') as typeof import('fs');
  const text = readFileSync(`${__dirname}/../theme/theme.css`, 'utf8');
  const of = (head: string) => {
    const block = text.slice(text.indexOf(head)).split('}')[0];
    return Object.fromEntries([...block.matchAll(/--color-(\w+): (#\w{6})/g)].map(([, name, value]) => [name, value]));
  };
  const day = of('@theme');
  return { day, dark: { ...day, ...of("[data-light='dark']") }, print: { ...day, ...of("[data-light='print']") } };
}

beforeEach(() => {
  localStorage.clear();
  delete document.documentElement.dataset.light;
});

test('the light is chosen by keys alone, is on at once and at the next start', async () => {
  const user = userEvent.setup();
  startLight();
  render(<LightChoice />);
  expect(lightNow()).toBe('day');
  await user.tab();
  await user.keyboard('{Enter}');
  expect(screen.getByRole('menuitemradio', { name: /Day booth/ })).toBeChecked();
  await user.keyboard('{ArrowDown}{Enter}');
  expect(document.documentElement.dataset.light).toBe('dark');
  document.documentElement.dataset.light = 'day';
  startLight();
  expect(lightNow()).toBe('dark');
});

test('another window of the browser follows', () => {
  startLight();
  localStorage.setItem('urbild.light', 'print');
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key: 'urbild.light' })));
  expect(lightNow()).toBe('print');
});

test('what was kept and is no light counts as none', () => {
  localStorage.setItem('urbild.light', 'disco');
  startLight();
  expect(lightNow()).toBe('day');
});

test('what charts draw with by day is what the style sheet says', () => {
  for (const colour of ['style', 'character', 'face', 'image', 'words', 'cinnabar', 'line', 'ink'] as const)
    expect(paintOf(colour)).toBe(CSS.day[colour]);
});

/** Contrast of two colours (WCAG 2.2, 1.4.3). */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [r, g, bl] = [1, 3, 5].map((k) => {
      const v = parseInt(hex.slice(k, k + 2), 16) / 255;
      return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r + 0.7152 * g + 0.0722 * bl;
  };
  const [l, m] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (l + 0.05) / (m + 0.05);
}

describe.each(['day', 'dark', 'print'] as const)('by the light "%s"', (light) => {
  const c = CSS[light];
  test.each([
    ['ink', 'paper'],
    ['ink', 'card'],
    ['ink', 'shade'],
    ['muted', 'paper'],
    ['muted', 'card'],
    ['signal', 'card'],
    ['signal', 'blush'],
    ['caption', 'booth'],
    ['style', 'card'],
    ['words', 'card'],
    ['face', 'card'],
    ['image', 'card'],
    ['character', 'card'],
  ])('%s can be read on %s', (text, ground) => expect(contrast(c[text], c[ground])).toBeGreaterThanOrEqual(4.5));
  test('white can be read on the main button and on a scrim', () => {
    expect(contrast('#ffffff', c.cinnabar)).toBeGreaterThanOrEqual(4.5);
    expect(contrast('#ffffff', c.scrim)).toBeGreaterThanOrEqual(4.5);
  });
  test('the selection stands out of what is around it', () => {
    for (const ground of ['paper', 'card']) expect(contrast(c.cinnabar, c[ground])).toBeGreaterThanOrEqual(3);
  });
});
