import { screen, within, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Reference } from '../../api/client';
import type { Found } from '../../api/references';
import { answers, show } from '../../test/page';
import { Checks } from './Checks';
import { Facets } from './Facets';
import type { LibraryState } from './useLibraryState';

const facets = {
  kind: { style: 30, image: 27, character: 9, face: 6 },
  look: {},
  character: {},
  collection: {},
  tag: { harbour: 3, dusk: 9, mill: 3 },
  favourite: 4,
  state: { fine: 60, warning: 10, serious: 2 },
  rights: { 'own work': 70 },
  unused: 12,
  away: 1,
};

function facetsWith(query = '') {
  const set = jest.fn();
  const clear = jest.fn();
  const search = new URLSearchParams(query);
  const state = { search, query, set, clear, selected: [], narrowed: !!query } as unknown as LibraryState;
  show(<Facets found={{ facets, ids: [], total: 72 } as unknown as Found} state={state} />);
  return { set, clear };
}

describe('narrowing the library', () => {
  beforeEach(() => void answers({ 'GET /api/v1/looks': [], 'GET /api/v1/cast': [], 'GET /api/v1/collections': [] }));

  test('every choice says how many it would leave; a chosen one is taken back by the same button', async () => {
    const { set } = facetsWith('kind=style');
    const style = screen.getByRole('button', { name: /^Style 30$/ });
    expect(style).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(style);
    expect(set).toHaveBeenLastCalledWith({ kind: null, sel: null });
    await userEvent.click(screen.getByRole('button', { name: /^Image 27$/ }));
    expect(set).toHaveBeenLastCalledWith({ kind: 'image', sel: null });
  });

  test('tags stand by number, then by name', () => {
    facetsWith();
    const tags = within(screen.getByRole('heading', { name: 'Tags' }).parentElement!).getAllByRole('button');
    expect(tags.map((t) => t.textContent)).toEqual(['dusk9', 'harbour3', 'mill3']);
  });

  test('a colour asks how near, and goes with what it is like', async () => {
    const { set } = facetsWith('colour=%233f6f9a');
    expect(screen.getByRole('slider')).toHaveAttribute('aria-valuenow', '0.08');
    await userEvent.click(screen.getByRole('button', { name: 'Pictures with the colour #b5402f' }));
    expect(set).toHaveBeenLastCalledWith({ colour: '#b5402f', like: null, sel: null });
  });

  test('a search is kept under a name, and everything is cleared at once', async () => {
    const { clear } = facetsWith('kind=style&tag=dusk');
    const asked = answers({
      'GET /api/v1/looks': [],
      'GET /api/v1/cast': [],
      'GET /api/v1/collections': [],
      'POST /api/v1/collections': { id: 's', name: 'Dusk', search: 'kind=style&tag=dusk' },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Keep this search' }));
    await userEvent.type(screen.getByLabelText('Name of the search'), 'Dusk{Enter}');
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
        name: 'Dusk',
        search: 'kind=style&tag=dusk',
      }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Clear' }));
    expect(clear).toHaveBeenCalled();
  });
});

describe('what is wrong with a picture', () => {
  const reference = (checks: Reference['checks']) =>
    ({
      id: 'r',
      version: 1,
      checks,
      preparation: { sharpen: 0.8, cutOut: false, flatten: false },
      pictureUrl: '/p',
      sourceUrl: '/s',
    }) as unknown as Reference;

  test('nothing wrong says so', () => {
    answers({});
    show(<Checks reference={reference([])} onLike={() => undefined} />);
    expect(screen.getByText('Nothing is wrong with it.')).toBeVisible();
  });

  test('each has its reason, its gravity for those who do not see the sign, and its fix', async () => {
    answers({});
    const onLike = jest.fn();
    const checks = [
      { id: 'small', severity: 'serious', reason: 'It has 200 px.' },
      { id: 'double', severity: 'note', reason: 'It is like another.', fix: 'show double' },
    ] as unknown as Reference['checks'];
    show(<Checks reference={reference(checks)} onLike={onLike} />);
    const [small, double] = screen.getAllByRole('listitem');
    expect(small).toHaveTextContent('small, serious');
    expect(within(small).queryByRole('button')).toBeNull();
    await userEvent.click(within(double).getByRole('button', { name: 'Show what is like it' }));
    expect(onLike).toHaveBeenCalledWith('r', 'content');
  });
});
