import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Mix } from '../../api/client';
import type { Strip } from '../../api/trials';
import { anInfluence, answers, aReference, show, type Asked } from '../../test/page';
import { StripView } from './StripView';

// a table of cells has its own tests
jest.mock('./StripTable', () => ({
  StripTable: ({ strip, name }: { strip: Strip; name: (id: string) => string }) => (
    <p data-testid="table">
      {strip.id}: {['a', 'ink', 'ilse', 'q', 'nobody'].map(name).join(', ')}
    </p>
  ),
}));

const mix = {
  id: 'm',
  name: 'Tidepost in chalk',
  prompt: 'a mill',
  avoid: '',
  settings: { aspect: '3:2', seed: 4, balance: 1 },
  influences: [anInfluence()],
  version: 1,
} as unknown as Mix;
const aStrip = (fields: object = {}) => ({
  id: 's',
  name: 'weight of Carved quay',
  axes: [{ setting: 'swap', influence: 'a', values: ['reference:q', 'look:ink'] }],
  cells: [{}, {}, {}],
  state: { influences: [anInfluence()] },
  ...fields,
});

function open(strips: object[], at = '/bench/m/strips', more: Record<string, unknown> = {}): Asked[] {
  const asked = answers({
    'GET /api/v1/mixes': [mix],
    'GET /api/v1/strips': strips,
    'GET /api/v1/looks': [{ id: 'ink', name: 'Ink', items: [{ referenceId: 'r', weight: 1 }], version: 1 }],
    'GET /api/v1/cast': [{ id: 'ilse', name: 'Ilse', items: [], version: 1 }],
    'GET /api/v1/references': [aReference(), aReference({ id: 'q', title: 'Reeds' })],
    'GET /api/v1/studio': { name: 'Tidepost', demo: { done: 1, total: 1 }, queue: [] },
    ...more,
  });
  show(<StripView />, { at, path: '/bench/:mixId/strips/:stripId?' });
  return asked;
}

test('without a strip it says what one is for; one that is made is shown', async () => {
  const made = aStrip({ id: 'new' });
  const asked = open([], undefined, { 'POST /api/v1/strips': made });
  expect(await screen.findByText('No strip of this mix yet')).toBeVisible();
  await userEvent.click(await screen.findByRole('button', { name: 'Render the strip' }));
  await waitFor(() => expect(asked.find((a) => a.method === 'POST')).toBeDefined());
  const wish = asked.find((a) => a.method === 'POST')!.body as { mixId: string; name: string; axes: object[] };
  expect(wish).toMatchObject({ mixId: 'm', quality: 'draft' });
  expect(wish.axes).toMatchObject([{ setting: 'weight', influence: 'a' }]);
  expect(wish.name).toMatch(/Carved quay/);
  expect(await screen.findByTestId('table')).toHaveTextContent(/^new/);
});

test('earlier ones stand in a list with how many cells they have; the address says which is shown', async () => {
  open([aStrip(), aStrip({ id: 'z', name: 'seed', cells: [{}] })], '/bench/m/strips/z');
  const list = within(await screen.findByRole('navigation', { name: 'Earlier strips' }));
  expect(list.getByRole('link', { name: /^seed 1$/ })).toHaveAttribute('aria-current', 'page');
  expect(list.getByRole('link', { name: /^weight of Carved quay 3$/ })).not.toHaveAttribute('aria-current');
  await userEvent.click(list.getByRole('link', { name: /^weight of Carved quay/ }));
  expect(await screen.findByTestId('table')).toHaveTextContent(/^s:/);
});

test('everything that stands in a strip has its name: influences, looks, characters, pictures that were swapped in', async () => {
  open([aStrip()]);
  await waitFor(() =>
    expect(screen.getByTestId('table')).toHaveTextContent('s: Carved quay, Ink, Ilse, Reeds, a picture'),
  );
});

test('the bench is one step away', async () => {
  open([aStrip()]);
  expect(await screen.findByRole('link', { name: 'Back to the bench' })).toHaveAttribute('href', '/bench/m');
});
