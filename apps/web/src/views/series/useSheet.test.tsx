import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import type { Series } from '../../api/client';
import { answers, aSeries, aShot, aShotTake, lookup, show } from '../../test/page';
import { SeriesDialogs } from './SeriesDialogs';
import { SheetBar } from './SheetBar';
import { pickedWith, useSheet, type SheetState } from './useSheet';

const held = (fields: object) => ({ shiftKey: false, ctrlKey: false, metaKey: false, ...fields });
const SHOTS = ['a', 'b', 'c', 'd'].map((id) => aShot({ id }));
const series = (count = 4): Series =>
  aSeries(
    Array.from({ length: count }, (_, k) => aShot({ id: 'abcdefghijklmnopq'[k], takes: k === 1 ? [aShotTake()] : [] })),
  );

describe('picking shots', () => {
  const picked = (before: string[], chosen: string | undefined, id: string, fields = {}) =>
    pickedWith(SHOTS, new Set(before), chosen, id, held(fields));
  test('a plain click picks none together', () => {
    expect(picked(['a', 'b'], 'a', 'c')).toEqual([]);
    expect(pickedWith(SHOTS, new Set(['a']), 'a', 'c', undefined)).toEqual([]);
  });
  test('with Ctrl it is picked beside the chosen one, and left again', () => {
    expect(picked([], 'a', 'c', { ctrlKey: true })).toEqual(['a', 'c']);
    expect(picked(['a', 'c'], 'a', 'c', { metaKey: true })).toEqual(['a']);
  });
  test('with Shift all between are picked, whichever way', () => {
    expect(picked([], 'b', 'd', { shiftKey: true }).sort()).toEqual(['b', 'c', 'd']);
    expect(picked([], 'c', 'a', { shiftKey: true }).sort()).toEqual(['a', 'b', 'c']);
  });
});

describe('what is on the screen', () => {
  let sheet: SheetState;
  let address: string;
  function Probe({ of }: { of: Series }) {
    const made = useSheet(of, undefined);
    const { search } = useLocation();
    sheet = made;
    address = search;
    return null;
  }
  const open = (at = '/series/e', of = series()) => show(<Probe of={of} />, { at });

  test('few shots lie in a row, many on a sheet, unless the address says otherwise', () => {
    open();
    expect(sheet.zoom).toBe('row');
    open('/series/e', series(16));
    expect(sheet.zoom).toBe('sheet');
    open('/series/e?zoom=keepers', series(16));
    expect(sheet.zoom).toBe('keepers');
    open('/series/e?zoom=nonsense');
    expect(sheet.zoom).toBe('row');
  });

  test('the chosen shot and its take stand in the address; without, the first one and its lead', () => {
    open();
    expect([sheet.chosen?.id, sheet.take]).toEqual(['a', undefined]);
    open('/series/e?shot=b&take=t');
    expect([sheet.chosen?.id, sheet.take?.id]).toEqual(['b', 't']);
    open('/series/e?shot=gone');
    expect(sheet.chosen?.id).toBe('a');
  });

  test('choosing another shot forgets the take; what is gone is not picked', () => {
    open('/series/e?shot=b&take=t&picked=a,gone');
    expect([...sheet.picked]).toEqual(['a']);
    act(() => sheet.choose('c'));
    expect(address).toBe('?shot=c');
    act(() => sheet.choose('d', held({ ctrlKey: true })));
    expect(new URLSearchParams(address).get('picked')).toBe('c,d');
  });

  test('opening a shot comes close to it', () => {
    open();
    act(() => sheet.open('c'));
    expect([sheet.zoom, sheet.chosen?.id]).toEqual(['shot', 'c']);
  });
});

test('the bar says how many shots each choice shows, and how close one is', async () => {
  const [onFilter, onZoom, onAdd] = [jest.fn(), jest.fn(), jest.fn()];
  show(
    <SheetBar
      series={series()}
      consistency={undefined}
      lookup={lookup}
      filter="all"
      zoom="row"
      onFilter={onFilter}
      onZoom={onZoom}
      onAdd={onAdd}
    />,
  );
  const choices = screen.getAllByRole('option').map((o) => o.textContent);
  expect(choices[0]).toBe('all (4)');
  await userEvent.selectOptions(screen.getByLabelText('Show'), choices[1]!);
  expect(onFilter).toHaveBeenCalledTimes(1);
  expect(screen.getByRole('radio', { name: 'One row' })).toBeChecked();
  await userEvent.click(screen.getByRole('radio', { name: 'As a sheet' }));
  expect(onZoom).toHaveBeenCalledWith('keepers');
  await userEvent.click(screen.getByRole('button', { name: 'Add shots' }));
  expect(onAdd).toHaveBeenCalledTimes(1);
});

test.each([
  ['paste', 'Add shots'],
  ['tune', 'Tune a weight over 1 shots'],
  [{ swap: 'a' }, 'Hold everything, swap Carved quay'],
] as const)('the dialog %j', (open, title) => {
  answers({ 'GET /api/v1/looks': [], 'GET /api/v1/cast': [], 'GET /api/v1/strips/of-series/{seriesId}': [] });
  const props = { series: series(), picked: ['a'], lookup, acts: {} as never, onClose: () => {} };
  const { rerender } = show(<SeriesDialogs {...props} open={open} />);
  expect(screen.getByRole('dialog')).toHaveTextContent(title);
  rerender(<SeriesDialogs {...props} open={undefined} />);
  expect(screen.queryByRole('dialog')).toBeNull();
  rerender(<SeriesDialogs {...props} open={{ swap: 'gone' }} />);
  expect(screen.queryByRole('dialog')).toBeNull();
});
