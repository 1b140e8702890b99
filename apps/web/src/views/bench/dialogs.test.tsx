import { screen, within, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { anInfluence, answers, aTake, lookup, show } from '../../test/page';
import { InForceDialog } from './InForceDialog';
import { KeptPhrases } from './KeptPhrases';
import { VersionsDialog } from './VersionsDialog';
import { WordsDialog } from './WordsDialog';
import type { Edited } from './useBenchMix';

const mix = (fields: Partial<Edited> = {}): Edited => ({
  name: 'Harbour',
  archived: false,
  projectId: 'first',
  prompt: 'a mill in the marsh',
  avoid: '',
  settings: { aspect: '3:2', seed: 4, balance: 1 },
  influences: [anInfluence(), anInfluence({ id: 'b', referenceId: 'gone', weight: 0 })],
  ...fields,
});

describe('the words at length', () => {
  const on = { change: jest.fn(), weigh: jest.fn(), save: jest.fn(() => Promise.resolve()), close: jest.fn() };
  beforeEach(() => Object.values(on).forEach((f) => f.mockClear()));
  function words(prompt: string, asked: Record<string, unknown> = {}, takes = [aTake()]) {
    const made = answers({ 'GET /api/v1/shelf': [], ...asked });
    show(
      <WordsDialog
        mixId="m"
        prompt={prompt}
        avoid=""
        takes={takes}
        emphases={undefined}
        onChange={on.change}
        onWeigh={on.weigh}
        save={on.save}
        onClose={on.close}
      />,
    );
    return made;
  }

  test('a word that is not drawn has near ones beside it, and gives way to the one that is chosen', async () => {
    words('Tove on the quay with a hron');
    const unknown = screen.getByRole('list', { name: 'Words that are not drawn' });
    expect(unknown).toHaveTextContent('“hron” is not drawn.');
    await userEvent.click(within(unknown).getByRole('button', { name: 'heron' }));
    expect(on.change).toHaveBeenLastCalledWith('Tove on the quay with a heron');
    expect(screen.getByLabelText('The prompt at length')).toHaveValue('Tove on the quay with a heron');
    expect(screen.queryByRole('list', { name: 'Words that are not drawn' })).toBeNull();
  });

  test('a word of which less is drawn than it says is told with what is drawn instead, and has nothing to choose', () => {
    words('a queen in the kitchen');
    const list = screen.getByRole('list', { name: 'Words that are not drawn' });
    expect(list).toHaveTextContent('“queen” is not drawn. Drawn as a woman, not more.');
    expect(within(list).queryByRole('button')).not.toBeInTheDocument();
  });

  test('what is typed becomes the words when the field is left', async () => {
    words('a mill');
    await userEvent.type(screen.getByLabelText('The prompt at length'), ' at dusk');
    expect(on.change).not.toHaveBeenCalled();
    await userEvent.tab();
    expect(on.change).toHaveBeenCalledWith('a mill at dusk');
  });

  test('richer words can be used, or drawn beside the plain ones after everything is saved', async () => {
    const made = words('a mill', { 'POST /api/v1/strips': { id: 's', takes: [] } });
    await userEvent.click(screen.getByRole('button', { name: 'Use the richer words' }));
    const richer = on.change.mock.calls[0][0] as string;
    expect(richer).toMatch(/^a mill, .+/);
    await userEvent.clear(screen.getByLabelText('The prompt at length'));
    await userEvent.type(screen.getByLabelText('The prompt at length'), 'a mill');
    await userEvent.click(screen.getByRole('button', { name: 'Draw both and compare' }));
    expect(on.save).toHaveBeenCalledTimes(1);
    expect(made.find((a) => a.method === 'POST')?.body).toMatchObject({
      mixId: 'm',
      quality: 'draft',
      axes: [{ setting: 'words', values: ['a mill', richer] }],
    });
  });

  test('what was said before is said again by one click; the present words are not offered', async () => {
    words('a mill', {}, [aTake({ prompt: 'a mill' }), aTake({ id: 'u', prompt: 'a boat at night' })]);
    const before = screen.getByRole('heading', { name: 'Said before' }).parentElement!;
    expect(within(before).getAllByRole('listitem')).toHaveLength(1);
    await userEvent.click(within(before).getByRole('button', { name: 'Say this' }));
    expect(on.change).toHaveBeenLastCalledWith('a boat at night');
  });

  test('each word that counts has a weight', async () => {
    words('a mill at dusk');
    const dusk = screen.getByRole('slider', { name: 'How much “dusk” counts' });
    expect(screen.getAllByText('as said').length).toBeGreaterThan(0);
    dusk.focus();
    await userEvent.keyboard('{ArrowLeft}');
    expect(on.weigh).toHaveBeenLastCalledWith([{ words: 'dusk', weight: 0.9 }]);
  });
});

describe('kept phrases', () => {
  const SHELF = [
    { id: 'p', kind: 'phrase', name: 'soft evening light', text: 'soft evening light' },
    { id: 'q', kind: 'search', name: 'Birds', text: 'bird' },
  ];
  test('are said and forgotten; other things of the shelf are not among them', async () => {
    const asked = answers({ 'GET /api/v1/shelf': SHELF, 'DELETE /api/v1/shelf/{id}': {} });
    const onSay = jest.fn();
    show(<KeptPhrases phrase={() => ''} onSay={onSay} />);
    await userEvent.click(await screen.findByRole('button', { name: 'soft evening light' }));
    expect(onSay).toHaveBeenCalledWith('soft evening light');
    expect(screen.queryByText('Birds')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Forget the phrase soft evening light' }));
    await waitFor(() => expect(asked.at(-2)).toMatchObject({ method: 'DELETE', params: { path: { id: 'p' } } }));
  });
  test('what is kept already, and nothing, is not kept again', async () => {
    const asked = answers({ 'GET /api/v1/shelf': SHELF, 'POST /api/v1/shelf': {} });
    let phrase = 'soft evening light';
    show(<KeptPhrases phrase={() => phrase} onSay={() => {}} />);
    await screen.findByRole('button', { name: 'soft evening light' });
    const keep = screen.getByRole('button', { name: 'Keep the marked words' });
    await userEvent.click(keep);
    phrase = '';
    await userEvent.click(keep);
    expect(asked.filter((a) => a.method === 'POST')).toEqual([]);
    phrase = 'a red roof';
    await userEvent.click(keep);
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ kind: 'phrase', name: phrase, text: phrase }),
    );
  });
});

