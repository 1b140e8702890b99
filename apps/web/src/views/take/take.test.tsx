import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { TakeMarks } from '../../shared/pictures/TakeMarks';
import { anInfluence, answers, aTake, lookup, show } from '../../test/page';
import { CameUnasked } from './CameUnasked';
import { Lineage } from './Lineage';
import { MadeOf } from './MadeOf';

describe('what made a take', () => {
  test('names its influences with weight, span and arrival, and says what is not as usual', () => {
    const settings = { aspect: '3:2' as const, seed: 4, balance: 0.5, strictness: 0.9, medium: 'pencil' as const };
    show(<MadeOf take={aTake({ settings, avoid: 'boats', wordsKept: 0.83 })} lookup={lookup} />);
    const item = screen.getByRole('listitem');
    expect(item).toHaveTextContent('Carved quay');
    expect(item).toHaveTextContent('look, 0 % to 100 %');
    expect(item).toHaveTextContent('0.80');
    expect(item).toHaveTextContent('62 % arrived');
    const said = screen.getByLabelText('What made it');
    for (const text of ['balance 0.5', 'strictness 0.9', 'drawn as pencil', 'without boats', 'words kept 83 %'])
      expect(said).toHaveTextContent(text);
    expect(said).not.toHaveTextContent('ornateness');
  });

  test('says nothing of an arrival that was not measured', () => {
    show(<MadeOf take={aTake({ arrivals: [] })} lookup={lookup} />);
    expect(screen.getByRole('listitem')).not.toHaveTextContent('arrived');
  });

  test('speaks of a reference that is gone', () => {
    show(<MadeOf take={aTake({ influences: [anInfluence({ referenceId: 'gone' })] })} lookup={lookup} />);
    expect(screen.getByRole('listitem')).toHaveTextContent('A reference that was archived');
  });
});

describe('where a take comes from', () => {
  test('what changed since the take before is told in words, and what went on from it is linked', () => {
    const before = aTake({
      id: 'b',
      createdAt: '2026-01-01T00:00:00.000Z',
      influences: [anInfluence({ weight: 0.3 })],
    });
    const child = aTake({ id: 'c', fromTakeId: 't', seed: 105, createdAt: '2026-01-03T00:00:00.000Z' });
    show(<Lineage take={aTake()} from={undefined} siblings={[before, child]} lookup={lookup} />);
    expect(screen.getByText('Carved quay 0.3 → 0.8')).toBeVisible();
    expect(screen.getByRole('link', { name: 'The earlier take' })).toHaveAttribute('href', '/takes/b');
    expect(screen.getByRole('link', { name: 'Take of seed 105, 768 px wide' })).toHaveAttribute('href', '/takes/c');
  });

  test('an enlargement changed nothing but its size; a first take has no lineage', () => {
    const { unmount } = show(<Lineage take={aTake()} from={aTake({ id: 'b' })} siblings={[]} lookup={lookup} />);
    expect(screen.getByText('nothing changed but its size')).toBeVisible();
    unmount();
    show(<Lineage take={aTake()} from={undefined} siblings={[]} lookup={lookup} />);
    expect(screen.queryByLabelText('Lineage')).toBeNull();
  });
});

describe('what came unasked', () => {
  const unasked = [
    { kind: 'missing' as const, box: [0, 0, 0.5, 0.5], who: 'Brom' },
    { kind: 'cropped' as const, box: [0, 0, 0.5, 0.5], who: 'Ilse' },
  ];

  test('each is a button that marks it in the picture, and the same button takes the mark away', async () => {
    const onShow = jest.fn();
    const { rerender } = show(<CameUnasked take={aTake({ unasked })} shown={undefined} onShow={onShow} />);
    await userEvent.click(screen.getByRole('button', { name: 'The head of Ilse is cut off' }));
    expect(onShow).toHaveBeenLastCalledWith(1);
    rerender(<CameUnasked take={aTake({ unasked })} shown={1} onShow={onShow} />);
    const marked = screen.getByRole('button', { name: 'The head of Ilse is cut off' });
    expect(marked).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(marked);
    expect(onShow).toHaveBeenLastCalledWith(undefined);
  });

  test('nothing is shown where nothing came', () => {
    show(<CameUnasked take={aTake()} shown={undefined} onShow={() => undefined} />);
    expect(screen.queryByLabelText('Uninvited')).toBeNull();
  });
});

describe('marks', () => {
  test('buttons and keys do the same, and say it to the server with the version they saw', async () => {
    const asked = answers({ 'PATCH /api/v1/takes/{id}': aTake({ keeper: true, version: 2 }) });
    show(<TakeMarks take={aTake()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Keeper' }));
    await screen.findByRole('button', { name: 'Keeper' });
    await userEvent.keyboard('3');
    const rating = within(screen.getByRole('radiogroup', { name: 'Rating' }));
    expect(rating.getAllByRole('radio')).toHaveLength(5);
    await new Promise((done) => setTimeout(done, 1200));
    const bodies = asked.filter((a) => a.method === 'PATCH').map((a) => a.body);
    expect(bodies[0]).toMatchObject({ version: 1 });
    expect(Object.assign({}, ...(bodies as object[]))).toMatchObject({ keeper: true, rating: 3 });
  });

  test('a take that is not finished cannot be marked', () => {
    show(<TakeMarks take={aTake({ status: 'rendering' })} />);
    expect(screen.queryByLabelText('Marks')).toBeNull();
  });
});
