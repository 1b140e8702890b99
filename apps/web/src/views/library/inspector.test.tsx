import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, aReference, aTake, show, type Asked } from '../../test/page';
import { About } from './About';
import { Inspector } from './Inspector';
import { Versions } from './Versions';
import { KeepersView } from './KeepersView';
import { KindChoice, ManyTags, Marks, RightsForm } from './SharedFields';

const CHANGE = 'POST /api/v1/references/change';
/** What the last change of many asked for. */
const changed = (asked: readonly Asked[]) => asked.filter((a) => `${a.method} ${a.path}` === CHANGE).at(-1)?.body;

describe('what is set for one picture or for many', () => {
  const two = [aReference(), aReference({ id: 's', tags: ['harbour', 'dusk'], rating: 3 })];
  let asked: Asked[];
  beforeEach(() => {
    asked = answers({ [CHANGE]: { before: [] } });
  });
  const ids = ['r', 's'];

  test('the kind is chosen where all have it', async () => {
    const { rerender } = show(<KindChoice ids={ids} references={two} />);
    expect(screen.getByRole('button', { name: 'Style', pressed: true })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Face' }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids, kind: 'face' }));
    rerender(<KindChoice ids={ids} references={[two[0], aReference({ kind: 'image' })]} />);
    expect(screen.queryByRole('button', { pressed: true })).toBeNull();
  });

  test('a rating is set, taken back by the same digit, and open where they differ', async () => {
    const { rerender } = show(<Marks ids={['s']} references={[two[1]]} />);
    await userEvent.click(screen.getByRole('button', { name: '5 of 5' }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids: ['s'], rating: 5 }));
    await userEvent.click(screen.getByRole('button', { name: '3 of 5', pressed: true }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids: ['s'], rating: 0 }));
    rerender(<Marks ids={ids} references={two} />);
    expect(screen.queryByRole('button', { name: /of 5/, pressed: true })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Favourite' }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids, favourite: true }));
  });

  test('a tag that all have is taken off all, another is put on all, a new one too', async () => {
    show(<ManyTags ids={ids} references={two} />);
    await userEvent.click(screen.getByRole('button', { name: 'harbour' }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids, removeTags: ['harbour'] }));
    await userEvent.click(screen.getByRole('button', { name: 'dusk' }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids, addTags: ['dusk'] }));
    await userEvent.type(screen.getByLabelText('New tag for all of them'), '  {Enter}boats{Enter}');
    await waitFor(() => expect(changed(asked)).toEqual({ ids, addTags: ['boats'] }));
    expect(screen.getByLabelText('New tag for all of them')).toHaveValue('');
  });

  test('rights say what may be done; a licence has an end, what is empty is left out', async () => {
    const rights = { kind: 'licensed' as const, credit: 'Mill & Sons', until: '2027-01-01' };
    show(<RightsForm ids={['r']} references={[aReference({ rights })]} />);
    expect(screen.getByLabelText('until')).toHaveValue('2027-01-01');
    const credit = screen.getByLabelText('credit');
    await userEvent.clear(credit);
    await userEvent.tab();
    await waitFor(() =>
      expect(changed(asked)).toEqual({ ids: ['r'], rights: { kind: 'licensed', until: '2027-01-01' } }),
    );
    await userEvent.selectOptions(screen.getByLabelText('What may be done with it'), 'not cleared');
    await waitFor(() =>
      expect(changed(asked)).toMatchObject({ rights: { kind: 'not cleared', credit: 'Mill & Sons' } }),
    );
  });

  test('different rights are told as such, and what is set begins from nothing', async () => {
    show(<RightsForm ids={ids} references={[two[0], aReference({ rights: { kind: 'licensed' } })]} />);
    expect(screen.getByLabelText('What may be done with it')).toHaveDisplayValue('different ones');
    expect(screen.queryByLabelText('until')).toBeNull();
    await userEvent.type(screen.getByLabelText('source'), 'the archive{Enter}');
    await waitFor(() =>
      expect(changed(asked)).toEqual({ ids, rights: { kind: 'not cleared', source: 'the archive' } }),
    );
  });
});

