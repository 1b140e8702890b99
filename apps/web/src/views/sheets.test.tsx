/** The views of one thing each: a look, a character, a sequence, compared takes, a strip. */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { api } from '../api/client';
import type { Character, Look } from '../api/sheets';
import type { Sequence } from '../api/sequences';
import type { Strip } from '../api/trials';
import { anArrival, anInfluence, answers, aReference, aTake, lookup, show } from '../test/page';
import { CharacterSheet } from './cast/CharacterSheet';
import { NewCharacter } from './cast/NewCharacter';
import { CompareView } from './compare/CompareView';
import { LooksView } from './looks/LooksView';
import { LookSheet } from './looks/LookSheet';
import { SequenceView } from './sequence/SequenceView';
import { StripTable } from './strip/StripTable';

// jsdom has no canvas: what a chart says in words is what is looked at
jest.mock('react-chartjs-2', () => {
  const Chart = ({ 'aria-label': label }: { 'aria-label'?: string }) => <div role="img" aria-label={label} />;
  return { Line: Chart, Scatter: Chart, Bar: Chart };
});

const TWO = [aReference(), aReference({ id: 'q', title: 'Reeds' })];

describe('a look', () => {
  const look = (fields: Partial<Look> = {}): Look =>
    ({
      id: 'l',
      name: 'Ink',
      notes: '',
      isDefault: false,
      items: [
        { referenceId: 'r', weight: 1 },
        { referenceId: 'q', weight: 0.4 },
      ],
      version: 2,
      ...fields,
    }) as Look;
  const reading = {
    coherence: 0.64,
    advice: ['Take Reeds out: it is of another manner.'],
    swatches: [{ colour: '#203040', weight: 1 }],
    stranger: 'q',
    map: [
      { referenceId: 'r', x: 0, y: 0, off: 0.8 },
      { referenceId: 'q', x: 1, y: 1, off: 2.44 },
      { referenceId: 'z', x: 0.2, y: 0, off: 0.9 },
    ],
  };
  function sheet(fields: Partial<Look> = {}) {
    const asked = answers({
      'GET /api/v1/references': TWO,
      'GET /api/v1/looks/{id}/reading': reading,
      'GET /api/v1/takes/made-with/{id}': [],
      'PATCH /api/v1/looks/{id}': look(fields),
    });
    show(<LookSheet look={look(fields)} />);
    /** The items that were sent last. */
    const items = () =>
      waitFor(() => {
        const sent = asked.findLast((a) => a.method === 'PATCH')?.body as { items?: unknown } | undefined;
        expect(sent?.items).toBeDefined();
        return sent!.items;
      });
    return { asked, items };
  }

  test('says how well its pictures go together, and which one does not', async () => {
    sheet();
    expect(await screen.findByText('64 %')).toBeVisible();
    expect(screen.getByText('Take Reeds out: it is of another manner.')).toBeVisible();
    expect(await screen.findByText('A stranger here: 2.4 times as far off')).toBeVisible();
    expect(screen.getByRole('img', { name: 'Map of 3 pictures; Reeds lies apart' })).toBeVisible();
  });

  test('a weight is set by its slider', async () => {
    const { items } = sheet();
    (await screen.findByRole('slider', { name: 'Weight of Reeds' })).focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(await items()).toEqual([
      { referenceId: 'r', weight: 1 },
      { referenceId: 'q', weight: 0.45 },
    ]);
  });

  test('a picture goes to another place by Alt and an arrow, without its weight changing', async () => {
    const { items } = sheet({ id: 'l2' });
    (await screen.findByRole('slider', { name: 'Weight of Reeds' })).focus();
    await userEvent.keyboard('{Alt>}{ArrowLeft}{/Alt}');
    expect(await items()).toEqual([
      { referenceId: 'q', weight: 0.4 },
      { referenceId: 'r', weight: 1 },
    ]);
  });

  test('one is taken out', async () => {
    const { items } = sheet({ id: 'l3' });
    await userEvent.click(await screen.findByRole('button', { name: 'Remove Carved quay' }));
    expect(await items()).toEqual([{ referenceId: 'q', weight: 0.4 }]);
  });

  test('an empty one cannot be weighed', () => {
    sheet({ id: 'l4', items: [] });
    expect(screen.getByRole('button', { name: 'Weigh on the bench' })).toBeDisabled();
  });

  test('where there is none, one is begun', async () => {
    const asked = answers({ 'GET /api/v1/looks': [], 'POST /api/v1/looks': look() });
    show(<LooksView />, { at: '/looks', path: '/looks' });
    await userEvent.click(await screen.findByRole('button', { name: 'Make a look' }));
    await waitFor(() => expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ name: 'New look' }));
    expect(await screen.findByTestId('elsewhere')).toHaveTextContent('/looks/l');
  });

  test.each([
    [30, 'are still being drawn: 30 of 75 steps are done'],
    [75, ''],
  ])('where there is none and %s of 75 steps of the demo are done, that is said', async (done, says) => {
    answers({ 'GET /api/v1/looks': [], 'GET /api/v1/studio': { demo: { done, total: 75 } } });
    show(<LooksView />, { at: '/looks', path: '/looks' });
    await screen.findByRole('button', { name: 'Make a look' });
    if (says) expect(await screen.findByText(/The looks of the demo studio/)).toHaveTextContent(says);
    else expect(screen.queryByText(/demo studio/)).toBeNull();
  });
});

