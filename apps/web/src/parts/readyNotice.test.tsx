import { act, renderHook } from '@testing-library/react';
import { useReadyNotice } from './readyNotice';

const told: string[] = [];
const browser = globalThis as { Notification?: unknown };
let leave = 'granted';

beforeEach(() => {
  localStorage.clear();
  told.length = 0;
  leave = 'granted';
  browser.Notification = class {
    static get permission() {
      return leave;
    }
    static requestPermission = () => Promise.resolve(leave);
    constructor(title: string) {
      told.push(title);
    }
  };
  Object.defineProperty(document, 'hidden', { configurable: true, value: true });
});
afterEach(() => {
  delete browser.Notification;
  delete (document as { hidden?: boolean }).hidden;
});

/** A queue that was as long as this, one length after the other; `on` after the first of them. */
async function queue(lengths: readonly number[], on = true) {
  const hook = renderHook(({ waiting }) => useReadyNotice(waiting), { initialProps: { waiting: lengths[0] } });
  if (on) await act(() => hook.result.current.toggle());
  for (const waiting of lengths.slice(1)) hook.rerender({ waiting });
  return hook.result;
}

test('the end of the queue is told once, with how many there were', async () => {
  await queue([2, 3, 1, 0, 0]);
  expect(told).toEqual(['3 takes are ready']);
});

test('one take, and then another', async () => {
  await queue([1, 0, 1, 0]);
  expect(told).toEqual(['The take is ready', 'The take is ready']);
});

test('nothing is told unasked, nor to somebody who looks at the page, nor without leave', async () => {
  await queue([2, 0], false);
  expect(told).toEqual([]);
  leave = 'denied';
  expect((await queue([2, 0])).current.on).toBe(false);
  expect(told).toEqual([]);
  leave = 'granted';
  Object.defineProperty(document, 'hidden', { configurable: true, value: false });
  await queue([2, 0]);
  expect(told).toEqual([]);
});

test('the wish is kept for the next page, and can be taken back', async () => {
  await queue([0]);
  const next = renderHook(() => useReadyNotice(0));
  expect(next.result.current.on).toBe(true);
  await act(() => next.result.current.toggle());
  expect(next.result.current.on).toBe(false);
  expect(renderHook(() => useReadyNotice(0)).result.current.on).toBe(false);
});

test('a browser without notifications is not asked', () => {
  delete browser.Notification;
  expect(renderHook(() => useReadyNotice(1)).result.current.able).toBe(false);
});
