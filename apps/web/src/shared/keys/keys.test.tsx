import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import type { Take } from '../../api/client';
import { answers, aTake, show } from '../../test/page';
import { useHeld, useKeys, type Pressed } from './useKeys';
import { marksFor, useMarkKeys } from './useMarkKeys';

describe('the keys of a view', () => {
  const act = jest.fn<boolean, [Pressed]>();
  function View({ everywhere }: { everywhere?: boolean }) {
    useKeys(act, { everywhere });
    return (
      <>
        <p>plain</p>
        <input aria-label="text" />
        <div role="dialog">
          <button type="button">in a dialog</button>
        </div>
        <span role="slider" aria-valuenow={1} aria-label="slider" tabIndex={0} />
        <button type="button" onClick={() => act.mockReturnValue(false)}>
          beside
        </button>
      </>
    );
  }
  beforeEach(() => act.mockReset().mockReturnValue(true));
  /** True where the key was taken, so that the browser does nothing with it. */
  const press = (on: Element, key: string, more = {}) => !fireEvent.keyDown(on, { key, ...more });

  test('are told of in lower case with what is held, and are taken where they stand for something', () => {
    render(<View />);
    expect(press(screen.getByText('plain'), 'K', { shiftKey: true, metaKey: true })).toBe(true);
    expect(act).toHaveBeenLastCalledWith(expect.objectContaining({ key: 'k', mod: true, shift: true, alt: false }));
    act.mockReturnValue(false);
    expect(press(screen.getByText('plain'), 'q')).toBe(false);
  });

  test('belong to fields and dialogs there, and to the view everywhere when it says so', () => {
    const { unmount } = render(<View />);
    press(screen.getByLabelText('text'), 'k');
    press(screen.getByText('in a dialog'), 'k');
    expect(act).not.toHaveBeenCalled();
    unmount();
    render(<View everywhere />);
    press(screen.getByLabelText('text'), 'Enter', { ctrlKey: true });
    expect(act).toHaveBeenCalledTimes(1);
  });

  test('arrows belong to a slider that has the focus, letters do not', () => {
    render(<View />);
    press(screen.getByLabelText('slider'), 'ArrowLeft');
    expect(act).not.toHaveBeenCalled();
    press(screen.getByLabelText('slider'), 'k');
    expect(act).toHaveBeenCalledTimes(1);
  });

  test('go with the view', () => {
    render(<View />).unmount();
    press(document.body, 'k');
    expect(act).not.toHaveBeenCalled();
  });
});

test('a letter is held from down to up, outside of fields and without Ctrl', () => {
  function View() {
    const [held, setHeld] = useState(false);
    useHeld('c', setHeld);
    return (
      <>
        <p>{held ? 'held' : 'free'}</p>
        <textarea aria-label="words" />
      </>
    );
  }
  render(<View />);
  fireEvent.keyDown(screen.getByLabelText('words'), { key: 'c' });
  fireEvent.keyDown(document.body, { key: 'c', ctrlKey: true });
  expect(screen.getByText('free')).toBeVisible();
  fireEvent.keyDown(document.body, { key: 'C' });
  expect(screen.getByText('held')).toBeVisible();
  fireEvent.keyUp(document.body, { key: 'c' });
  expect(screen.getByText('free')).toBeVisible();
});

describe('marks', () => {
  test.each([
    ['k', { keeper: true }],
    ['x', { rejected: false }],
    ['0', { rating: 0 }],
    ['5', { rating: 5 }],
    ['6', undefined],
    ['kk', undefined],
  ])('%s', (key, marks) => {
    expect(marksFor(key, { keeper: false, rejected: true })).toEqual(marks);
  });

  function View({ take }: { take: Take | undefined }) {
    useMarkKeys(take);
    return (
      <div role="group">
        <button type="button">choice</button>
      </div>
    );
  }
  const press = (key: string, more = {}, on: Element = document.body) => fireEvent.keyDown(on, { key, ...more });

  test('are set on a finished take', async () => {
    const take = aTake();
    const asked = answers({ 'PATCH /api/v1/takes/{id}': take });
    show(<View take={take} />);
    press('k');
    await waitFor(() => expect(asked.map((a) => a.body)).toContainEqual(expect.objectContaining({ keeper: true })));
  });

  test('are not set on one that is not finished, with Ctrl, or by digits that choose among choices', () => {
    const asked = answers({});
    const { rerender } = show(<View take={aTake({ status: 'rendering' })} />);
    press('k');
    rerender(<View take={undefined} />);
    press('k');
    rerender(<View take={aTake()} />);
    press('k', { ctrlKey: true });
    press('3', {}, screen.getByText('choice'));
    expect(asked).toEqual([]);
  });
});