describe('a character', () => {
  const character = (fields: Partial<Character> = {}): Character =>
    ({
      id: 'c',
      name: 'Wiebke',
      description: '',
      usualWeight: 1,
      items: [
        { referenceId: 'r', slot: 'side' },
        { referenceId: 'q', slot: 'front' },
      ],
      corrected: [],
      outfits: [],
      height: 1,
      species: 'person',
      version: 1,
      ...fields,
    }) as Character;
  function sheet(fields: Partial<Character> = {}, seen = 2) {
    const pictures = ['r', 'q'].slice(0, seen).map((referenceId) => ({ referenceId, traits: [] }));
    const asked = answers({
      'GET /api/v1/references': TWO,
      'GET /api/v1/cast/{id}/reading': { agreement: 0.71, advice: [], waiting: 2, traits: [], odd: 'r', pictures },
      'GET /api/v1/cast': [character(fields)],
      'GET /api/v1/cast/{id}/tally': { takes: 0, traits: [] },
      'GET /api/v1/takes/made-with/{id}': [],
      'PATCH /api/v1/cast/{id}': character(fields),
    });
    show(<CharacterSheet character={character(fields)} />);
    return asked;
  }
  const sent = (asked: ReturnType<typeof answers>, field: string) =>
    waitFor(() => {
      const body = asked.findLast((a) => a.method === 'PATCH')?.body as Record<string, unknown> | undefined;
      expect(body?.[field]).toBeDefined();
      return body![field];
    });

  test('pictures stand in the order of what they show; the odd one is told', async () => {
    sheet();
    await screen.findByLabelText('What Reeds shows');
    expect(screen.getAllByRole('combobox').map((s) => s.getAttribute('aria-label'))).toEqual([
      'What Reeds shows',
      'What Carved quay shows',
    ]);
    expect(await screen.findByText('does not agree with the others')).toBeVisible();
    expect(screen.getByText('2 pictures are still being looked at.')).toBeVisible();
    expect(screen.getByText('71 %')).toBeVisible();
  });

  test('one picture agrees with nothing: no number is told', async () => {
    sheet({ id: 'c1' }, 1);
    expect(await screen.findByText('With a second picture it can be told whether they agree.')).toBeVisible();
    expect(screen.queryByText('71 %')).not.toBeInTheDocument();
  });

  test('what a picture shows is set, and it is taken off the sheet', async () => {
    const asked = sheet({ id: 'c2' });
    await userEvent.selectOptions(await screen.findByLabelText('What Reeds shows'), 'outfit');
    expect(await sent(asked, 'items')).toContainEqual({ referenceId: 'q', slot: 'outfit' });
  });

  test('its usual weight is set', async () => {
    const asked = sheet({ id: 'c3' });
    screen.getByRole('slider', { name: 'Usual weight' }).focus();
    await userEvent.keyboard('{ArrowLeft}');
    expect(await sent(asked, 'usualWeight')).toBe(0.95);
  });

  test('is made of nothing, or of one of four that are painted', async () => {
    const candidates = [
      { hash: 'h1', pictureUrl: '/1' },
      { hash: 'h2', pictureUrl: '/2' },
    ];
    const asked = answers({
      'POST /api/v1/cast/candidates': candidates,
      'POST /api/v1/cast/pick': character(),
      'POST /api/v1/cast': character(),
    });
    const onMade = jest.fn();
    show(<NewCharacter open onClose={() => {}} onMade={onMade} />);
    const empty = screen.getByRole('button', { name: 'Begin with an empty sheet' });
    expect(empty).toBeDisabled();
    await userEvent.type(screen.getByLabelText(/^Description/), 'a tall woman');
    await userEvent.click(screen.getByRole('button', { name: 'Paint four from the description' }));
    expect(await screen.findAllByText('Give a name first')).toHaveLength(2);
    await userEvent.type(screen.getByLabelText(/^Name/), ' Wiebke ');
    await userEvent.click(screen.getByAltText('Candidate 2: a tall woman'));
    await waitFor(() =>
      expect(asked.findLast((a) => a.path.endsWith('/pick'))?.body).toEqual({
        hash: 'h2',
        name: ' Wiebke ',
        description: 'a tall woman',
      }),
    );
    await waitFor(() => expect(onMade).toHaveBeenCalledWith(character()));
  });
});

