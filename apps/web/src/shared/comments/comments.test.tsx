import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Comment } from '../../api/comments';
import { WHOLE } from '../../parts/zoom';
import { aComment, answers, show } from '../../test/page';
import { CommentsPart } from './CommentsPart';
import { PointsOver } from './PointsOver';
import { useTalk } from './useTalk';

const PETRA = { id: 'p', name: 'Petra Wild', hue: 20, role: 'owner', mayExport: true, version: 1 };
const JUNA = { id: 'j', name: 'Juna Berg', hue: 200, role: 'editor', mayExport: true, version: 1 };
let seen: ((entries: { isIntersecting: boolean }[]) => void)[] = [];
beforeEach(() => {
  localStorage.clear();
  seen = [];
  global.IntersectionObserver = class {
    constructor(tell: (entries: never[]) => void) {
      seen.push(tell as never);
    }
    observe = () => undefined;
    disconnect = () => undefined;
  } as never;
});

function Talk({ of }: { of: { takeId?: string; mixId?: string } }) {
  const talk = useTalk(of);
  return (
    <>
      <div data-testid="picture">
        <PointsOver talk={talk} zoom={WHOLE} />
      </div>
      <CommentsPart talk={talk} points />
    </>
  );
}

function talk(comments: Comment[], more: Record<string, unknown> = {}, me: object | null = PETRA, at = '/takes/t') {
  const asked = answers({
    'GET /api/v1/me': { alone: !me, hasOwner: !!me, person: me ?? undefined },
    'GET /api/v1/people': me ? [PETRA, JUNA] : [],
    'GET /api/v1/projects': [],
    'GET /api/v1/mixes': [],
    'GET /api/v1/comments/inbox': { comments: [], unread: 0 },
    'GET /api/v1/comments': comments,
    ...more,
  });
  show(<Talk of={{ takeId: 't' }} />, { at, path: '/takes/:id' });
  const wrote = () => asked.filter((a) => a.method !== 'GET');
  return { asked, wrote };
}
const field = () => screen.findByRole('combobox', { name: 'New comment' });
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('what is said about a take', () => {
  test('shows threads with who said what, and whom it names', async () => {
    talk([
      aComment('a', { text: 'Ask @petra wild about it', point: { x: 0.25, y: 0.5 } }),
      aComment('b', { threadId: 'a', person: 'p' }),
      aComment('c', { person: undefined }),
      aComment('d', { person: 'gone' }),
    ]);
    const all = await screen.findAllByRole('article');
    await waitFor(() => expect(all[0]).toHaveTextContent('Juna Berg'));
    expect(within(all[0]).getByText('@petra wild').tagName).toBe('STRONG');
    expect(all[1]).toHaveTextContent('Petra Wild');
    expect(all[2]).toHaveTextContent('Before the studio was shared');
    expect(all[3]).toHaveTextContent('Somebody who left');
    expect(screen.getByRole('heading')).toHaveTextContent('Comments 3');
  });

  test('of whoever works alone it is their own', async () => {
    talk([aComment('a', { person: undefined })], {}, null);
    expect(await screen.findByText('You')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Change the comment' })).toBeVisible();
  });

  test('what is resolved is folded away; one that is linked to is not', async () => {
    talk([aComment('a', { resolved: true, resolvedBy: 'j' }), aComment('b')]);
    expect(await screen.findByText('Text of b')).toBeVisible();
    expect(screen.queryByText('Text of a')).toBeNull();
    await press('1 resolved');
    expect(screen.getByText('Text of a')).toBeVisible();
    expect(screen.getByText('Resolved by Juna Berg')).toBeVisible();
    await press('Hide the resolved');
    expect(screen.queryByText('Text of a')).toBeNull();
  });

  test('a link to an answer opens its thread', async () => {
    talk([aComment('a', { resolved: true }), aComment('b', { threadId: 'a' })], {}, PETRA, '/takes/t?comment=b');
    expect(await screen.findByText('Text of b')).toBeVisible();
    expect(screen.getByRole('listitem')).toHaveAttribute('aria-current', 'true');
  });

  test('what was deleted stands for its answers, and can be neither resolved nor changed', async () => {
    talk([aComment('a', { deleted: true, text: '' }), aComment('b', { threadId: 'a' })]);
    expect(await screen.findByText('This comment was deleted.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Resolve' })).toBeNull();
    expect(screen.getAllByRole('button', { name: 'Delete the comment' })).toHaveLength(1);
  });

  test('a viewer reads and says nothing', async () => {
    talk([aComment('a')], {}, { ...JUNA, id: 'v', role: 'viewer' });
    expect(await screen.findByText('Text of a')).toBeVisible();
    await waitFor(() => expect(screen.queryByRole('combobox')).toBeNull());
    for (const name of ['Answer', 'Resolve', 'Change the comment', 'Delete the comment'])
      expect(screen.queryByRole('button', { name })).toBeNull();
  });

  test('an editor changes what is theirs and deletes it, an owner deletes anything', async () => {
    talk([aComment('a'), aComment('b', { person: 'p' })], {}, JUNA);
    await screen.findByText('Text of a');
    await waitFor(() => expect(screen.getAllByRole('button', { name: 'Delete the comment' })).toHaveLength(1));
    expect(screen.getAllByRole('button', { name: 'Change the comment' })).toHaveLength(1);
  });
});

