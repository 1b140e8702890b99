import { fireEvent, render, screen } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { NoticeProvider } from '../../parts/notices';
import { noted } from '../../test/notedActs';
import { aSeries, aShot, aShotTake } from '../../test/page';
import type { Zoom } from './shots';
import { useSeriesKeys } from './useSeriesKeys';

const take = (id: string, fields: object = {}) => aShotTake({ id, status: 'done', ...fields });
const shots = ['a', 'b', 'c'].map((id) => aShot({ id, takes: id === 'b' ? [take('1'), take('2'), take('3')] : [] }));

/** The sheet with a shot chosen; what its keys do is noted. */
function open({ chosen = 'b', shown = shots, zoom = 'row' as Zoom, now = take('2') } = {}) {
  const acts = noted();
  const to = { choose: jest.fn(), chooseTake: jest.fn(), setZoom: jest.fn(), mark: jest.fn() };
  function Sheet() {
    useSeriesKeys({
      series: aSeries([...shots]),
      shots: shown,
      chosen: shots.find((s) => s.id === chosen),
      take: now,
      zoom,
      acts,
      ...to,
    });
    return <input aria-label="field" />;
  }
  render(
    <QueryClientProvider client={new QueryClient()}>
      <NoticeProvider>
        <Sheet />
      </NoticeProvider>
    </QueryClientProvider>,
  );
  return { acts, ...to };
}
const press = (key: string, more: object = {}, on: Element = document.body) => fireEvent.keyDown(on, { key, ...more });

test('arrows go to the shots beside, no farther than the last', () => {
  const { choose } = open();
  press('ArrowRight');
  press('ArrowLeft');
  expect(choose.mock.calls).toEqual([['c'], ['a']]);
  const { choose: at } = open({ chosen: 'c' });
  press('ArrowRight');
  expect(at).toHaveBeenCalledWith('c');
});

test('Alt and an arrow moves the shot among all, also those that are not shown; not past an end', () => {
  const { acts, choose } = open({ shown: shots.slice(1) });
  press('ArrowLeft', { altKey: true });
  expect(acts.moveShot).toHaveBeenCalledWith(shots[1], 0);
  expect(choose).not.toHaveBeenCalled();
  const last = open({ chosen: 'c' });
  press('ArrowRight', { altKey: true });
  expect(last.acts.moveShot).not.toHaveBeenCalled();
});

test.each([
  ['+', 'row', 'shot'],
  ['=', 'sheet', 'row'],
  ['+', 'shot', 'shot'],
  ['-', 'shot', 'row'],
  ['Escape', 'row', 'sheet'],
  ['-', 'sheet', 'sheet'],
])('%s goes from %s to %s', (key, zoom, next) => {
  const { setZoom } = open({ zoom: zoom as Zoom });
  press(key);
  expect(setZoom).toHaveBeenCalledWith(next);
});

test('a shot is taken out, doubled and skipped by one key each, and by no other', () => {
  const { acts } = open();
  press('q');
  for (const name of ['removeShot', 'duplicate', 'changeShot']) expect(acts[name]).not.toHaveBeenCalled();
  press('Delete');
  expect(acts.removeShot).toHaveBeenCalledWith(shots[1]);
  press('d');
  expect(acts.duplicate).toHaveBeenCalledWith(shots[1]);
  press('s');
  expect(acts.changeShot).toHaveBeenCalledWith(shots[1], { skipped: true });
  for (const name of ['removeShot', 'duplicate', 'changeShot']) expect(acts[name]).toHaveBeenCalledTimes(1);
});

test('up and down go through the takes of the shot', () => {
  const { chooseTake } = open();
  press('ArrowDown');
  press('ArrowUp');
  expect(chooseTake.mock.calls).toEqual([['3'], ['1']]);
});

test('a finished take is marked; one that is on its way, or a try, is not', () => {
  const { mark } = open();
  press('k');
  expect(mark).toHaveBeenCalledWith(take('2'), { keeper: true });
  const { mark: early } = open({ now: take('2', { status: 'rendering' }) });
  press('k');
  expect(early).not.toHaveBeenCalled();
});

test('Ctrl and Enter renders what changed, also from a field; other keys belong to the field', () => {
  const { acts, mark } = open();
  press('Enter', { ctrlKey: true }, screen.getByLabelText('field'));
  expect(acts.render).toHaveBeenCalledWith({ quality: 'proof' });
  press('k', {}, screen.getByLabelText('field'));
  press('d', { ctrlKey: true });
  expect(mark).not.toHaveBeenCalled();
  expect(acts.duplicate).not.toHaveBeenCalled();
});
