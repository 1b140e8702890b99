import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Series } from '../../api/client';
import { answers, aSeries, aShot, aShotTake, show, type Asked } from '../../test/page';
import { SeriesView } from './SeriesView';

// charts draw on a canvas, which jsdom has not
jest.mock('react-chartjs-2', () => ({ Line: () => null }));

const studio = { name: 'Tidepost', demo: { done: 3, total: 3 }, queue: [] };
const mix = { id: 'm', name: 'Tidepost in chalk', prompt: 'Ilse on the pier', settings: { seed: 7 }, version: 1 };
const drawn = (n: number, fields: object = {}) =>
  aShot({
    id: `s${n}`,
    position: n,
    title: `Page ${n}`,
    prompt: `Ilse, page ${n}`,
    leadId: `t${n}`,
    takes: [aShotTake({ id: `t${n}`, thumbnailUrl: `/small/${n}` })],
    ...fields,
  });
const book = () =>
  aSeries([
    drawn(1, { takes: [aShotTake({ id: 't1', keeper: true, thumbnailUrl: '/small/1' })] }),
    drawn(2, { stale: ['the words'] }),
    aShot({ id: 's3', position: 2, title: 'Page 3', stale: ['no picture'] }),
  ]);
const consistency = {
  falls: [
    {
      shotId: 's2',
      takeId: 't2',
      aspect: 'identity',
      name: 'Ilse',
      arrival: 0.1,
      others: { low: 0.4, high: 0.7 },
      sentence: 'She is too small to be told.',
      remedies: [],
    },
  ],
  closer: { look: 2.31, identity: [{ name: 'Ilse', times: 3.2 }] },
  shots: [],
};

function open(series: Series | undefined, more: Record<string, unknown> = {}, at = '/series/e'): Asked[] {
  const asked = answers({
    'GET /api/v1/series': series ? [{ id: 'e', name: series.name, shots: series.shots.length }] : [],
    'GET /api/v1/series/{id}': series ?? 404,
    'GET /api/v1/series/{id}/consistency': consistency,
    'GET /api/v1/mixes': [mix],
    'GET /api/v1/mixes/{id}/versions': [],
    'GET /api/v1/studio': studio,
    'GET /api/v1/looks': [],
    'GET /api/v1/cast': [],
    'GET /api/v1/references': [],
    'GET /api/v1/series/{id}/sequences': [],
    ...more,
  });
  show(<SeriesView />, { at, path: '/series/:seriesId?' });
  return asked;
}
const tile = (name: RegExp) => screen.findByRole('button', { name });

describe('without a series', () => {
  test('one begins over the newest mix, with its words as the first shot, and is opened', async () => {
    const asked = open(undefined, { 'POST /api/v1/series': { ...aSeries([]), id: 'new' } }, '/series');
    await userEvent.click(await screen.findByRole('button', { name: 'Begin a series over “Tidepost in chalk”' }));
    await waitFor(() => expect(asked.find((a) => a.method === 'POST')).toBeDefined());
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
        name: 'New series',
        mixId: 'm',
        shots: [{ title: 'First shot', prompt: 'Ilse on the pier', seed: 7 }],
      }),
    );
  });

  test('while the demo is drawn it says how far that is', async () => {
    open(undefined, { 'GET /api/v1/studio': { ...studio, demo: { done: 4, total: 75 } } }, '/series');
    expect(await screen.findByText('The demo studio is being drawn')).toBeVisible();
    expect(screen.getByText(/^4 of 75 steps are done/)).toBeVisible();
  });

  test('an address of a series that is not there shows the first one', async () => {
    open(book(), {}, '/series/gone');
    expect(await screen.findByDisplayValue('Harbour book')).toBeVisible();
  });
});