describe('what is in force', () => {
  const FORCE = {
    width: 768,
    height: 512,
    engine: 'urbild 0.6.0',
    usually: 4200,
    ahead: 2,
    names: ['Ilse'],
    influences: [
      {
        id: 'a',
        acts: true,
        pictures: [
          { referenceId: 'r', title: 'Carved quay', pictureUrl: '/p', weight: 1, fileVersion: 2, prepared: true },
        ],
      },
      { id: 'b', acts: false, why: 'its weight is 0', pictures: [] },
    ],
  };
  const inForce = (fields: Partial<Edited> = {}, force: object = FORCE) => {
    answers({ 'GET /api/v1/takes/in-force/{mixId}': force });
    show(<InForceDialog mixId="m" mix={mix(fields)} lookup={lookup} onClose={() => {}} />);
  };
  test('is told in one line, with size, engine, time and place in the line', async () => {
    inForce({ avoid: 'boats' });
    const line = await screen.findByTestId('in-force');
    for (const part of ['768 × 512 px', 'seed 4', 'engine urbild 0.6.0', 'usually 4.2 s', '2 queued before it'])
      expect(line).toHaveTextContent(part);
    expect(screen.getByText(/without boats/)).toBeVisible();
    expect(screen.getByText(/the cast knows Ilse/)).toBeVisible();
  });
  test('what does nothing says why; pictures say which version of their file acts', async () => {
    inForce();
    expect(await screen.findByText('does nothing: its weight is 0')).toBeVisible();
    expect(screen.getByAltText('Carved quay').closest('li')).toHaveTextContent('100 %, version 2, prepared');
  });
  test('a start picture is shown with how far it changes', async () => {
    const start = { of: 'take' as const, id: 't', change: 0.4 };
    inForce({ settings: { aspect: '3:2', seed: 4, balance: 1, start } }, { ...FORCE, startUrl: '/s', ahead: 0 });
    expect(await screen.findByAltText('Start picture')).toHaveAttribute('src', '/s');
    expect(screen.getByText(/starts from this take, changed 40 %/)).toBeVisible();
    expect(screen.getByTestId('in-force')).toHaveTextContent('nothing queued before it');
  });
});

describe('versions', () => {
  const version = (number: number, fields: Partial<Edited> = {}) => ({
    id: `v${number}`,
    number,
    createdAt: '2026-01-02T10:00:00.000Z',
    ...mix(fields),
  });
  const versions = (all: unknown[]) => {
    answers({ 'GET /api/v1/mixes/{id}/versions': all, 'GET /api/v1/looks': [], 'GET /api/v1/cast': [] });
    const onTake = jest.fn();
    show(<VersionsDialog mixId="m" mix={mix()} onTake={onTake} onClose={() => {}} />);
    return onTake;
  };
  test('each says what differs, and is taken back by one click; the present one cannot be', async () => {
    const old = version(1, { prompt: 'a boat' });
    const onTake = versions([version(2), old]);
    const [now, before] = await screen.findAllByRole('button', { name: 'Take it back' });
    expect(now).toBeDisabled();
    expect(screen.getByText('the bench as it is now')).toBeVisible();
    expect(screen.getByText('since then: words: “a boat” → “a mill in the marsh”')).toBeVisible();
    await userEvent.click(before);
    expect(onTake).toHaveBeenCalledWith(old);
  });
  test('where there is none it says when one is kept', async () => {
    versions([]);
    expect(await screen.findByText(/A version is kept whenever a proof is asked for/)).toBeVisible();
  });
});
