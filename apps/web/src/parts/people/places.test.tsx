import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Place } from '../../api/presence';
import { answers, show, type Asked } from '../../test/page';
import { AlsoHere, eachOnce, whereabouts } from './AlsoHere';
import { HeldBy } from './HeldBy';
import { PlacesProvider } from './PlacesProvider';

jest.mock('../../shared/save/windowId', () => ({ windowId: () => Promise.resolve('w1') }));

const ME = { id: 'i', name: 'Ilse', role: 'editor', mayExport: false, hue: 20, version: 1 };
const juna = (fields: Partial<Place> = {}): Place => ({
  person: 'j',
  name: 'Juna Berg',
  hue: 200,
  at: '/bench/m',
  ...fields,
});
const page = (places: Place[], { alone = false, at = '/bench/m' } = {}): Asked[] => {
  const asked = answers({
    'GET /api/v1/me': alone ? { alone: true, hasOwner: false } : { alone: false, hasOwner: true, person: ME },
    'GET /api/v1/presence': places,
    'PUT /api/v1/me/places/{window}': {},
    'DELETE /api/v1/me/places/{window}': {},
  });
  show(
    <PlacesProvider>
      <AlsoHere />
      <div data-held="influence a" data-testid="lane">
        <button>weight</button>
        <HeldBy what="influence a" />
      </div>
      <div data-held="influence b" data-testid="other">
        <HeldBy what="influence b" />
      </div>
      <button>elsewhere</button>
    </PlacesProvider>,
    { at },
  );
  return asked;
};
const told = (asked: readonly Asked[]) => asked.filter((a) => a.method === 'PUT').map((a) => a.body);

describe('where the others are', () => {
  test('whoever holds a part of this page marks it, by name and colour; one’s own windows do not', async () => {
    page([juna({ holds: 'influence a' }), juna({ person: 'i', name: 'Ilse', holds: 'influence b' })]);
    const lane = screen.getByTestId('lane');
    expect(await within(lane).findByText('Juna Berg works on this')).toBeInTheDocument();
    expect(within(lane).getByText('JB')).toBeInTheDocument();
    expect(within(screen.getByTestId('other')).queryByText(/works on this/)).toBeNull();
  });

  test('on another page the same part is not held', async () => {
    page([juna({ at: '/bench/n', holds: 'influence a' })]);
    await screen.findByRole('link', { name: 'Juna Berg is at the bench' });
    expect(screen.queryByText(/works on this/)).toBeNull();
  });

  test('the bar shows who is here first, and leads to those who are not', async () => {
    page([juna({ person: 'b', name: 'Brom', at: '/library' }), juna()]);
    await screen.findByRole('link', { name: 'Juna Berg is here too' });
    const links = screen.getAllByRole('link');
    expect(links.map((l) => l.getAttribute('aria-label'))).toEqual(['Juna Berg is here too', 'Brom is in the library']);
    expect(links[1]).toHaveAttribute('href', '/library');
  });

  test('beyond four it says how many more', async () => {
    page(Array.from({ length: 6 }, (_, k) => juna({ person: `p${k}`, name: `Person ${k}` })));
    expect(await screen.findByText('and 2 more')).toBeVisible();
    expect(screen.getAllByRole('link')).toHaveLength(4);
  });

  test('whoever works alone sees nobody and tells nobody', async () => {
    const asked = page([juna()], { alone: true });
    await act(() => new Promise((done) => setTimeout(done, 250)));
    expect(asked.map((a) => a.path)).toEqual(['/api/v1/me']);
    expect(screen.queryByRole('list', { name: 'Who else is in the studio' })).toBeNull();
  });
});

describe('where one is', () => {
  test('is told with what one holds, once quick steps rest', async () => {
    const asked = page([]);
    await waitFor(() => expect(told(asked)).toEqual([{ at: '/bench/m', holds: undefined }]));
    await userEvent.click(screen.getByRole('button', { name: 'elsewhere' }));
    await userEvent.click(screen.getByRole('button', { name: 'weight' }));
    await waitFor(() => expect(told(asked)).toHaveLength(2));
    expect(told(asked)[1]).toEqual({ at: '/bench/m', holds: 'influence a' });
    act(() => screen.getByRole('button', { name: 'weight' }).blur());
    await waitFor(() => expect(told(asked).at(-1)).toEqual({ at: '/bench/m', holds: undefined }));
  });

  test('a window that is closed says so', async () => {
    const asked = page([]);
    await waitFor(() => expect(told(asked)).toHaveLength(1));
    fireEvent(window, new Event('pagehide'));
    await waitFor(() => expect(asked.find((a) => a.method === 'DELETE')?.params).toEqual({ path: { window: 'w1' } }));
  });
});

test('a person of several windows counts once, by the one that is here', () => {
  const [far, near] = [juna({ at: '/looks' }), juna({ at: '/cast' })];
  expect(eachOnce([far, near], '/cast')).toEqual([near]);
  expect(eachOnce([near, far], '/cast')).toEqual([near]);
  expect(eachOnce([far, near], '/bench')).toEqual([far]);
});

test('places that the page does not know are somewhere else', () => {
  expect(whereabouts('/attic/1', '/looks')).toBe('is somewhere else');
});
