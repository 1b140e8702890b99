import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { anArrival, anInfluence, answers, aReference, aSeries, aShot, aTake, lookup, show } from '../../test/page';
import { MotionDialog } from './MotionDialog';
import { SwapDialog } from './SwapDialog';
import { TuneDialog } from './TuneDialog';
import { ViewPicker } from './ViewPicker';
import { noted } from '../../test/notedActs';

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
        arrivals: overall === undefined ? [] : [anArrival({ overall })],
      }),
    ),
  };
  const tune = (shotIds: string[], strips: unknown[], more: object = {}) => {
    const asked = answers({ 'GET /api/v1/strips/of-series/{seriesId}': strips, ...more });
    const onClose = jest.fn();
    show(<TuneDialog series={aSeries(shots)} shotIds={shotIds} lookup={lookup} onClose={onClose} />);
    return { asked, onClose };
  };

  test('asks for five weights of each shot', async () => {
    const { asked } = tune(['s', 'x'], [], { 'POST /api/v1/strips': strip });
    await userEvent.click(screen.getByRole('button', { name: 'Draw 10 drafts' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
        mixId: 'm',
        seriesId: 'e',
        shotIds: ['s', 'x'],
        axes: [{ setting: 'weight', influence: 'a', values: [0.2, 0.5, 0.8, 1.1, 1.4] }],
      }),
    );
  });

  test('each column says how far it arrives, and is used for the whole series', async () => {
    const mix = { id: 'm', version: 1, ...strip.state };
    const { asked } = tune(['s', 'x'], [strip], {
      'GET /api/v1/mixes/{id}': mix,
      'GET /api/v1/mixes': [mix],
      'PATCH /api/v1/mixes/{id}': mix,
    });
    const [low, high] = await screen.findAllByRole('columnheader', { name: /arrives/ });
    expect(low).toHaveTextContent('0.20 arrives: 20 %');
    expect(high).toHaveTextContent('1.40 arrives: 60 %');
    expect(screen.getByAltText('Marsh at 1.4')).toHaveAttribute('src', '/c3');
    await userEvent.click(within(high).getByRole('button', { name: 'Use it' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({ influences: [{ id: 'a', weight: 1.4 }] }),
    );
  });

  test('more than six shots are too many', () => {
    const many = Array.from({ length: 7 }, (_, k) => aShot({ id: `s${k}` }));
    answers({ 'GET /api/v1/strips/of-series/{seriesId}': [] });
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
    await waitFor(() =>
      expect(asked.find((a) => a.path.endsWith('/search'))?.params).toEqual({ query: { kind: 'style' } }),
    );
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