describe('a contact sheet', () => {
  test('a tile says its number, title and state', async () => {
    open(book());
    expect(await tile(/^Shot 1: Page 1 \(keeper\)$/)).toHaveAttribute('aria-pressed', 'true');
    expect(await tile(/^Shot 2: Page 2 \(falls out; changed: the words\)$/)).toHaveTextContent('falls out');
    expect(await tile(/^Shot 3: Page 3$/)).toHaveTextContent('not rendered');
    expect(screen.getAllByTestId('shot-picture')).toHaveLength(2);
    expect(screen.getByText('2.3 ×')).toBeVisible();
    expect(screen.getByText('3.2 ×')).toBeVisible();
  });

  test('what is rendered shows how far it is, what waits says so', async () => {
    const waits = aShotTake({ id: 'w', status: 'queued', thumbnailUrl: undefined, pictureUrl: undefined });
    const grows = { ...waits, id: 'g', status: 'rendering' as const };
    open(
      aSeries([
        aShot({ id: 's1', title: 'One', takes: [waits] }),
        aShot({ id: 's2', title: 'Two', takes: [grows], skipped: true }),
      ]),
    );
    expect(await tile(/^Shot 1: One \(queued\)$/)).toHaveTextContent('queued');
    expect(await tile(/^Shot 2: Two \(is rendered; skipped\)$/)).toHaveTextContent('begins 0 %');
  });

  test('arrows go from shot to shot and stop at the last; plus and minus go closer and farther', async () => {
    open(book());
    await tile(/^Shot 1/);
    fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    await waitFor(async () => expect(await tile(/^Shot 2/)).toHaveAttribute('aria-pressed', 'true'));
    for (let k = 0; k < 3; k++) fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    await waitFor(async () => expect(await tile(/^Shot 3/)).toHaveAttribute('aria-pressed', 'true'));
    expect(screen.getByRole('radio', { name: 'One row' })).toBeChecked();
    fireEvent.keyDown(document.body, { key: '-' });
    await waitFor(() => expect(screen.getByRole('radio', { name: 'All' })).toBeChecked());
    fireEvent.keyDown(document.body, { key: '+' });
    fireEvent.keyDown(document.body, { key: '+' });
    await waitFor(() => expect(screen.getByRole('radio', { name: 'One shot' })).toBeChecked());
  });

  test('a shot that is opened is shown alone, with its words', async () => {
    open(book());
    await userEvent.dblClick(await tile(/^Shot 2/));
    await waitFor(() => expect(screen.getByRole('radio', { name: 'One shot' })).toBeChecked());
    expect(screen.getByLabelText('Words of the shot')).toHaveValue('Ilse, page 2');
    expect(screen.queryByTestId('contact-sheet')).toBeNull();
  });

  test('keys act on the chosen shot: it is left out, doubled, taken out', async () => {
    const asked = open(book(), {
      'PATCH /api/v1/shots/{id}': aSeries([]),
      'POST /api/v1/shots/{id}/duplicate': book(),
      'DELETE /api/v1/shots/{id}': book(),
    });
    await tile(/^Shot 1/);
    fireEvent.keyDown(document.body, { key: 'd' });
    fireEvent.keyDown(document.body, { key: 'Delete' });
    const sent = () => asked.filter((a) => a.method !== 'GET').map((a) => `${a.method} ${a.path}`);
    await waitFor(() =>
      expect(sent()).toEqual(
        expect.arrayContaining(['POST /api/v1/shots/{id}/duplicate', 'DELETE /api/v1/shots/{id}']),
      ),
    );
  });

  test('Ctrl and Enter render what changed, so does the button; where all is up to date there is nothing to press', async () => {
    const asked = open(book(), { 'POST /api/v1/series/{id}/render': book() });
    await userEvent.click(await screen.findByRole('button', { name: 'Render what changed (2)' }));
    fireEvent.keyDown(document.body, { key: 'Enter', ctrlKey: true });
    await waitFor(() => expect(asked.filter((a) => a.path.endsWith('/render'))).toHaveLength(2));
    await waitFor(() =>
      expect(asked.find((a) => a.path.endsWith('/render'))?.body).toMatchObject({ quality: 'proof' }),
    );
  });

  test('a filter that leaves nothing says so, and shows all again', async () => {
    open(book());
    await userEvent.selectOptions(await screen.findByLabelText('Show'), 'skipped');
    expect(await screen.findByText('No such shot')).toBeVisible();
    expect(screen.getByText('None of the 3 shots is in this state.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Show all' }));
    expect(await tile(/^Shot 1/)).toBeVisible();
  });

  test('a series without shots asks for some', async () => {
    open(aSeries([]));
    await userEvent.click(await screen.findByRole('button', { name: 'Add shots' }));
    expect(await screen.findByLabelText('Shots as text')).toBeVisible();
  });

  test('as a sheet: pictures that are not kept say so, what was left out is not on it', async () => {
    open(aSeries([...book().shots, drawn(4, { skipped: true })]), {}, '/series/e?zoom=keepers');
    const sheet = within(await screen.findByRole('region', { name: 'The sheet of keepers' }));
    expect(sheet.getAllByRole('listitem').map((i) => i.textContent)).toEqual([
      '1 Page 1',
      '2 Page 2 not kept yet',
      'no picture3 Page 3',
    ]);
    await userEvent.click(sheet.getByRole('button', { name: 'Shot 2: Page 2' }));
    await waitFor(() => expect(screen.getByRole('radio', { name: 'One shot' })).toBeChecked());
  });
});

