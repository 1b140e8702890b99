import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Shot, ShotTake } from '../../api/client';
import { anInfluence, answers, aShot, aShotTake, lookup, show } from '../../test/page';
import { ShotDetail } from './ShotDetail';
import { TakeRow } from './TakeRow';
import { noted } from '../../test/notedActs';

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
    const arrived = within(screen.getByRole('complementary', { name: 'Arrival' }));
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
    expect(screen.getByText('This shot is queued.')).toBeVisible();
  });

  test('what changed since is said; it is duplicated, skipped, taken out, laid on the bench', async () => {
    const take = aShotTake();
    const { acts, shot } = detail({ takes: [take], stale: ['seed 4 → 5'] }, take);
    expect(screen.getByText(/seed 4 → 5/)).toBeVisible();
    for (const [name, does] of [
      ['Duplicate the shot', 'duplicate'],
      ['Skip this shot', 'removeShot'],
      ['Copy as a new mix', 'toMix'],
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