describe('saying something', () => {
  test('what was written is sent by Ctrl and Enter, and leaves an empty field', async () => {
    const { wrote } = talk([], { 'POST /api/v1/comments': aComment('new') });
    const text = await field();
    await userEvent.type(text, ' Too dark ');
    expect(localStorage.getItem('urbild-comment-t')).toBe(' Too dark ');
    await userEvent.keyboard('{Control>}{Enter}{/Control}');
    await waitFor(() => expect(text).toHaveValue(''));
    expect(wrote()).toEqual([
      expect.objectContaining({ method: 'POST', body: { takeId: 't', text: 'Too dark', point: undefined } }),
    ]);
    expect(localStorage.getItem('urbild-comment-t')).toBeNull();
  });

  test('what is refused stays in the field, and what was not sent is there again', async () => {
    localStorage.setItem('urbild-comment-t', 'Begun before');
    talk([], { 'POST /api/v1/comments': 507 });
    const text = await field();
    expect(text).toHaveValue('Begun before');
    await press('Comment');
    expect(await screen.findByText('No: 507')).toBeVisible();
    expect(text).toHaveValue('Begun before');
  });

  test('nothing is sent of an empty text', async () => {
    const { wrote } = talk([]);
    await userEvent.type(await field(), '   ');
    expect(screen.getByRole('button', { name: 'Comment' })).toBeDisabled();
    await userEvent.keyboard('{Control>}{Enter}{/Control}');
    expect(wrote()).toEqual([]);
  });

  test('a name that is begun is finished by arrows and Enter, or left by Escape', async () => {
    talk([]);
    const text = await field();
    await waitFor(() => expect(text).toHaveAttribute('placeholder', expect.stringContaining('@')));
    await userEvent.type(text, 'See @');
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['JBJuna Berg', 'PWPetra Wild']);
    expect(screen.getAllByRole('option')[0]).toHaveAttribute('aria-selected', 'true');
    await userEvent.keyboard('{ArrowDown}{ArrowDown}{ArrowUp}{Enter}');
    expect(text).toHaveValue('See @Petra Wild ');
    expect(screen.queryByRole('listbox')).toBeNull();
    await userEvent.type(text, '@ju');
    expect(screen.getByRole('option')).toHaveTextContent('Juna Berg');
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('listbox')).toBeNull();
    await userEvent.type(text, 'n');
    fireEvent.pointerDown(screen.getByRole('option'));
    expect(text).toHaveValue('See @Petra Wild @Juna Berg ');
  });

  test('an answer, a change and a resolution are sent with what they are about', async () => {
    const { wrote } = talk([aComment('a', { person: 'p', version: 7 })], {
      'POST /api/v1/comments/{id}/answers': aComment('x'),
      'PATCH /api/v1/comments/{id}': aComment('a', { version: 8 }),
    });
    await screen.findByText('Text of a');
    await press('Answer');
    await userEvent.type(screen.getByRole('combobox', { name: 'Your answer' }), 'Yes');
    await userEvent.click(screen.getAllByRole('button', { name: 'Answer' }).at(-1)!);
    await waitFor(() => expect(screen.queryByRole('combobox', { name: 'Your answer' })).toBeNull());
    await press('Change the comment');
    const own = screen.getByRole('combobox', { name: 'Your comment' });
    expect(own).toHaveValue('Text of a');
    await userEvent.clear(own);
    await userEvent.type(own, 'Another');
    await press('Save');
    await waitFor(() => expect(screen.queryByRole('combobox', { name: 'Your comment' })).toBeNull());
    await press('Resolve');
    await waitFor(() => expect(wrote()).toHaveLength(3));
    expect(wrote().map((a) => a.body)).toEqual([
      { text: 'Yes' },
      { text: 'Another', version: 7 },
      { resolved: true, version: 7 },
    ]);
  });

  test('an answer that is not wanted after all is cancelled', async () => {
    const { wrote } = talk([aComment('a')]);
    await screen.findByText('Text of a');
    await press('Answer');
    await userEvent.keyboard('So{Escape}');
    expect(screen.queryByRole('combobox', { name: 'Your answer' })).toBeNull();
    expect(wrote()).toEqual([]);
  });

  test('a resolution that is refused is taken back', async () => {
    talk([aComment('a')], { 'PATCH /api/v1/comments/{id}': 409 });
    await screen.findByText('Text of a');
    await press('Resolve');
    expect(await screen.findByText('No: 409')).toBeVisible();
    await waitFor(() => expect(screen.getByRole('button', { name: 'Resolve' })).toBeVisible());
  });

  test('what was deleted can be brought back', async () => {
    const { wrote } = talk([aComment('a')], { 'DELETE /api/v1/comments/{id}': {} });
    const fetched = jest.fn().mockResolvedValue({ ok: true, status: 200, json: () => Promise.resolve({}) });
    global.fetch = fetched as never;
    await screen.findByText('Text of a');
    await press('Delete the comment');
    expect(await screen.findByText('The comment was deleted.')).toBeVisible();
    expect(wrote().map((a) => a.method)).toEqual(['DELETE']);
    expect(screen.getByRole('button', { name: 'Undo' })).toBeVisible();
  });
});

