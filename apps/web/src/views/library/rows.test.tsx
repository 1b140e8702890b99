import { fireEvent, screen, waitFor } from '@testing-library/react';
import { answers, aReference, show } from '../../test/page';
import { laidOut } from '../../test/laidOut';
import { PictureRows } from './PictureRows';
import { touched } from './rows';

const IDS = ['p0', 'p1', 'p2', 'p3', 'p4', 'p5'];

describe('a frame over the pictures', () => {
  const rows = [0, 1].map((r) => ({
    height: 100,
    items: [0, 1, 2].map((k) => ({ item: { id: `${r}${k}` }, x: k * 110, width: 100 })),
  }));
  const of = (left: number, top: number, width: number, height: number) =>
    touched(rows, { left, top, width, height }, { gap: 8, pad: 12 });
  test('touches what it overlaps, in the order of the pictures', () => {
    expect(of(0, 0, 130, 50)).toEqual(['00', '01']);
    expect(of(200, 50, 30, 100)).toEqual(['01', '11']);
    expect(of(0, 0, 1000, 1000)).toEqual(['00', '01', '02', '10', '11', '12']);
  });
  test('touches nothing between rows, beside and below them', () => {
    expect(of(0, 101, 1000, 6)).toEqual([]);
    expect(of(0, 0, 11, 500)).toEqual([]);
    expect(of(0, 300, 1000, 50)).toEqual([]);
    expect(of(113, 0, 8, 50)).toEqual([]);
  });
});

describe('the rows', () => {
  const onSelect = jest.fn();
  const onLarge = jest.fn();
  let asked: ReturnType<typeof answers>;
  async function rows(selected: string[] = []) {
    laidOut(700, 500);
    asked = answers({
      'GET /api/v1/references': IDS.map((id) => aReference({ id, alt: id, favourite: id === 'p1' })),
      'POST /api/v1/references/change': { before: [] },
      'GET /api/v1/looks': [],
      'GET /api/v1/cast': [],
    });
    onSelect.mockClear();
    show(
      <PictureRows
        ids={IDS}
        aspects={IDS.map(() => 1.5)}
        height={212}
        selected={selected}
        onSelect={onSelect}
        onLarge={onLarge}
      />,
      { at: '/library' },
    );
    await screen.findByRole('option', { name: /^p0/ });
  }
  const picture = (id: string) => screen.getByRole('option', { name: new RegExp(`^${id}`) });
  const changed = () =>
    waitFor(() => {
      const change = asked.find((a) => a.method === 'POST')?.body;
      expect(change).toBeDefined();
      return change;
    });

  test('one is chosen by a click, more with Ctrl, a stretch with Shift', async () => {
    await rows(['p1']);
    fireEvent.click(picture('p3'));
    expect(onSelect).toHaveBeenLastCalledWith(['p3']);
    fireEvent.click(picture('p3'), { ctrlKey: true });
    expect(onSelect).toHaveBeenLastCalledWith(['p1', 'p3']);
    fireEvent.click(picture('p1'), { ctrlKey: true });
    expect(onSelect).toHaveBeenLastCalledWith([]);
    fireEvent.click(picture('p3'), { shiftKey: true });
    expect(onSelect).toHaveBeenLastCalledWith(['p1', 'p2', 'p3']);
  });

  test('arrows go on, Home and End to the ends, up and down to what lies nearest', async () => {
    await rows(['p1']);
    for (const [key, to] of [
      ['ArrowRight', 'p2'],
      ['ArrowLeft', 'p0'],
      ['End', 'p5'],
      ['Home', 'p0'],
    ]) {
      fireEvent.keyDown(picture('p1'), { key });
      expect(onSelect).toHaveBeenLastCalledWith([to]);
    }
    fireEvent.keyDown(picture('p0'), { key: 'ArrowDown' });
    const below = (onSelect.mock.lastCall as [string[]])[0][0];
    expect(IDS.indexOf(below)).toBeGreaterThan(1);
    fireEvent.keyDown(picture(below), { key: 'ArrowUp' });
    expect(onSelect).toHaveBeenLastCalledWith(['p0']);
  });

  test('everything is chosen by Ctrl + A', async () => {
    await rows();
    fireEvent.keyDown(picture('p0'), { key: 'a', ctrlKey: true });
    expect(onSelect).toHaveBeenCalledWith(IDS);
  });

  test.each([
    ['4', { ids: ['p0', 'p2'], rating: 4 }],
    ['h', { ids: ['p0', 'p2'], favourite: true }],
    ['c', { ids: ['p0', 'p2'], kind: 'character' }],
    ['Delete', { ids: ['p0', 'p2'], away: true }],
  ])('%s acts on all that are chosen', async (key, wish) => {
    await rows(['p0', 'p2']);
    fireEvent.keyDown(picture('p0'), { key });
    expect(await changed()).toEqual(wish);
  });

  test('on one that is not chosen it acts on that alone', async () => {
    await rows(['p0', 'p2']);
    fireEvent.keyDown(picture('p1'), { key: 'h' });
    expect(await changed()).toEqual({ ids: ['p1'], favourite: false });
  });

  test('other keys, and Ctrl with a letter, are left alone', async () => {
    await rows(['p0']);
    fireEvent.keyDown(picture('p0'), { key: 's', ctrlKey: true });
    fireEvent.keyDown(picture('p0'), { key: 'q' });
    expect(asked.filter((a) => a.method === 'POST')).toEqual([]);
  });

  test('space shows one large', async () => {
    await rows(['p1']);
    fireEvent.keyDown(picture('p1'), { key: ' ' });
    expect(onLarge).toHaveBeenLastCalledWith('p1');
  });

  test('one tab stop leads to what was chosen last', async () => {
    await rows(['p0', 'p2']);
    expect(screen.getAllByRole('option').filter((o) => o.tabIndex === 0)).toEqual([picture('p2')]);
  });
});
