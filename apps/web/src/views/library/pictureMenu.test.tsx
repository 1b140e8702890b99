import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, aReference, show, type Asked } from '../../test/page';
import { PictureMenu } from './PictureMenu';

/** Documents outlive their view: each test has sheets of its own. */
let nth = 0;
const aLook = (name: string, items: string[]) => ({
  id: `menu-look-${++nth}`,
  name,
  items: items.map((referenceId) => ({ referenceId, weight: 1 })),
  notes: '',
  isDefault: false,
  version: 1,
});
const aCharacter = (name: string, items: string[]) => ({
  id: `menu-character-${++nth}`,
  name,
  items: items.map((referenceId) => ({ referenceId })),
  description: '',
  usualWeight: 1,
  outfits: [],
  version: 1,
});

function open({
  looks = [aLook('Carved', ['a'])],
  cast = [aCharacter('Ilse', ['b'])],
  selected = ['a', 'b'],
  at = '/',
} = {}) {
  const on = { select: jest.fn(), large: jest.fn() };
  const asked = answers({
    'GET /api/v1/looks': looks,
    'GET /api/v1/cast': cast,
    'PATCH /api/v1/looks/{id}': (body: { version: number }) => ({ ...looks[0], ...body, version: body.version + 1 }),
    'PATCH /api/v1/cast/{id}': (body: { version: number }) => ({ ...cast[0], ...body, version: body.version + 1 }),
    'POST /api/v1/looks': { id: 'made-look' },
    'POST /api/v1/cast': { id: 'made-character' },
    'GET /api/v1/mixes': [],
    'GET /api/v1/projects': [{ id: 'book', name: 'The book', pictures: 0, version: 1 }],
    'GET /api/v1/collections': [
      { id: 'reeds', name: 'Reeds', count: 1, version: 1 },
      { id: 'dusk', name: 'At dusk', search: 'words=dusk', count: 0, version: 1 },
    ],
    'POST /api/v1/collections': { id: 'made', name: 'New collection' },
    'POST /api/v1/collections/{id}/arrange': { collection: {}, back: { takeOut: ['a'] } },
    'POST /api/v1/projects/{id}/arrange': { project: {}, back: { takeOut: ['a'] } },
  });
  show(
    <PictureMenu
      references={new Map(['a', 'b', 'c'].map((id) => [id, aReference({ id })]))}
      selected={selected}
      onSelect={on.select}
      onLarge={on.large}
    >
      {['a', 'b', 'c'].map((id) => (
        <div key={id} data-id={id}>
          picture {id}
        </div>
      ))}
    </PictureMenu>,
    { path: '/', at },
  );
  return { asked, on };
}
const under = (id: string) => fireEvent.contextMenu(screen.getByText(`picture ${id}`));
const choose = async (name: string) => userEvent.click(await screen.findByRole('menuitem', { name }));
const bodyOf = async (asked: Asked[], method: string): Promise<object> => {
  await waitFor(() => expect(asked.some((a) => a.method === method)).toBe(true));
  return asked.find((a) => a.method === method)!.body as object;
};

test('the menu lists every look and everybody of the cast, and what can be made of the chosen ones', async () => {
  open();
  under('a');
  await screen.findByRole('menuitem', { name: 'Into the look Carved' });
  const names = screen.getAllByRole('menuitem').map((i) => i.textContent);
  expect(names).toEqual(
    expect.arrayContaining([
      'Weigh on the bench',
      'Compare them large',
      'Into the look Carved',
      'Make a look of these 2',
      'Onto the sheet of Ilse',
      'Make a character of these 2',
    ]),
  );
});

test('a look gets what it has not yet', async () => {
  const { asked } = open();
  under('b');
  await choose('Into the look Carved');
  expect(await bodyOf(asked, 'PATCH')).toMatchObject({
    items: [
      { referenceId: 'a', weight: 1 },
      { referenceId: 'b', weight: 1 },
    ],
  });
});

test('a sheet of the cast gets what it has not yet', async () => {
  const { asked } = open();
  under('a');
  await choose('Onto the sheet of Ilse');
  expect(await bodyOf(asked, 'PATCH')).toMatchObject({ items: [{ referenceId: 'b' }, { referenceId: 'a' }] });
});

test('a picture that is not chosen is meant alone, and becomes chosen', async () => {
  const { asked, on } = open();
  under('c');
  expect(on.select).toHaveBeenCalledWith(['c']);
  await choose('Make a look of it');
  expect(await bodyOf(asked, 'POST')).toEqual({ name: 'New look', items: [{ referenceId: 'c', weight: 1 }] });
  expect(await screen.findByTestId('elsewhere')).toHaveTextContent('/looks/made-look');
});

test('a new character has a name that nobody has', async () => {
  const { asked } = open({ cast: [aCharacter('somebody', []), aCharacter('Somebody 2', [])] });
  under('a');
  await choose('Make a character of these 2');
  expect(await bodyOf(asked, 'POST')).toMatchObject({ name: 'Somebody 3' });
  expect(await screen.findByTestId('elsewhere')).toHaveTextContent('/cast/made-character');
});

test('it is looked at large', async () => {
  const { on } = open({ selected: ['b'] });
  under('b');
  await choose('Look at it large');
  expect(on.large).toHaveBeenCalledWith('b');
});

describe('piles of pictures', () => {
  const sentTo = (asked: Asked[], path: string) => asked.filter((a) => a.path === path).map((a) => a.body);

  test('they are picked for the project that one works in, and that is told', async () => {
    const { asked } = open();
    under('a');
    await choose('Pick for The book');
    await waitFor(() =>
      expect(sentTo(asked, '/api/v1/projects/{id}/arrange')).toEqual([{ place: [{ id: 'a' }, { id: 'b' }] }]),
    );
    expect(await screen.findByText('2 pictures are in “The book” now.')).toBeVisible();
  });

  test('they go into a collection that is put together by hand, or into a new one', async () => {
    const { asked } = open({ selected: ['a'] });
    const into = async (name: string) => {
      under('a');
      const sub = await screen.findByRole('menuitem', { name: 'Into a collection' });
      sub.focus();
      fireEvent.keyDown(sub, { key: 'ArrowRight' });
      const item = await screen.findByRole('menuitem', { name });
      expect(screen.queryByRole('menuitem', { name: 'At dusk' })).toBeNull();
      fireEvent.keyDown(item, { key: 'Enter' });
    };
    await into('Reeds');
    await waitFor(() => expect(sentTo(asked, '/api/v1/collections/{id}/arrange')).toEqual([{ place: [{ id: 'a' }] }]));
    await into('A new one of it');
    await waitFor(() =>
      expect(sentTo(asked, '/api/v1/collections')).toContainEqual({ name: 'New collection', items: ['a'] }),
    );
  });

  test('they leave the one that is looked at, and nothing is asked for twice', async () => {
    const { asked } = open({ at: '/?collection=reeds' });
    under('a');
    await choose('Remove from Reeds');
    await waitFor(() => expect(sentTo(asked, '/api/v1/collections/{id}/arrange')).toEqual([{ takeOut: ['a', 'b'] }]));
    expect(await screen.findByText('2 pictures are not in “Reeds” any more.')).toBeVisible();
  });
});