test('on the sheet and on the tiles is told what is approved, and what was changed afterwards', async () => {
  const approved = { at: '2026-05-04T10:00:00.000Z', by: 'j' };
  const take = (n: number) => aShotTake({ id: `t${n}`, keeper: true, approved, thumbnailUrl: `/small/${n}` });
  const shots = [drawn(1, { takes: [take(1)] }), drawn(2, { takes: [take(2)], stale: ['the words'] })];
  open(aSeries(shots));
  expect(await screen.findByRole('button', { name: /^Shot 1: Page 1 \(approved\)$/ })).toBeVisible();
  const changed = screen.getByRole('button', { name: /^Shot 2: Page 2 \(.*changed: the words; approval outdated\)$/ });
  expect(changed).toBeVisible();
  await userEvent.click(screen.getByRole('radio', { name: 'As a sheet' }));
  const sheet = within(await screen.findByRole('region', { name: 'The sheet of keepers' }));
  expect(sheet.getAllByRole('listitem').map((i) => i.textContent)).toEqual([
    '1 Page 1 approved',
    '2 Page 2 approval outdated',
  ]);
});

describe('a swap that is tried', () => {
  const tried = (n: number, status: 'done' | 'queued') =>
    drawn(n, {
      takes: [
        aShotTake({
          id: `a${n}`,
          status,
          fromTakeId: `t${n}`,
          thumbnailUrl: status === 'done' ? `/after/${n}` : undefined,
          trial: { kind: 'swap', batch: 'b', label: 'Chalk for ink', kept: false } as never,
        }),
        aShotTake({ id: `t${n}`, thumbnailUrl: `/small/${n}` }),
      ],
    });
  const compared = {
    ...consistency,
    shots: [{ shotId: 's1', layout: [0.92, 0.88] }],
    closer: { look: 1.4, identity: [] },
  };

  test('before and after stand side by side; it is kept when all are drawn, not before', async () => {
    const asked = open(aSeries([tried(1, 'done'), tried(2, 'queued')]), {
      'GET /api/v1/series/{id}/consistency': compared,
      'DELETE /api/v1/series/{id}/tries/{batch}': book(),
    });
    const swap = await screen.findByRole('region', { name: 'Swap: Chalk for ink' });
    const told = '1 of 2 drawn, layouts held 88 % or more, look 1.4 × closer together';
    await waitFor(() => expect(swap).toHaveTextContent(told));
    expect(screen.getByAltText('Page 1, before')).toHaveAttribute('src', '/small/1');
    expect(screen.getByAltText('Page 1, after')).toHaveAttribute('src', '/after/1');
    expect(screen.getByText('queued')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Keep the swap' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it was' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'DELETE')).toBe(true));
  });

  test('kept, it goes into the mix', async () => {
    const asked = open(aSeries([tried(1, 'done')]), {
      'GET /api/v1/series/{id}/consistency': compared,
      'POST /api/v1/series/{id}/tries/{batch}/keep': book(),
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Keep the swap' }));
    await waitFor(() => expect(asked.some((a) => a.path.endsWith('/keep'))).toBe(true));
    expect(await screen.findByText('Chalk for ink is in the mix now')).toBeVisible();
  });
});
