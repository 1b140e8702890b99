import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Mix, Take } from '../../api/client';
import { laidOut } from '../../test/laidOut';
import { drawableCanvases } from '../../test/canvas';
import { anInfluence, answers, aReference, aTake, show, type Asked } from '../../test/page';
import { BenchView } from './BenchView';

const studio = {
  name: 'Tidepost',
  demo: { done: 3, total: 3 },
  queue: [],
  engine: { name: 'urbild', version: '1', gives: ['look', 'palette', 'everything'] },
};
let mixes = 0;
/** A mix with an id of its own: documents live as long as the page, tests share one. */
const aMix = (fields: Partial<Mix> = {}): Mix =>
  ({
    id: `mix${++mixes}`,
    name: 'Tidepost in chalk',
    prompt: 'a mill in the marsh',
    avoid: '',
    settings: { aspect: '3:2', seed: 4, balance: 1 },
    influences: [anInfluence()],
    createdAt: '2026-01-02T00:00:00.000Z',
    version: 1,
    ...fields,
  }) as Mix;

/** Opens the bench with a studio that keeps what is saved. */
function open(mix: Mix | undefined, { takes = [] as Take[], at = '', ...more }: Record<string, unknown> = {}): Asked[] {
  let kept = mix;
  const asked = answers({
    'GET /api/v1/mixes': () => (kept ? [kept] : []),
    'GET /api/v1/mixes/{id}': () => kept,
    'PATCH /api/v1/mixes/{id}': (body: Partial<Mix>) => (kept = { ...kept!, ...body, version: kept!.version + 1 }),
    'GET /api/v1/mixes/{id}/versions': [],
    'GET /api/v1/studio': studio,
    'GET /api/v1/takes': takes,
    'POST /api/v1/takes': (body: { quality: Take['quality']; seed?: number }) =>
      aTake({ id: `new ${body.quality} ${body.seed ?? ''}`, status: 'queued', quality: body.quality }),
    'GET /api/v1/references': [aReference()],
    'GET /api/v1/references/search': { ids: ['r'], aspects: [1.5], total: 1, all: 1, facets: {} },
    'GET /api/v1/looks': [],
    'GET /api/v1/cast': [],
    ...more,
  });
  show(<BenchView />, { at: `/bench${mix ? `/${mix.id}` : ''}${at as string}`, path: '/bench/:mixId?' });
  return asked;
}
beforeEach(drawableCanvases);

const rendered = (asked: Asked[]) => asked.filter((a) => a.method === 'POST' && a.path === '/api/v1/takes');
const saved = (asked: Asked[]) => asked.filter((a) => a.method === 'PATCH').map((a) => a.body as Partial<Mix>);