describe('a sequence', () => {
  const frame = (k: number, status = 'done') => ({
    takeId: `f${k}`,
    status,
    pictureUrl: status === 'done' ? `/f${k}` : undefined,
  });
  const sequence = (fields: Partial<Sequence> = {}): Sequence =>
    ({
      id: 'q',
      name: 'Along the pier',
      seriesId: 'e',
      shotId: 's',
      prompt: 'the pier',
      width: 300,
      height: 200,
      move: {},
      free: [frame(0), frame(1), frame(2, 'queued')],
      held: [],
      ...fields,
    }) as unknown as Sequence;
  const open = async (fields: Partial<Sequence> = {}) => {
    const asked = answers({
      'GET /api/v1/sequences/{id}': sequence(fields),
      'POST /api/v1/sequences/{id}/hold': sequence({ ...fields, hold: 1 } as never),
      'DELETE /api/v1/sequences/{id}': {},
      'GET /api/v1/sequences/{id}/steadiness': {
        free: { strokes: 0.4, identity: 0.2 },
        held: { strokes: 0.1, identity: 0.1 },
        times: { strokes: 4, identity: 2 },
      },
    });
    show(<SequenceView />, { at: '/sequences/q', path: '/sequences/:sequenceId' });
    await screen.findByRole('heading', { level: 1, name: 'Along the pier' });
    return asked;
  };

  test('its frames are gone through by keys; one that waits says so', async () => {
    await open();
    expect(screen.getByAltText('Frame 1 of 3: the pier')).toHaveAttribute('src', '/f0');
    expect(screen.getByRole('status')).toHaveTextContent('2 of 3 frames are rendered.');
    fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    expect(screen.getByText('This frame is queued.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Hold all by this frame' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Frame 2' }));
    expect(screen.getByRole('slider', { name: 'Frame' })).toHaveAttribute('aria-valuetext', 'frame 2 of 3');
  });

  test('all are held by the one that is shown', async () => {
    const asked = await open();
    fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    fireEvent.keyDown(document.body, { key: 'b' });
    await waitFor(() => expect(asked.at(-1)).toMatchObject({ method: 'POST', body: { frame: 1 } }));
  });

  test('how much steadier they are is told, and each by itself can be looked at', async () => {
    await open({ held: [frame(3), frame(4), frame(5)], hold: 1 } as never);
    const list = within(await screen.findByRole('region', { name: 'Change from frame to frame' }));
    expect(list.getByText('4.0 ×')).toBeVisible();
    expect(screen.getByAltText('Frame 1 of 3: the pier')).toHaveAttribute('src', '/f3');
    await userEvent.click(screen.getByRole('radio', { name: 'each by itself' }));
    expect(screen.getByAltText('Frame 1 of 3: the pier')).toHaveAttribute('src', '/f0');
  });

  test('is handed over at the rate that is chosen, and put away', async () => {
    const asked = await open();
    await userEvent.selectOptions(screen.getByLabelText('Frames a second'), '24');
    expect(screen.getByRole('link', { name: 'Moving PNG' })).toHaveAttribute(
      'href',
      '/api/v1/sequences/q/export/apng?rate=24',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Put the sequence away' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'DELETE')).toBe(true));
    expect(await screen.findByTestId('elsewhere')).toHaveTextContent('/series/e');
  });

  test('one that is gone says so', async () => {
    answers({});
    show(<SequenceView />, { at: '/sequences/x', path: '/sequences/:sequenceId' });
    expect(await screen.findByRole('heading', { level: 1, name: 'No such sequence' })).toBeVisible();
  });
});

describe('takes against each other', () => {
  test('say what the marked one differs in', async () => {
    const [a, b] = [
      aTake({ id: 'a', mixId: 'm' } as never),
      aTake({ id: 'b', seed: 9, settings: { aspect: '3:2', seed: 9, balance: 1 } }),
    ];
    jest.spyOn(api, 'GET').mockImplementation(((
      path: string,
      { params }: { params?: { path?: { id?: string } } } = {},
    ) =>
      Promise.resolve({
        data: path === '/api/v1/takes/{id}' ? (params?.path?.id === 'a' ? a : b) : [],
        response: { ok: true, status: 200 },
      })) as never);
    show(<CompareView />, { at: '/compare?takes=a,b' });
    const differences = within(await screen.findByRole('complementary', { name: 'Differences' }));
    expect(differences.getByText(/seed 4 → 9/)).toBeVisible();
    expect(document.title).toBe('Compare · Urbild');
  });

  test('nothing to compare says how something is chosen', () => {
    answers({});
    show(<CompareView />, { at: '/compare' });
    expect(screen.getByRole('heading', { level: 1, name: 'Nothing to compare' })).toBeVisible();
  });
});

describe('a strip', () => {
  const cells = [0.2, 0.7, 0.5].map((overall, k) =>
    aTake({
      id: `k${k}`,
      quality: 'draft',
      thumbnailUrl: `/k${k}`,
      pictureUrl: `/K${k}`,
      arrivals: [anArrival({ overall })],
      wordsKept: [0.9, 0.8, 0.3][k],
    }),
  );
  const strip = {
    id: 'p',
    mixId: 'm',
    name: 'Weight of Carved quay',
    axes: [{ setting: 'weight', influence: 'a', values: [0, 0.5, 1] }],
    state: { prompt: '', avoid: '', settings: { aspect: '3:2', seed: 1, balance: 1 }, influences: [anInfluence()] },
    cells,
  } as unknown as Strip;
  const table = () => {
    const asked = answers({ 'POST /api/v1/strips/{id}/proof': strip });
    show(<StripTable strip={strip} lookup={lookup} name={() => 'Carved quay'} />, { at: '/bench/m/strips/p' });
    return asked;
  };
  const chosen = () => screen.getAllByTestId('cell').findIndex((c) => c.getAttribute('aria-current') === 'true');

  test('begins at the cell where references and words are best together', () => {
    table();
    expect(chosen()).toBe(1);
    expect(screen.getByText('Carved quay 70 % · words 80 %')).toBeVisible();
    // the foot says which one is best, and by how much
    expect(screen.getByText(/^[\d.]+.*: \d+ %$/)).toBeVisible();
  });

  test('is gone through by arrows, and ends at its ends', () => {
    table();
    fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    expect(chosen()).toBe(2);
    fireEvent.keyDown(document.body, { key: 'ArrowUp' });
    expect(chosen()).toBe(2);
  });

  test('another best can be asked for', async () => {
    table();
    await userEvent.selectOptions(screen.getByLabelText('marked as best:'), 'where most words are kept');
    expect(screen.getAllByTestId('cell')[0]).toHaveAccessibleName(/best$/);
  });

  test('the curves are told in words', () => {
    table();
    const curves = screen.getByRole('figure', { name: 'Arrival over the strip' });
    expect(within(curves).getByRole('img').getAttribute('aria-label')).toMatch(/^Carved quay: .*70 %.*; words kept: /);
  });

  test('one cell becomes a proof', async () => {
    const asked = table();
    await userEvent.click(screen.getByRole('button', { name: 'Proof of it' }));
    await waitFor(() => expect(asked.at(-1)?.body).toEqual({ cell: 1 }));
  });
});
