import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Consistency, Series, Shot, ShotTake } from '../../api/client';
import { useSeriesActs, type SeriesActs } from '../../api/seriesActs';
import { answers, aSeries, aShot, aShotTake, lookup, show } from '../../test/page';
import { SeriesHeader } from './SeriesHeader';
import { useSeriesKeys } from './useSeriesKeys';
import { noted } from '../../test/notedActs';

/** A take that is only tried. */
const TRIAL = { kind: 'remedy' as const, batch: 'b', label: 'Bring Ilse nearer', kept: false };

describe('the head of a series', () => {
  const on = { swap: jest.fn(), tune: jest.fn(), solve: jest.fn(), make: jest.fn() };
  beforeEach(() => Object.values(on).forEach((f) => f.mockClear()));
  function header(series: Series, picked: string[] = [], consistency?: Consistency) {
    answers({ 'GET /api/v1/mixes/{id}/versions': [{ number: 2 }, { number: 1 }] });
    const acts = noted();
    show(
      <SeriesHeader
        series={series}
        all={[{ id: 'f', name: 'Cards', mixId: 'm', shots: 12, updatedAt: '' }]}
        consistency={consistency}
        lookup={lookup}
        acts={acts}
        picked={picked}
        onSwap={on.swap}
        onTune={on.tune}
        onSolve={on.solve}
        onNew={on.make}
      />,
    );
    return acts;
  }
  const stale = [aShot({ stale: ['not rendered yet'] }), aShot({ id: 'x', stale: ['seed'], skipped: true })];

  test('renders what changed, and not what is skipped', async () => {
    const acts = header(aSeries(stale));
    await userEvent.click(screen.getByRole('button', { name: 'Render what changed (1)' }));
    expect(acts.render).toHaveBeenCalledWith({ quality: 'proof' });
  });

  test('where nothing changed there is nothing to render', () => {
    header(aSeries([aShot()]));
    expect(screen.getByRole('button', { name: 'All is up to date' })).toBeDisabled();
  });

  test.each([
    [[], 'Three takes of every shot', { quality: 'proof', takes: 3, shotIds: undefined }],
    [['s', 'x'], 'Prints of 2 shots', { quality: 'print', shotIds: ['s', 'x'] }],
    [[], 'Drafts of all shots', { quality: 'draft', shotIds: undefined }],
  ])('with %j picked: %s', async (picked, item, wish) => {
    const acts = header(aSeries(stale), picked);
    await userEvent.click(screen.getByRole('button', { name: 'More for this series' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: item }));
    expect(acts.render).toHaveBeenCalledWith(wish);
  });

  test('tuning wants shots that are picked, finding weights two of them', async () => {
    header(aSeries(stale), ['s']);
    await userEvent.click(screen.getByRole('button', { name: 'More for this series' }));
    expect(await screen.findByRole('menuitem', { name: /Find the weights/ })).toHaveAttribute('aria-disabled', 'true');
    await userEvent.click(screen.getByRole('menuitem', { name: 'Tune a weight over some shots' }));
    expect(on.tune).toHaveBeenCalled();
  });

  test('nothing is handed out before there is a picture', async () => {
    header(aSeries([aShot({ leadId: 't' })]));
    await userEvent.click(screen.getByRole('button', { name: 'More for this series' }));
    const pdf = await screen.findByRole('menuitem', { name: 'Contact sheet as PDF' });
    expect(pdf).toHaveAttribute('href', '/api/v1/series/e/export/pdf');
    expect(pdf).not.toHaveAttribute('aria-disabled');
  });

  test('the queue says how many and how long; it is paused, goes on, is stopped', async () => {
    const acts = header(aSeries([aShot()], { queue: { waiting: 3, rendering: 1, left: 65_000 } }));
    expect(screen.getByRole('status')).toHaveTextContent(/4 to go · /);
    await userEvent.click(screen.getByRole('button', { name: 'Pause' }));
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(acts.pause).toHaveBeenCalled();
    expect(acts.stop).toHaveBeenCalled();
  });

  test('one that is paused goes on', async () => {
    const acts = header(aSeries([aShot()], { paused: true, queue: { waiting: 2, rendering: 0 } }));
    expect(screen.getByRole('status')).toHaveTextContent('paused, 2 wait');
    await userEvent.click(screen.getByRole('button', { name: 'Go on' }));
    expect(acts.resume).toHaveBeenCalled();
  });

  test('says how many times closer the takes are', () => {
    const closer = { identity: [{ name: 'Ilse', times: 2.53 }], look: 1.8 };
    header(aSeries([aShot()]), [], { closer, falls: [] } as never);
    expect(screen.getByText(/closer$/)).toHaveTextContent('2.5 × Ilse, 1.8 × look closer');
  });

  test('is renamed, and uses the state of the mix that is chosen', async () => {
    const acts = header(aSeries([aShot()]));
    const name = screen.getByLabelText('Name of the series');
    await userEvent.clear(name);
    await userEvent.type(name, '  {Enter}');
    expect(acts.rename).not.toHaveBeenCalled();
    await userEvent.type(name, 'Marsh book{Enter}');
    expect(acts.rename).toHaveBeenCalledWith('Marsh book');
    const state = await screen.findByLabelText('Which state of the mix the series uses');
    await userEvent.selectOptions(state, 'version 1');
    expect(acts.pin).toHaveBeenCalledWith(1);
  });

  test('an influence is swapped from where it stands', async () => {
    header(aSeries([aShot()]));
    await userEvent.click(screen.getByRole('button', { name: /Carved quay, weight 0.80. Swap it/ }));
    expect(on.swap).toHaveBeenCalledWith('a');
  });
});

