import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Consistency, Series, Shot, ShotTake } from '../../api/client';
import { useSeriesActs, type SeriesActs } from '../../api/seriesActs';
import { anInfluence, answers, aReference, aSeries, aShot, aShotTake, aTake, lookup, show } from '../../test/page';
import { MotionDialog } from './MotionDialog';
import { SeriesHeader } from './SeriesHeader';
import { ShotDetail } from './ShotDetail';
import { SwapDialog } from './SwapDialog';
import { TakeRow } from './TakeRow';
import { TuneDialog } from './TuneDialog';
import { useSeriesKeys } from './useSeriesKeys';
import { ViewPicker } from './ViewPicker';

/** Everything that can be done to a series, noted. */
function noted(): SeriesActs & Record<string, jest.Mock> {
  const made: Record<string, jest.Mock> = {};
  return new Proxy(made, {
    get: (all, name: string) => (all[name] ??= jest.fn().mockResolvedValue({ id: 'm2' })),
  }) as never;
}
const TRIAL = { kind: 'remedy' as const, batch: 'b', label: 'Bring Ilse nearer', kept: false };

describe('a shot', () => {
  const onTake = jest.fn();
  const onMark = jest.fn();
  function detail(fields: Partial<Shot>, take?: ShotTake) {
    answers({ 'GET /api/v1/cast': [], 'GET /api/v1/series/{id}/sequences': [] });
    const acts = noted();
    const shot = aShot(fields);
    show(
      <ShotDetail
        seriesId="e"
        shot={shot}
        number={3}
        fall={undefined}
        influences={[anInfluence(), anInfluence({ id: 'off', on: false })]}
        lookup={lookup}
        acts={acts}
        take={take}
        onTake={onTake}
        onMark={onMark}
      />,
    );
    return { acts, shot };
  }

  test('lies on the table beside its control, with what arrived', () => {
    const control = { id: 'c', pictureUrl: '/control' };
    const take = aShotTake({ control });
    detail({ takes: [take] }, take);
    expect(screen.getByAltText('Ilse on the pier')).toHaveAttribute('src', '/take/t');
    expect(screen.getByAltText('Control: the same without references')).toHaveAttribute('src', '/control');
    const arrived = within(screen.getByRole('complementary', { name: 'What arrived' }));
    expect(arrived.getAllByRole('listitem').map((l) => l.textContent)).toEqual(['Carved quay50 %', 'Words kept90 %']);
  });

  test('is kept, and the mark is taken away again', async () => {
    const take = aShotTake();
    detail({ takes: [take] }, take);
    await userEvent.click(screen.getByRole('button', { name: 'Keep this take' }));
    expect(onMark).toHaveBeenCalledWith(take, { keeper: true });
  });

  test('what is tried for it stands beside it, with the way from the one to the other', async () => {
    const take = aShotTake();
    const tried = aShotTake({ id: 'u', trial: TRIAL, arrivals: [{ influenceId: 'a', overall: 0.8 }], wordsKept: 0.7 });
    const { acts } = detail({ takes: [tried, take] }, take);
    expect(screen.getByAltText('Retake: Bring Ilse nearer')).toBeVisible();
    expect(screen.getByText('50 % →')).toBeVisible();
    expect(screen.getByText('80 %')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Keep the retake' }));
    expect(acts.keepTry).toHaveBeenCalledWith('b', 'Kept: Bring Ilse nearer');
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it was' }));
    expect(acts.dropTry).toHaveBeenCalledWith('b');
  });

  test('a try that is not done yet cannot be kept; one that failed says why', () => {
    const take = aShotTake();
    const failed = aShotTake({ id: 'u', status: 'failed', error: 'no room', trial: TRIAL, pictureUrl: undefined });
    detail({ takes: [failed, take] }, take);
    expect(screen.getByText('no room')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Keep the retake' })).toBeDisabled();
  });

  test('one that an older engine drew says so, and is redrawn to be compared', async () => {
    const take = aShotTake({ engine: 'urbild 0.5.0', olderEngine: true });
    const { acts, shot } = detail({ takes: [take] }, take);
    expect(screen.getByText(/Drawn by urbild 0.5.0; the engine is newer/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Redraw it and compare' }));
    expect(acts.tryRemedy).toHaveBeenCalledWith(shot, {
      label: 'Drawn by the newer engine',
      plan: { prompt: shot.prompt, seed: shot.seed, own: shot.own },
    });
  });

  test('one without a picture says what it waits for', () => {
    detail({});
    expect(screen.getByText(/This shot has no picture yet/)).toBeVisible();
  });

  test('one that waits says so', () => {
    detail({ takes: [aShotTake({ status: 'queued', pictureUrl: undefined })] });
    expect(screen.getByText('This shot waits in line.')).toBeVisible();
  });

  test('what changed since is said; it is duplicated, skipped, taken out, laid on the bench', async () => {
    const take = aShotTake();
    const { acts, shot } = detail({ takes: [take], stale: ['seed 4 → 5'] }, take);
    expect(screen.getByText(/seed 4 → 5/)).toBeVisible();
    for (const [name, does] of [
      ['Duplicate the shot', 'duplicate'],
      ['Take the shot out', 'removeShot'],
      ['A mix of its own, to the bench', 'toMix'],
    ] as const) {
      await userEvent.click(screen.getByRole('button', { name }));
      expect(acts[does]).toHaveBeenCalledWith(shot);
    }
    await userEvent.click(screen.getByRole('button', { name: 'Skip the shot' }));
    expect(acts.changeShot).toHaveBeenCalledWith(shot, { skipped: true });
  });

  test('its takes stand in a row where there are several, each with its marks in words', async () => {
    const takes = [
      aShotTake({ id: 'u', trial: TRIAL }),
      aShotTake({ id: 'v', keeper: true, rating: 4 }),
      aShotTake({ id: 'w', rejected: true, seed: 9 }),
    ];
    const { rerender } = show(<TakeRow takes={takes} chosen="v" leadId="v" onTake={onTake} />);
    expect(screen.getAllByRole('button').map((b) => b.getAttribute('aria-label'))).toEqual([
      'Take: tried: Bring Ilse nearer',
      'Take: draft, seed 5, keeper, rated 4',
      'Take: draft, seed 9, rejected',
    ]);
    await userEvent.click(screen.getByRole('button', { name: /seed 9/ }));
    expect(onTake).toHaveBeenCalledWith('w');
    rerender(<TakeRow takes={takes.slice(1, 2)} chosen="v" leadId="v" onTake={onTake} />);
    expect(screen.queryByRole('list', { name: 'Takes of the shot' })).toBeNull();
  });
});

describe('the head of a series', () => {
  const on = { paste: jest.fn(), swap: jest.fn(), tune: jest.fn(), solve: jest.fn(), make: jest.fn() };
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
        onPaste={on.paste}
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
    expect(acts.goOn).toHaveBeenCalled();
  });

  test('says how many times closer together the takes are', () => {
    const closer = { identity: [{ name: 'Ilse', times: 2.53 }], look: 1.8 };
    header(aSeries([aShot()]), [], { closer, falls: [] } as never);
    expect(screen.getByText(/closer together/)).toHaveTextContent('2.5 × Ilse, 1.8 × look closer together');
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

describe('tuning a weight', () => {
  const shots = [aShot(), aShot({ id: 'x', title: 'Marsh' })];
  const strip = {
    id: 'p',
    axes: [{ setting: 'weight', influence: 'a', values: [0.2, 1.4] }],
    state: { prompt: '', avoid: '', settings: { aspect: '3:2', seed: 1, balance: 1 }, influences: [anInfluence()] },
    shots: shots.map(({ id, title }) => ({ id, title })),
    cells: [0.1, 0.3, 0.6, undefined].map((overall, k) =>
      aTake({
        id: `c${k}`,
        pictureUrl: `/c${k}`,
        arrivals: overall === undefined ? [] : [{ influenceId: 'a', overall }],
      }),
    ),
  };
  const tune = (shotIds: string[], strips: unknown[], more: object = {}) => {
    const asked = answers({ 'GET /api/v1/strips/of-series/{id}': strips, ...more });
    const onClose = jest.fn();
    show(<TuneDialog series={aSeries(shots)} shotIds={shotIds} lookup={lookup} onClose={onClose} />);
    return { asked, onClose };
  };

  test('asks for five weights of each shot', async () => {
    const { asked } = tune(['s', 'x'], [], { 'POST /api/v1/strips': strip });
    await userEvent.click(screen.getByRole('button', { name: 'Draw 10 drafts' }));
    expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
      mixId: 'm',
      seriesId: 'e',
      shotIds: ['s', 'x'],
      axes: [{ setting: 'weight', influence: 'a', values: [0.2, 0.5, 0.8, 1.1, 1.4] }],
    });
  });

  test('each column says how far it arrives, and is used for the whole series', async () => {
    const mix = { id: 'm', version: 1, ...strip.state };
    const { asked } = tune(['s', 'x'], [strip], {
      'GET /api/v1/mixes/{id}': mix,
      'GET /api/v1/mixes': [mix],
      'PATCH /api/v1/mixes/{id}': mix,
    });
    const [low, high] = await screen.findAllByRole('columnheader', { name: /arrives/ });
    expect(low).toHaveTextContent('0.20 arrives 20 %');
    expect(high).toHaveTextContent('1.40 arrives 60 %');
    expect(screen.getByAltText('Marsh at 1.4')).toHaveAttribute('src', '/c3');
    await userEvent.click(within(high).getByRole('button', { name: 'Use it' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({ influences: [{ id: 'a', weight: 1.4 }] }),
    );
  });

  test('more than six shots are too many', () => {
    const many = Array.from({ length: 7 }, (_, k) => aShot({ id: `s${k}` }));
    answers({ 'GET /api/v1/strips/of-series/{id}': [] });
    show(<TuneDialog series={aSeries(many)} shotIds={many.map((s) => s.id)} lookup={lookup} onClose={() => {}} />);
    expect(screen.getByText('Choose at most six shots.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Draw 35 drafts' })).toBeDisabled();
  });
});

describe('motion', () => {
  test('wants something that moves; says what to render', async () => {
    const asked = answers({
      'POST /api/v1/series/{id}/sequences': { id: 'q' },
      'GET /api/v1/series/{id}/sequences': [],
    });
    show(<MotionDialog seriesId="e" shot={aShot()} picture="/p" onClose={() => {}} />);
    await userEvent.click(screen.getByRole('button', { name: 'Stand still' }));
    expect(screen.getByRole('button', { name: 'Render 12 frames' })).toBeDisabled();
    const goes = screen.getByRole('slider', { name: 'Where the first figure goes' });
    goes.focus();
    await userEvent.keyboard('{ArrowLeft}{ArrowLeft}{ArrowLeft}');
    expect(screen.getByText('30 % left')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Words of the last frame'), 'at night');
    await userEvent.selectOptions(screen.getByLabelText('Frames'), '24');
    await userEvent.click(screen.getByRole('button', { name: 'Render 24 frames' }));
    const { move, ...wish } = asked.find((a) => a.method === 'POST')!.body as { move: { across: number } };
    expect(wish).toEqual({ name: 'The pier', shotId: 's', frames: 24, quality: 'draft' });
    expect(move).toEqual({ across: expect.closeTo(-0.3, 9) as number, towards: 'at night' });
  });

  test('windows are moved by arrows and by dragging, sized by + and -, and never leave the picture', () => {
    const onChange = jest.fn();
    const [from, to] = [
      { x: 0.5, y: 0.5, size: 0.6 },
      { x: 0.5, y: 0.5, size: 1 },
    ];
    const { container } = show(<ViewPicker picture="/p" from={from} to={to} onChange={onChange} />);
    const first = screen.getByRole('slider', { name: 'First frame' });
    fireEvent.keyDown(first, { key: 'ArrowRight' });
    expect(onChange).toHaveBeenLastCalledWith({ x: 0.52, y: 0.5, size: 0.6 }, to);
    fireEvent.keyDown(first, { key: '-' });
    expect(onChange).toHaveBeenLastCalledWith({ x: 0.5, y: 0.5, size: 0.58 }, to);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Last frame' }), { key: 'ArrowUp' });
    expect(onChange).toHaveBeenLastCalledWith(from, to);
    (container.firstChild as Element).getBoundingClientRect = () => ({ width: 300, height: 200 }) as DOMRect;
    const at = (type: string, clientX: number, clientY: number) =>
      fireEvent(first, new MouseEvent(type, { bubbles: true, clientX, clientY }));
    at('pointerdown', 100, 100);
    at('pointermove', 130, 100);
    expect(onChange).toHaveBeenLastCalledWith({ x: expect.closeTo(0.6, 6) as number, y: 0.5, size: 0.6 }, to);
    at('pointermove', 900, 100);
    expect(onChange).toHaveBeenLastCalledWith({ x: 0.7, y: 0.5, size: 0.6 }, to);
    at('pointerup', 900, 100);
    onChange.mockClear();
    at('pointermove', 100, 100);
    expect(onChange).not.toHaveBeenCalled();
  });
});

describe('swapping', () => {
  const cast = [{ id: 'c1', name: 'Ilse', items: [] }];
  const looks = [{ id: 'l1', name: 'Ink', items: [{ referenceId: 'r2', weight: 1 }] }];
  const swap = (gives: 'look' | 'face') => {
    const asked = answers({
      'GET /api/v1/looks': looks,
      'GET /api/v1/cast': cast,
      'GET /api/v1/references/search': { ids: ['r', 'r2'], aspects: [1, 1] },
      'GET /api/v1/references': [aReference(), aReference({ id: 'r2', title: 'Reeds' })],
    });
    const acts = noted();
    const onClose = jest.fn();
    show(
      <SwapDialog
        series={aSeries([aShot()])}
        influence={anInfluence({ gives })}
        lookup={lookup}
        acts={acts}
        onClose={onClose}
      />,
    );
    return { asked, acts, onClose, choices: within(screen.getByRole('list', { name: 'What can come instead' })) };
  };

  test('a look comes from looks and styles, never from what is there; it is tried on drafts', async () => {
    const { asked, acts, onClose, choices } = swap('look');
    await choices.findByRole('button', { name: 'Reeds' });
    expect(choices.getAllByRole('button').map((b) => b.textContent)).toEqual(['Ink', 'Reeds']);
    expect(asked.find((a) => a.path.endsWith('/search'))?.params).toEqual({ query: { kind: 'style' } });
    await userEvent.click(choices.getByRole('button', { name: 'Ink' }));
    await userEvent.click(screen.getByRole('button', { name: 'Try Ink on drafts' }));
    expect(acts.trySwap).toHaveBeenCalledWith({ influence: 'a', of: 'look', referenceId: 'l1', quality: 'draft' });
    expect(onClose).toHaveBeenCalled();
  });

  test('a face comes from the cast and from faces, found by name', async () => {
    const { asked, choices } = swap('face');
    await choices.findByRole('button', { name: 'Ilse' });
    await userEvent.type(screen.getByLabelText('Find what comes instead'), 'zz');
    expect(choices.queryByRole('button', { name: 'Ilse' })).toBeNull();
    await waitFor(() =>
      expect(asked.filter((a) => a.path.endsWith('/search')).at(-1)?.params).toEqual({
        query: { kind: 'face', words: 'zz' },
      }),
    );
    expect(screen.getByRole('button', { name: 'Try it on drafts' })).toBeDisabled();
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
    expect(asked[0].params).toEqual({ path: { id: 's' } });
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
    expect(screen.getByText('Every shot has such a take already.')).toBeVisible();
  });

  test('a shot is moved with the version that it has', async () => {
    const asked = answers({ 'PATCH /api/v1/shots/{id}': series });
    show(<Acts series={series} />);
    await act(async () => void (await acts.moveShot(series.shots[0], 1)));
    expect(asked.at(-1)).toMatchObject({ method: 'PATCH', body: { version: 1, position: 1 } });
  });
});