describe('about a picture', () => {
  const on = { like: jest.fn(), colour: jest.fn() };
  function about(fields: Parameters<typeof aReference>[0] = {}, asked: Record<string, unknown> = {}) {
    const made = answers({
      'GET /api/v1/takes/made-with/{id}': [aTake({ thumbnailUrl: '/made' })],
      'GET /api/v1/references/{id}/versions': [],
      'PATCH /api/v1/references/{id}': aReference(fields),
      ...asked,
    });
    show(<About reference={aReference(fields)} onLike={on.like} onColour={on.colour} />);
    return made;
  }

  test('says its size, kind of file and uses', async () => {
    about({ usedIn: 2, kind: 'face', view: 'profile' });
    expect(screen.getByText('1200 × 800 PNG, profile')).toBeVisible();
    expect(screen.getByText(/Used in 2 mixes · came 2 January/)).toBeVisible();
    expect(await screen.findByAltText('a mill in the marsh')).toHaveAttribute('src', '/made');
  });

  test('finds its like by content, by the way it is made, by a colour of it', async () => {
    about();
    await userEvent.click(screen.getByRole('button', { name: 'like this' }));
    await userEvent.click(screen.getByRole('button', { name: 'made like this' }));
    expect(on.like.mock.calls).toEqual([
      ['r', 'content'],
      ['r', 'style'],
    ]);
    await userEvent.click(screen.getByRole('button', { name: /#c0a060, which is 30 percent/ }));
    expect(on.colour).toHaveBeenCalledWith('#c0a060');
  });

  test('its tags are put on and taken off, and saved', async () => {
    const asked = about();
    await userEvent.type(screen.getByLabelText('New tag'), 'boats{Enter}');
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toMatchObject({ tags: ['harbour', 'boats'] }),
    );
  });

  test('a sentence about it begins a mix', async () => {
    const asked = about({}, { 'POST /api/v1/mixes': { id: 'm' } });
    await userEvent.click(screen.getByRole('button', { name: 'a quay at noon' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ name: 'Carved quay', prompt: 'a quay at noon' }),
    );
  });

  test('what the file says of itself is shown where it says something', () => {
    about({ metadata: { creator: 'Somebody', rights: 'all kept' } as never });
    const said = screen.getByRole('heading', { name: 'What the file says of itself' }).parentElement!;
    expect(
      within(said)
        .getAllByRole('term')
        .map((t) => t.textContent),
    ).toEqual(['by', 'rights']);
  });

  test('an earlier version is gone back to, on the version that is there', async () => {
    const versions = [
      { number: 2, why: 'redrawn', current: true, thumbnailUrl: '/2' },
      { number: 1, why: 'came in', current: false, thumbnailUrl: '/1' },
    ];
    const asked = about(
      {},
      {
        'GET /api/v1/references/{id}/versions': versions,
        'POST /api/v1/references/{id}/versions/{number}': aReference(),
      },
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Go back to it' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.params).toEqual({
        path: { id: 'r', number: 1 },
        query: { version: 3 },
      }),
    );
  });
});

