import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, aReference, show } from '../../test/page';
import { CastView } from './CastView';

// a sheet has its own tests
jest.mock('./CharacterSheet', () => ({ CharacterSheet: () => null }));

const somebody = (id: string, name: string, pictures: number) => ({
  id,
  name,
  notes: '',
  usualWeight: 0.9,
  items: Array.from({ length: pictures }, (_, k) => ({ referenceId: `${id}${k}`, slot: 'front' })),
  corrected: [],
  outfits: [],
  height: 1,
  version: 1,
});

function open(cast: object[], at = '/cast', demo = { done: 1, total: 1 }) {
  const asked = answers({
    'GET /api/v1/cast': cast,
    'GET /api/v1/studio': { name: 'Tidepost', demo, queue: [] },
    'GET /api/v1/references': [aReference({ id: 'i0', title: 'Ilse, front', thumbnailUrl: '/thumb/ilse' })],
    'GET /api/v1/references/search': { ids: [], aspects: [], total: 0, all: 0, facets: {} },
    'GET /api/v1/shelf': [],
  });
  show(<CastView />, { at, path: '/cast/:characterId?' });
  return asked;
}

test('nobody yet: it says what a character is, and begins one', async () => {
  open([]);
  expect(await screen.findByText('No characters yet')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Make a character' }));
  expect(await screen.findByRole('dialog')).toBeVisible();
});

test('all stand on the left with their first picture and how many they have; the first is opened', async () => {
  open([somebody('i', 'Ilse', 3), somebody('b', 'Brom', 1)]);
  const cast = within(await screen.findByRole('complementary', { name: 'Cast' }));
  expect(cast.getByRole('button', { name: /Ilse 3 pictures/ })).toHaveAttribute('aria-current', 'true');
  expect(cast.getByRole('button', { name: /Brom 1 picture$/ })).not.toHaveAttribute('aria-current');
  await waitFor(() =>
    expect(cast.getByRole('button', { name: /Ilse/ }).querySelector('img')?.src ?? '').toMatch('/thumb/ilse'),
  );
});

test('another one is opened by its card', async () => {
  open([somebody('i', 'Ilse', 3), somebody('b', 'Brom', 1)]);
  await userEvent.click(await screen.findByRole('button', { name: /Brom 1 picture/ }));
  await waitFor(() => expect(document.title).toContain('Brom'));
  expect(screen.getByRole('button', { name: /Brom 1 picture/ })).toHaveAttribute('aria-current', 'true');
});

test('an address of somebody who is gone shows the first', async () => {
  open([somebody('i', 'Ilse', 3)], '/cast/gone');
  expect(await screen.findByRole('heading', { name: 'Cast: Ilse', level: 1 })).toBeInTheDocument();
});