describe('without a mix', () => {
  test('one is begun, with a number as its name', async () => {
    const asked = open(undefined, { 'POST /api/v1/mixes': aMix({ name: 'Mix 1' }) });
    expect(await screen.findByText('No mix on the bench')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Begin a mix' }));
    await waitFor(() => expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ name: 'Mix 1' }));
  });

  test('while the demo is drawn it says how far, and lets one begin', async () => {
    open(undefined, { 'GET /api/v1/studio': { ...studio, demo: { done: 5, total: 75 } } });
    expect(await screen.findByText('The demo studio is being drawn')).toBeVisible();
    expect(screen.getByText(/^5 of 75 pictures are ready/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Begin a mix' })).toBeEnabled();
  });
});

describe('rendering', () => {
  test('Ctrl and Enter ask for a proof of the mix as it is saved, even from within a field', async () => {
    const mix = aMix();
    const asked = open(mix);
    const name = await screen.findByLabelText('Name of the mix');
    fireEvent.keyDown(name, { key: 'Enter', ctrlKey: true });
    await waitFor(() => expect(rendered(asked)).toHaveLength(1));
    await waitFor(() => expect(rendered(asked)[0].body).toEqual({ mixId: mix.id, quality: 'proof' }));
  });

  test('of several proofs each has the next seed, beyond the largest it begins again', async () => {
    const mix = aMix({ settings: { aspect: '3:2', seed: 0xffffffff, balance: 1 } as Mix['settings'] });
    const asked = open(mix);
    await userEvent.selectOptions(await screen.findByLabelText('How many proofs'), '3');
    await userEvent.click(screen.getByRole('button', { name: 'Render 3 proofs' }));
    await waitFor(() => expect(rendered(asked)).toHaveLength(3));
    await waitFor(() =>
      expect(rendered(asked).map((a) => (a.body as { seed?: number }).seed)).toEqual([undefined, 0, 1]),
    );
  });

  test('what was asked for lies on the table at once; a refusal is told', async () => {
    const asked = open(aMix());
    await userEvent.click(await screen.findByRole('button', { name: 'Render a proof' }));
    expect(await screen.findByTestId('take-state')).toHaveTextContent('queued');
    answers({ 'POST /api/v1/takes': 507 });
    await userEvent.click(screen.getByRole('button', { name: 'Render a proof' }));
    expect(await screen.findByText('No: 507')).toBeVisible();
    expect(rendered(asked)).toHaveLength(1);
  });

  test('a draft follows a change that is saved, unless that is switched off', async () => {
    const asked = open(aMix());
    await userEvent.type(await screen.findByLabelText('Words to avoid'), 'boats{Enter}');
    await waitFor(() => expect(rendered(asked).map((a) => (a.body as { quality: string }).quality)).toEqual(['draft']));
    await userEvent.click(screen.getByLabelText('Live draft'));
    await userEvent.type(screen.getByLabelText('Words to avoid'), ' gulls{Enter}');
    await waitFor(() => expect(saved(asked).at(-1)).toMatchObject({ avoid: 'boats gulls' }));
    expect(rendered(asked)).toHaveLength(1);
  });
});

describe('what lies on the table', () => {
  const takes = [
    aTake({ id: 'draft', quality: 'draft', prompt: 'the draft', pictureUrl: '/draft' }),
    aTake({ id: 'second', prompt: 'the second', pictureUrl: '/second' }),
    aTake({ id: 'first', prompt: 'the first', pictureUrl: '/first' }),
  ];

  test('the newest that is no draft, or the one that the address names', async () => {
    open(aMix(), { takes, 'GET /api/v1/takes': takes });
    expect((await screen.findAllByAltText(/the second/)).length).toBeGreaterThan(0);
    expect(screen.queryByAltText(/the draft/)).toBeNull();
  });

  test('a reload keeps the take that was looked at', async () => {
    open(aMix(), { at: '?take=first', 'GET /api/v1/takes': takes });
    await waitFor(() => expect(screen.getAllByRole('img').some((p) => p.getAttribute('src') === '/first')).toBe(true));
  });
});

describe('a name in the words', () => {
  const nilo = {
    ...{
      id: 'nilo',
      name: 'Nilo',
      species: 'person',
      description: '',
      corrected: [],
      outfits: [],
      height: 1,
      usualWeight: 0.65,
      version: 1,
    },
    items: [{ referenceId: 'r', slot: 'front' }],
  };
  const openNamed = (prompt: string, fields: Partial<Mix> = {}) =>
    open(aMix({ prompt, influences: [], ...fields }), { at: '?drafts=off', 'GET /api/v1/cast': [nilo] });

  test('is a lane of its own at the usual weight, without being kept in the mix', async () => {
    const asked = openNamed('Nilo at the mill');
    expect(await screen.findByLabelText('Weight of Nilo')).toHaveValue('0.65');
    expect(screen.getByLabelText('Nilo gives character; change')).toHaveTextContent('by name');
    await userEvent.type(screen.getByLabelText('Words to avoid'), 'boats{Enter}');
    await waitFor(() => expect(saved(asked).at(-1)).toMatchObject({ avoid: 'boats' }));
    expect(saved(asked).every((a) => !a.influences?.length)).toBe(true);
  });

  test('its weight is kept once it is moved', async () => {
    const asked = openNamed('Nilo at the mill');
    const weight = await screen.findByLabelText('Weight of Nilo');
    await userEvent.clear(weight);
    await userEvent.type(weight, '0.3{Enter}');
    const kept = { id: 'called-nilo', of: 'character', referenceId: 'nilo', weight: 0.3 };
    await waitFor(() => expect(saved(asked).at(-1)?.influences).toMatchObject([kept]));
  });

  test('taken out, it stays out while the name is said; undo brings it back', async () => {
    const asked = openNamed('Nilo at the mill');
    await userEvent.click(await screen.findByLabelText('Nilo gives character; change'));
    await userEvent.click(screen.getByRole('button', { name: 'Remove it from the mix' }));
    await waitFor(() => expect(saved(asked).at(-1)?.settings).toMatchObject({ uncalled: ['nilo'] }));
    expect(screen.queryByLabelText('Weight of Nilo')).toBeNull();
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    expect(await screen.findByLabelText('Weight of Nilo')).toHaveValue('0.65');
  });

  test('of somebody whom the words refuse brings nothing in', async () => {
    openNamed('a mill', { avoid: 'Nilo' });
    await screen.findByLabelText('Words to avoid');
    expect(screen.queryByLabelText('Weight of Nilo')).toBeNull();
  });
});

describe('changing the mix', () => {
  test('an influence comes from the tray, is saved, and undo takes it out again', async () => {
    const asked = open(aMix({ influences: [] }), {
      at: '?drafts=off',
      'GET /api/v1/looks': [{ id: 'ink', name: 'Ink', notes: '', isDefault: false, items: [], version: 1 }],
    });
    const tray = within(await screen.findByRole('complementary', { name: 'Tray' }));
    expect(screen.getByRole('button', { name: 'Find weights' })).toBeDisabled();
    await userEvent.click(tray.getByRole('tab', { name: 'Looks' }));
    (await tray.findByRole('button', { name: /Ink/ })).focus();
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(saved(asked).at(-1)?.influences).toMatchObject([{ referenceId: 'ink', on: true }]));
    const added = saved(asked).at(-1)!.influences;
    expect(screen.getByRole('button', { name: 'Find weights' })).toBeEnabled();
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await waitFor(() => expect(saved(asked).at(-1)?.influences).toEqual([]));
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true, shiftKey: true });
    await waitFor(() => expect(saved(asked).at(-1)?.influences).toEqual(added));
  });

  test('a picture of another window is let go over the table: the mix starts from it, undo takes that back', async () => {
    const asked = open(aMix({ settings: { aspect: '3:2', seed: 4, balance: 1, mask: undefined } }), {
      at: '?drafts=off',
    });
    const table = await screen.findByTestId('start-drop');
    const held = (carried: object) => ({
      dataTransfer: { types: ['application/x-urbild-source+json'], getData: () => JSON.stringify(carried) },
    });
    fireEvent.dragOver(table, held({ of: 'look', id: 'ink' }));
    expect(within(table).getByText('Start from this picture')).toBeVisible();
    fireEvent.drop(table, held({ of: 'look', id: 'ink' }));
    expect(within(table).queryByText('Start from this picture')).toBeNull();
    fireEvent.drop(table, held({ of: 'reference', id: 'r' }));
    const start = { of: 'reference', id: 'r', change: 0.5 };
    await waitFor(() => expect(saved(asked)).toMatchObject([{ settings: { start } }]));
    expect(await screen.findByLabelText('Change of the start picture in percent')).toHaveValue('50');
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await waitFor(() => expect(saved(asked).at(-1)?.settings).not.toHaveProperty('start'));
  });

  test('Shift and Enter in the tray start from a picture, Enter adds it', async () => {
    laidOut(172, 600);
    const asked = open(aMix({ influences: [] }), { at: '?drafts=off' });
    const picture = await screen.findByRole('button', { name: /: add to the course$/ });
    fireEvent.keyDown(picture, { key: 'Enter', shiftKey: true });
    await waitFor(() => expect(saved(asked).at(-1)?.settings).toMatchObject({ start: { of: 'reference', id: 'r' } }));
    expect(saved(asked).at(-1)?.influences ?? []).toEqual([]);
    fireEvent.keyDown(picture, { key: 'Enter' });
    await waitFor(() => expect(saved(asked).at(-1)?.influences).toMatchObject([{ referenceId: 'r' }]));
  });

  test('it is archived, stays on the bench, and is brought back by undo', async () => {
    const asked = open(aMix({ archived: false }), { at: '?drafts=off' });
    await userEvent.click(await screen.findByRole('button', { name: 'Archive' }));
    await waitFor(() => expect(saved(asked).at(-1)).toMatchObject({ archived: true }));
    expect(screen.getByRole('button', { name: 'Bring back' })).toBeVisible();
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await waitFor(() => expect(saved(asked).at(-1)).toMatchObject({ archived: false }));
    expect(screen.getByRole('button', { name: 'Archive' })).toBeVisible();
  });

  test('the name is saved, and stands in the title of the window', async () => {
    const asked = open(aMix(), { at: '?drafts=off' });
    const name = await screen.findByLabelText('Name of the mix');
    await userEvent.clear(name);
    await userEvent.type(name, 'Chalk{Enter}');
    await waitFor(() => expect(saved(asked).at(-1)).toMatchObject({ name: 'Chalk' }));
    await waitFor(() => expect(document.title).toContain('Chalk'));
  });
});

