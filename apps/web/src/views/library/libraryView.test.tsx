import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, aReference, show, type Asked } from '../../test/page';
import { laidOut } from '../../test/laidOut';
import { LibraryView } from './LibraryView';

const facets = {
  kind: {},
  look: {},
  character: {},
  collection: {},
  tag: {},
  favourite: 0,
  state: {},
  rights: {},
  unused: 0,
  away: 0,
};
const found = (ids: string[], all = ids.length) => ({
  ids,
  aspects: ids.map(() => 1.5),
  total: ids.length,
  all,
  facets,
});

const COLLECTIONS = [{ id: 'reeds', name: 'Reeds', count: 0, updatedAt: '', version: 3 }];

function open(answer: object, { at = '/library', demo = { done: 1, total: 1 } } = {}): Asked[] {
  const asked = answers({
    'GET /api/v1/references/search': answer,
    'GET /api/v1/references': [aReference({ id: 'p', title: 'Carved quay' }), aReference({ id: 'q', title: 'Night' })],
    'GET /api/v1/references/{id}': aReference({ id: 'p' }),
    'GET /api/v1/studio': { name: 'Tidepost', demo, queue: [] },
    'GET /api/v1/looks': [],
    'GET /api/v1/cast': [],
    'GET /api/v1/collections': COLLECTIONS,
    'POST /api/v1/collections/{id}/arrange': { collection: COLLECTIONS[0], back: {} },
    'GET /api/v1/takes/made-with/{id}': [],
    'GET /api/v1/references/{id}/gives': [],
    'GET /api/v1/references/{id}/versions': [],
  });
  show(<LibraryView />, { at, path: '/library' });
  return asked;
}
/** The query strings that were searched for, in order. */
const searched = (asked: Asked[]) =>
  asked.filter((a) => a.path.endsWith('/search')).map((a) => (a.params as { query: Record<string, unknown> }).query);

describe('the whole library', () => {
  test('says how many there are, of how many', async () => {
    open(found(['p', 'q'], 75));
    expect(await screen.findByText('2 of 75 pictures')).toBeVisible();
  });

  test('says how many are chosen', async () => {
    open(found(['p', 'q']), { at: '/library?sel=p&sel=q' });
    expect(await screen.findByText('2 pictures, 2 chosen')).toBeVisible();
  });

  test('the order is asked for, and stands in the address', async () => {
    const asked = open(found(['p']));
    await userEvent.selectOptions(await screen.findByLabelText('Order'), 'best first');
    await waitFor(() => expect(searched(asked).at(-1)).toMatchObject({ sort: 'rating' }));
    expect(screen.getByLabelText('Order')).toHaveValue('rating');
  });

  test('words are looked for when the typing rests', async () => {
    const asked = open(found(['p']));
    await userEvent.type(await screen.findByLabelText('Find by words'), 'quay');
    await waitFor(() => expect(searched(asked).at(-1)).toMatchObject({ words: 'quay' }));
    expect(searched(asked).length).toBeLessThan(5);
  });

  test('what is like a picture is told, by what it shows or how it is made, and left again', async () => {
    const asked = open(found(['p']), { at: '/library?like=p' });
    const shows = await screen.findByRole('button', { name: 'by what it shows' });
    expect(shows).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(screen.getByRole('button', { name: 'by how it is made' }));
    await waitFor(() => expect(searched(asked).at(-1)).toMatchObject({ like: 'p', by: 'style' }));
    await userEvent.click(screen.getByRole('button', { name: 'All pictures again' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'by what it shows' })).toBeNull());
    await waitFor(() => expect(searched(asked).at(-1)).not.toHaveProperty('like'));
  });
});

describe('the size of the pictures', () => {
  const first = () =>
    waitFor(() => {
      const picture = document.querySelector<HTMLElement>('[data-id="p"]');
      expect(picture).not.toBeNull();
      return picture!;
    });
  const widthOf = async () => parseFloat((await first()).style.width);
  beforeEach(() => {
    localStorage.clear();
    laidOut(900, 600);
  });
  test('is chosen, changes how wide they lie, and is kept for the next time', async () => {
    open(found(['p', 'q', 'r', 's', 't', 'u', 'v', 'w']));
    const usual = await widthOf();
    const size = screen.getByLabelText('Size of the pictures');
    expect(size).toHaveValue('2');
    fireEvent.change(size, { target: { value: '4' } });
    expect(await widthOf()).toBeGreaterThan(1.5 * usual);
    cleanup();
    open(found(['p', 'q', 'r', 's', 't', 'u', 'v', 'w']));
    await first();
    expect(screen.getByLabelText('Size of the pictures')).toHaveValue('4');
  });
  test('is the usual one where something else was kept', async () => {
    localStorage.setItem('urbild.library.size', 'huge');
    open(found(['p']));
    expect(await screen.findByLabelText('Size of the pictures')).toHaveValue('2');
  });
});

describe('a collection', () => {
  beforeEach(() => {
    localStorage.clear();
    laidOut(900, 600);
  });
  const ids = async () => {
    await waitFor(() => expect(document.querySelector('[data-id]')).not.toBeNull());
    return [...document.querySelectorAll<HTMLElement>('[data-id]')].map((e) => e.dataset.id).join('');
  };
  const arranged = (asked: Asked[]) => asked.filter((a) => a.path.endsWith('/arrange')).map((a) => a.body);

  test('is shown in its own order, which Alt and an arrow change at once', async () => {
    const asked = open(found(['p', 'q', 'r']), { at: '/library?collection=reeds' });
    expect(await screen.findByLabelText('Order')).toHaveDisplayValue('as arranged');
    expect(await ids()).toBe('pqr');
    // the server takes its time: what is seen is not asked for again before it has answered
    fireEvent.keyDown(document.querySelector('[data-id="r"]')!, { key: 'ArrowLeft', altKey: true });
    await waitFor(() => expect(arranged(asked)).toEqual([{ place: [{ id: 'r', before: 'q' }] }]));
    fireEvent.keyDown(document.querySelector('[data-id="p"]')!, { key: 'End', altKey: true });
    await waitFor(() => expect(arranged(asked)).toHaveLength(2));
  });

  test('in another order nothing is moved by keys', async () => {
    const asked = open(found(['p', 'q', 'r']), { at: '/library?collection=reeds&sort=title' });
    await ids();
    fireEvent.keyDown(document.querySelector('[data-id="r"]')!, { key: 'ArrowLeft', altKey: true });
    expect(arranged(asked)).toEqual([]);
  });

  test('that is empty says how it is filled', async () => {
    open(found([], 75), { at: '/library?collection=reeds' });
    expect(await screen.findByText('“Reeds” has no pictures of its own yet')).toBeVisible();
  });
});

describe('a bare wall', () => {
  test('where nothing was brought in it says how', async () => {
    open(found([]));
    expect(await screen.findByText('No pictures yet')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Add the first pictures' })).toBeVisible();
  });

  test('where nothing is found everything is shown again', async () => {
    const asked = open(found([], 75), { at: '/library?words=zorblax&kind=style' });
    expect(await screen.findByText('No matches')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Show everything' }));
    await waitFor(() => expect(searched(asked).at(-1)).not.toHaveProperty('words'));
    expect(screen.getByLabelText('Find by words')).toHaveValue('');
  });

  test('while the demo is drawn it says how far', async () => {
    open(found([]), { demo: { done: 12, total: 75 } });
    expect(await screen.findByText('The painter is at work')).toBeVisible();
    expect(screen.getByText(/12 of 75 are done/)).toBeVisible();
  });
});