describe('the keys of a series', () => {
  const shots = ['a', 'b', 'c'].map((id) =>
    aShot({ id, takes: [aShotTake({ id: `${id}1` }), aShotTake({ id: `${id}2` })] }),
  );
  const to = { choose: jest.fn(), chooseTake: jest.fn(), setZoom: jest.fn(), mark: jest.fn() };
  let acts: ReturnType<typeof noted>;
  function Keys({ chosen, take }: { chosen: Shot | undefined; take: ShotTake | undefined }) {
    useSeriesKeys({ series: aSeries(shots), shots, chosen, take, zoom: 'row', acts, ...to });
    return null;
  }
  beforeEach(() => {
    acts = noted();
    Object.values(to).forEach((f) => f.mockClear());
  });
  const press = (key: string, more = {}) => fireEvent.keyDown(document.body, { key, ...more });

  test('go from shot to shot and end at the ends, move a shot with Alt', () => {
    const { rerender } = show(<Keys chosen={shots[1]} take={shots[1].takes[0]} />);
    press('ArrowRight');
    expect(to.choose).toHaveBeenLastCalledWith('c');
    press('ArrowLeft', { altKey: true });
    expect(acts.moveShot).toHaveBeenLastCalledWith(shots[1], 0);
    rerender(<Keys chosen={shots[2]} take={undefined} />);
    press('ArrowRight');
    expect(to.choose).toHaveBeenLastCalledWith('c');
    press('ArrowRight', { altKey: true });
    expect(acts.moveShot).toHaveBeenCalledTimes(1);
  });

  test('go through takes, closer and farther', () => {
    show(<Keys chosen={shots[1]} take={shots[1].takes[0]} />);
    press('ArrowDown');
    expect(to.chooseTake).toHaveBeenLastCalledWith('b2');
    press('ArrowUp');
    expect(to.chooseTake).toHaveBeenLastCalledWith('b1');
    press('+');
    expect(to.setZoom).toHaveBeenLastCalledWith('shot');
    press('Escape');
    expect(to.setZoom).toHaveBeenLastCalledWith('sheet');
  });

  test('change, mark and render', () => {
    show(<Keys chosen={shots[1]} take={shots[1].takes[0]} />);
    press('d');
    expect(acts.duplicate).toHaveBeenCalledWith(shots[1]);
    press('s');
    expect(acts.changeShot).toHaveBeenCalledWith(shots[1], { skipped: true });
    press('Delete');
    expect(acts.removeShot).toHaveBeenCalledWith(shots[1]);
    press('4');
    expect(to.mark).toHaveBeenLastCalledWith(shots[1].takes[0], { rating: 4 });
    press('Enter', { ctrlKey: true });
    expect(acts.render).toHaveBeenCalledWith({ quality: 'proof' });
  });

  test('a take that is only tried is not marked; without a shot nothing is changed', () => {
    const { rerender } = show(<Keys chosen={shots[1]} take={aShotTake({ trial: TRIAL })} />);
    press('k');
    expect(to.mark).not.toHaveBeenCalled();
    rerender(<Keys chosen={undefined} take={undefined} />);
    press('Delete');
    press('d');
    expect(acts.removeShot).not.toHaveBeenCalled();
    expect(acts.duplicate).not.toHaveBeenCalled();
  });
});

describe('what is done to a series', () => {
  let acts: SeriesActs;
  function Acts({ series }: { series: Series }) {
    const made = useSeriesActs(series);
    acts = made;
    return null;
  }
  const series = aSeries([aShot(), aShot({ id: 'x', position: 1 })]);

  test('answers the whole series; what can be undone offers it', async () => {
    const asked = answers({
      'DELETE /api/v1/shots/{id}': aSeries([series.shots[1]]),
      'POST /api/v1/shots/{id}/restore': series,
    });
    show(<Acts series={series} />);
    await act(async () => void (await acts.removeShot(series.shots[0])));
    expect(screen.getByText('“The pier” was taken out')).toBeVisible();
    await waitFor(() => expect(asked[0].params).toEqual({ path: { id: 's' } }));
  });

  test('a refusal is told and stays', async () => {
    answers({ 'POST /api/v1/shots/{id}/duplicate': 409 });
    show(<Acts series={series} />);
    let answer: Series | undefined = series;
    await act(async () => {
      answer = await acts.duplicate(series.shots[0]);
    });
    expect(answer).toBeUndefined();
    expect(screen.getByText('No: 409')).toBeVisible();
  });

  test('a render of what is there already says so', async () => {
    answers({ 'POST /api/v1/series/{id}/render': { queued: 0 } });
    show(<Acts series={series} />);
    await act(async () => void (await acts.render({ quality: 'draft' })));
    expect(screen.getByText('All shots are up to date.')).toBeVisible();
  });

  test('a shot is moved with the version that it has', async () => {
    const asked = answers({ 'PATCH /api/v1/shots/{id}': series });
    show(<Acts series={series} />);
    await act(async () => void (await acts.moveShot(series.shots[0], 1)));
    await waitFor(() => expect(asked.at(-1)).toMatchObject({ method: 'PATCH', body: { version: 1, position: 1 } }));
  });
});