describe('the instruments', () => {
  test.each([
    ['Words', 'The prompt at length'],
    ['Find weights', 'Find the weights'],
    ['Active now', 'What the next proof will use'],
    ['Versions', 'Versions of “Tidepost in chalk”'],
  ])('%s opens over the bench, and Escape closes it', async (button, title) => {
    open(aMix(), {
      at: '?drafts=off',
      'GET /api/v1/takes/in-force/{mixId}': { width: 768, height: 512, engine: 'urbild 1', names: [], influences: [] },
      'GET /api/v1/solves': [],
    });
    await userEvent.click(await screen.findByRole('button', { name: button }));
    const dialog = await screen.findByRole('dialog');
    expect(within(dialog).queryByText(title) ?? within(dialog).queryByLabelText(title)).toBeInTheDocument();
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  test('a version that is taken back is what lies on the bench', async () => {
    const before = { ...aMix(), id: 'v1', number: 1, prompt: 'a lighthouse', createdAt: '2026-01-01T00:00:00.000Z' };
    const asked = open(aMix(), { at: '?drafts=off', 'GET /api/v1/mixes/{id}/versions': [before] });
    await userEvent.click(await screen.findByRole('button', { name: 'Versions' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(saved(asked).at(-1)).toMatchObject({ prompt: 'a lighthouse' }));
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