describe('the file', () => {
  const file = () => new File(['png'], 'new.png', { type: 'image/png' });
  const pick = async (
    answer: object | (() => object),
    r = aReference({ id: 'filed', version: 4, title: 'Old mill' }),
  ) => {
    const asked = answers({
      'GET /api/v1/references/{id}/versions': [],
      'PUT /api/v1/references/{id}/file': answer,
    });
    show(<Versions reference={r} />);
    expect(screen.getByRole('button', { name: 'Replace the file' })).toBeEnabled();
    await userEvent.upload(screen.getByLabelText('A new file for Old mill'), file());
    return asked;
  };
  test('is replaced by another one, based on what is seen', async () => {
    const asked = await pick(aReference({ id: 'filed', version: 5 }));
    expect(await screen.findByText('Old mill has a new file.')).toBeVisible();
    const put = asked.find((a) => a.method === 'PUT');
    expect(put?.params).toEqual({ path: { id: 'filed' }, query: { version: 4 } });
    expect((put?.body as unknown as FormData).get('file')).toMatchObject({ name: 'new.png' });
  });
  test('that is there already is told as such', async () => {
    await pick(aReference({ id: 'filed', version: 4 }));
    expect(await screen.findByText('Old mill is this file already.')).toBeVisible();
  });
  test('that cannot be read is told with the reason, and another one can be tried', async () => {
    await pick(() => 422);
    expect(await screen.findByText('No: 422')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Replace the file' })).toBeEnabled();
  });
});

describe('the inspector', () => {
  const on = { like: jest.fn(), colour: jest.fn(), large: jest.fn() };
  const inspect = (references: ReturnType<typeof aReference>[], ids = references.map((r) => r.id)) => {
    const asked = answers({ 'GET /api/v1/takes/made-with/{id}': [], [CHANGE]: { before: [] } });
    show(<Inspector ids={ids} references={references} onLike={on.like} onColour={on.colour} onLarge={on.large} />);
    return asked;
  };
  test('a few pictures can be compared large, many cannot', async () => {
    const many = Array.from({ length: 10 }, (_, k) => aReference({ id: `many-${k}` }));
    inspect(many.slice(0, 2));
    await userEvent.click(screen.getByRole('button', { name: 'Compare them large' }));
    expect(on.large).toHaveBeenCalledWith('many-1');
    cleanup();
    inspect(many);
    expect(screen.queryByRole('button', { name: 'Compare them large' })).toBeNull();
  });
  test('without a selection it says what can be chosen', () => {
    inspect([]);
    expect(screen.getByRole('complementary', { name: 'Selection' })).toHaveTextContent('Choose a picture');
  });
  test('one picture has four sides, and the number of its faults', async () => {
    inspect([aReference({ checks: [{ id: 'flat', severity: 'note', reason: 'It is flat.' }] as never })]);
    expect(screen.getAllByRole('tab').map((t) => t.textContent)).toEqual(['About', 'Focus', 'Engine sees', 'Checks 1']);
    await userEvent.click(screen.getByRole('tab', { name: 'Checks 1' }));
    expect(screen.getByText('It is flat.')).toBeVisible();
  });
  test('several are set together, however many are loaded', () => {
    inspect([aReference(), aReference({ id: 's', title: 'Marsh' })], ['r', 's', 't']);
    expect(screen.getByRole('heading', { name: '3 pictures' })).toBeVisible();
    expect(screen.getByAltText('Marsh')).toBeVisible();
  });
  test('is put away, and brought back from there', async () => {
    const asked = inspect([aReference()]);
    await userEvent.click(screen.getByRole('button', { name: /Archive/ }));
    await waitFor(() => expect(changed(asked)).toEqual({ ids: ['r'], away: true }));
  });
});

describe('what worked', () => {
  test('where nothing is kept it says how something comes there', async () => {
    answers({ 'GET /api/v1/takes/keepers': [], 'GET /api/v1/looks': [], 'GET /api/v1/cast': [] });
    show(<KeepersView />);
    expect(await screen.findByRole('heading', { level: 1, name: 'Nothing kept yet' })).toBeVisible();
    expect(screen.getByRole('link', { name: 'To the bench' })).toHaveAttribute('href', '/bench');
  });
  test('each keeper goes on as a mix of its own, or becomes a reference', async () => {
    const asked = answers({
      'GET /api/v1/takes/keepers': [aTake({ thumbnailUrl: '/k' })],
      'GET /api/v1/looks': [],
      'GET /api/v1/cast': [],
      'GET /api/v1/references': [aReference()],
      'POST /api/v1/takes/{id}/mix': { id: 'm' },
      'POST /api/v1/imports/from-take': {},
    });
    show(<KeepersView />);
    await userEvent.click(await screen.findByRole('button', { name: 'Make it a reference' }));
    await waitFor(() => expect(asked.find((a) => a.path.endsWith('from-take'))?.body).toEqual({ takeId: 't' }));
    expect(await screen.findByText('Carved quay')).toHaveTextContent('Carved quay 80 %');
    await userEvent.click(screen.getByRole('button', { name: 'Go on from it' }));
    await waitFor(() => expect(asked.find((a) => a.path.endsWith('/mix'))?.params).toEqual({ path: { id: 't' } }));
  });
});
