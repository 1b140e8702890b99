import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Mix } from '../../api/client';
import { answers, anInfluence, show, type Asked } from '../../test/page';
import { useWeighInfluences } from './useWeigh';

let made = 0;
/** Documents outlive their view: each test has mixes of its own. */
const aMix = (fields: Partial<Mix> = {}): Mix =>
  ({
    id: `weighed-${++made}`,
    name: 'Harbour',
    prompt: 'a quay',
    avoid: '',
    settings: {},
    influences: [anInfluence({ id: 'old' })],
    version: 3,
    updatedAt: '',
    ...fields,
  }) as Mix;

const ADDED = anInfluence({ id: 'new', referenceId: 's' });

function Weighs() {
  const weigh = useWeighInfluences();
  return (
    <button type="button" onClick={() => void weigh([ADDED])}>
      weigh
    </button>
  );
}

function open(mixes: Mix[], covers: object[] = []): Asked[] {
  const asked = answers({
    'GET /api/v1/mixes': mixes,
    'GET /api/v1/takes/covers': covers,
    'POST /api/v1/mixes': (body: object) => aMix({ id: `fresh-${++made}`, influences: [], version: 1, ...body }),
    'PATCH /api/v1/mixes/{id}': (body: Partial<Mix>) => aMix({ ...body, version: body.version! + 1 }),
  });
  show(<Weighs />, { path: '/' });
  return asked;
}
const patches = (asked: Asked[]) => asked.filter((a) => a.method === 'PATCH');

test('no mix changes before it is named: the last one has the focus, and Enter takes it', async () => {
  const [last, other] = [aMix({ name: 'Harbour' }), aMix({ name: 'Marsh' })];
  const asked = open([last, other], [{ mixId: other.id, thumbnailUrl: '/cover/marsh' }]);
  await userEvent.click(screen.getByText('weigh'));
  const window = await screen.findByRole('dialog', { name: 'Weigh it in which mix?' });
  expect(within(window).getByRole('button', { name: 'Harbour' })).toHaveFocus();
  await waitFor(() => expect(window.querySelector('img')).toHaveAttribute('src', '/cover/marsh'));
  expect(patches(asked)).toEqual([]);
  await userEvent.keyboard('{Enter}');
  await waitFor(() => expect(screen.getByTestId('elsewhere')).toHaveTextContent(`/bench/${last.id}`));
  const [{ params, body }] = patches(asked);
  expect(params).toMatchObject({ path: { id: last.id } });
  expect((body as Mix).influences.map((i) => i.id)).toEqual(['old', 'new']);
});

test('the mix of the demo is never the one that Enter takes', async () => {
  const asked = open([aMix({ id: 'demo-mix', name: 'Tidepost' })]);
  await userEvent.click(screen.getByText('weigh'));
  expect(await screen.findByRole('button', { name: /A new mix/ })).toHaveFocus();
  await userEvent.keyboard('{Enter}');
  await waitFor(() => expect(screen.getByTestId('elsewhere')).toHaveTextContent('/bench/fresh-'));
  expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({ name: 'Mix 2' });
  expect((patches(asked)[0].body as Mix).influences.map((i) => i.id)).toEqual(['new']);
});

test('archived mixes are behind a button, and are not the one that Enter takes', async () => {
  open([aMix({ name: 'Old plates', archived: true }), aMix({ name: 'Marsh' })]);
  await userEvent.click(screen.getByText('weigh'));
  expect(await screen.findByRole('button', { name: 'Marsh' })).toHaveFocus();
  expect(screen.queryByRole('button', { name: 'Old plates' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Archived mixes (1)' }));
  expect(screen.getByRole('button', { name: 'Old plates' })).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Marsh' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Mixes that are worked on' }));
  expect(screen.getByRole('button', { name: 'Marsh' })).toBeVisible();
});

test('where all mixes are archived nobody is asked', async () => {
  const asked = open([aMix({ archived: true })]);
  await userEvent.click(screen.getByText('weigh'));
  await waitFor(() => expect(patches(asked)).toHaveLength(1));
});

test('Escape leaves everything as it is', async () => {
  const asked = open([aMix()]);
  await userEvent.click(screen.getByText('weigh'));
  await screen.findByRole('dialog');
  await userEvent.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(asked.filter((a) => a.method !== 'GET')).toEqual([]);
});

test('where there is no mix nobody is asked', async () => {
  const asked = open([]);
  await userEvent.click(screen.getByText('weigh'));
  await waitFor(() => expect(patches(asked)).toHaveLength(1));
});

test('many mixes are found by words of their names and prompts', async () => {
  open(
    Array.from({ length: 8 }, (_, k) => aMix({ name: `Plate ${k}`, prompt: k === 5 ? 'a heron at dusk' : 'a quay' })),
  );
  await userEvent.click(screen.getByText('weigh'));
  await userEvent.type(await screen.findByLabelText('Find a mix'), 'heron');
  const names = within(screen.getByRole('group', { name: 'Mixes' }))
    .getAllByRole('button')
    .map((b) => b.getAttribute('aria-label') ?? b.textContent);
  expect(names).toEqual(['A new mix', 'Plate 5']);
  await userEvent.type(screen.getByLabelText('Find a mix'), ' submarine');
  expect(screen.getByText('No mix has these words.')).toBeInTheDocument();
});