describe('points of a picture', () => {
  const picture = () => within(screen.getByTestId('picture'));

  test('stand where they are, with the numbers of their threads; one shows the other', async () => {
    talk([aComment('a', { point: { x: 0.25, y: 0.5 } }), aComment('b'), aComment('c', { point: { x: 1, y: 0 } })]);
    const mark = await screen.findByRole('button', { name: 'Comment 1: Text of a' });
    expect(mark.parentElement).toHaveStyle({ left: '25%', top: '50%' });
    expect(picture().getAllByRole('button')).toHaveLength(2);
    await userEvent.click(mark);
    expect(screen.getByRole('button', { name: 'Show point 1 on the picture' })).toHaveAttribute('aria-pressed', 'true');
    await press('Show point 2 on the picture');
    expect(mark).toHaveAttribute('aria-pressed', 'false');
    await press('Show point 2 on the picture');
    expect(screen.queryByRole('button', { pressed: true })).toBeNull();
  });

  test('of what is resolved is not shown', async () => {
    talk([aComment('a', { point: { x: 0.25, y: 0.5 }, resolved: true }), aComment('b')]);
    await screen.findByText('Text of b');
    expect(picture().queryByRole('button')).toBeNull();
  });

  test('one is chosen by a click, and sent with what is said of it', async () => {
    const { wrote } = talk([], { 'POST /api/v1/comments': aComment('new') });
    await field();
    await press('About a point');
    const surface = picture().getByRole('button', { name: /^The point of the picture/ });
    jest
      .spyOn(surface, 'getBoundingClientRect')
      .mockReturnValue({ left: 100, top: 50, width: 200, height: 100 } as DOMRect);
    fireEvent.click(surface, { detail: 1, clientX: 150, clientY: 125 });
    expect(picture().queryByRole('button')).toBeNull();
    expect(await field()).toHaveFocus();
    await userEvent.type(await field(), 'Here');
    await press('Comment');
    await waitFor(() => expect(wrote()).toHaveLength(1));
    expect(wrote()[0].body).toEqual({ takeId: 't', text: 'Here', point: { x: 0.25, y: 0.75 } });
    await waitFor(() => expect(screen.getByRole('button', { name: 'About a point' })).toBeVisible());
  });

  test('or by arrows and Enter; Escape leaves it, and a point can be taken back', async () => {
    talk([]);
    await field();
    await press('About a point');
    const surface = () => picture().getByRole('button');
    expect(surface()).toHaveFocus();
    await userEvent.keyboard('{Escape}');
    expect(picture().queryByRole('button')).toBeNull();
    await press('About a point');
    await userEvent.keyboard('{ArrowLeft}{ArrowUp}{Shift>}{ArrowUp}{/Shift}');
    expect(surface()).toHaveAccessibleName(/49 % from the left, 39 % from the top/);
    await userEvent.keyboard(
      '{Shift>}{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}{/Shift}',
    );
    expect(surface()).toHaveAccessibleName(/100 % from the top/);
    fireEvent.click(surface(), { detail: 0 });
    await press('About the whole picture instead');
    expect(screen.getByRole('button', { name: 'About a point' })).toBeVisible();
  });
});

test('what was new is read when it has been in front of one, and stays marked', async () => {
  const inbox = { comments: [{ ...aComment('a'), unread: true, forMe: true, about: 'A mix' }], unread: 1 };
  const { wrote } = talk([aComment('a'), aComment('b')], {
    'GET /api/v1/comments/inbox': inbox,
    'POST /api/v1/comments/read': () => ((inbox.comments[0].unread = false), {}),
  });
  expect(await screen.findByText('new')).toBeVisible();
  expect(wrote()).toEqual([]);
  act(() => seen.forEach((tell) => tell([{ isIntersecting: false }])));
  expect(wrote()).toEqual([]);
  act(() => seen.forEach((tell) => tell([{ isIntersecting: true }])));
  await waitFor(() => expect(wrote().map((a) => a.body)).toEqual([{ ids: ['a'] }]));
  expect(screen.getByText('new')).toBeVisible();
});
