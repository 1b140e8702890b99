import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { hasBegun } from '../../shared/firstSteps';
import { answers, aReference, aTake, show } from '../../test/page';
import { FirstView } from './FirstView';

const LOOK = aReference({ id: 'look', title: 'Carved quay' });
const FACE = aReference({ id: 'face', kind: 'face', title: 'Juna' });

let mixes = 0;

/** A studio with one sound picture of each kind; what is made is answered as it was asked for. */
function studio(more: Record<string, unknown> = {}) {
  const takes: object[] = [];
  // documents outlive their view: each test has a mix of its own
  const id = `mix-${++mixes}`;
  return answers({
    'GET /api/v1/studio': { name: 'Studio', demo: { done: 1, total: 1 }, queue: [], unread: 0, engine: { gives: [] } },
    'GET /api/v1/references/search': { ids: [], total: 0, facets: {} },
    'GET /api/v1/references': [LOOK, FACE],
    'POST /api/v1/mixes': (body: object) => ({ id, avoid: '', settings: {}, version: 1, ...body }),
    'PATCH /api/v1/mixes/{id}': ({ version, ...body }: { version: number }) => ({
      id,
      name: 'My first mix',
      prompt: 'a mill',
      avoid: '',
      settings: {},
      influences: [],
      ...body,
      version: version + 1,
    }),
    'POST /api/v1/takes': () => {
      const n = takes.length + 1;
      takes.unshift(aTake({ id: `t${n}`, quality: 'draft', pictureUrl: `/take/${n}` }));
      return takes[0];
    },
    'GET /api/v1/takes': () => [...takes],
    ...more,
  });
}

/** Gives a picture of one's own to a row, as a file. */
const give = (what: string) =>
  userEvent.upload(screen.getByLabelText(`${what} of your own`), new File(['x'], 'mine.png', { type: 'image/png' }));

const bodiesOf = (asked: ReturnType<typeof answers>, method: string, path: string) =>
  asked.filter((a) => a.method === method && a.path === path).map((a) => a.body as Record<string, unknown>);

beforeEach(() => localStorage.clear());

test('own pictures, a sentence, a picture: the mix has both, each giving what is usual for it', async () => {
  const asked = studio({
    'POST /api/v1/references': (body: FormData) => ({ reference: body.get('kind') === 'style' ? LOOK : FACE }),
  });
  show(<FirstView />);
  await give('A look');
  await give('A face');
  await screen.findByRole('button', { name: 'Juna', pressed: true });
  await userEvent.type(screen.getByLabelText('What the picture shows'), 'a mill{Enter}');
  expect(await screen.findByTestId('take-picture')).toHaveAttribute('src', '/take/1');
  const [made] = bodiesOf(asked, 'POST', '/api/v1/mixes');
  expect(made).toMatchObject({ name: 'My first mix', prompt: 'a mill' });
  expect(made.influences).toMatchObject([
    { referenceId: 'look', gives: 'look' },
    { referenceId: 'face', gives: 'face' },
  ]);
});

test('a weight that is moved is saved and followed by a draft', async () => {
  const asked = studio({ 'POST /api/v1/references': () => ({ reference: LOOK }) });
  show(<FirstView />);
  await give('A look');
  await userEvent.click(await screen.findByRole('button', { name: /an old man in a boat/ }));
  const weight = await screen.findByRole('slider', { name: 'Weight of Carved quay' });
  const before = Number(weight.getAttribute('aria-valuenow'));
  fireEvent.keyDown(weight, { key: 'ArrowRight' });
  await waitFor(() => expect(bodiesOf(asked, 'PATCH', '/api/v1/mixes/{id}')).toHaveLength(1));
  const [{ influences }] = bodiesOf(asked, 'PATCH', '/api/v1/mixes/{id}') as { influences: { weight: number }[] }[];
  expect(influences[0].weight).toBeCloseTo(before + 0.05);
  await waitFor(() => expect(screen.getByTestId('take-picture')).toHaveAttribute('src', '/take/2'));
});

test('nothing is drawn without a sentence, and what is not chosen says so', async () => {
  const asked = studio();
  show(<FirstView />);
  expect(screen.getByRole('button', { name: 'Draw it' })).toBeDisabled();
  await userEvent.type(screen.getByLabelText('What the picture shows'), '  {Enter}');
  expect(bodiesOf(asked, 'POST', '/api/v1/mixes')).toEqual([]);
  await userEvent.type(screen.getByLabelText('What the picture shows'), 'a mill{Enter}');
  expect(await screen.findByText(/Nothing is chosen to be weighed yet/)).toBeInTheDocument();
});

test('a file that cannot be read is told, and another can be given', async () => {
  studio({ 'POST /api/v1/references': 422 });
  show(<FirstView />);
  await give('A face');
  expect(await screen.findByText('No: 422')).toBeInTheDocument();
  expect(within(screen.getByRole('group', { name: 'Choose a face' })).queryByText('…')).toBeNull();
});

test('passing it over is remembered, and leads to the library', async () => {
  studio();
  show(<FirstView />, { path: '/' });
  expect(hasBegun()).toBe(false);
  await userEvent.click(screen.getByRole('link', { name: 'Not now' }));
  expect(hasBegun()).toBe(true);
  expect(screen.getByTestId('elsewhere')).toHaveTextContent('/library');
});
