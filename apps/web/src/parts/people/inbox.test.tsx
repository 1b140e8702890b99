import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { InboxComment } from '../../api/comments';
import { aComment, answers, show } from '../../test/page';
import { Inbox, placeOf } from './Inbox';

const incoming = (id: string, fields: Partial<InboxComment> = {}): InboxComment => ({
  ...{ ...aComment(id), about: 'Harbour book, One', forMe: true, unread: true },
  ...fields,
});

function inbox(comments: InboxComment[], unread: number, person: object | null = { id: 'p', role: 'viewer' }) {
  const asked = answers({
    'GET /api/v1/me': { alone: !person, hasOwner: true, person: person ?? undefined },
    'GET /api/v1/people': [{ id: 'j', name: 'Juna Berg', hue: 10 }],
    'GET /api/v1/comments/inbox': { comments, unread },
    'POST /api/v1/comments/read-all': {},
  });
  show(<Inbox />, { path: '/' });
  return asked;
}

test.each([
  [{ kind: 'take' as const }, '/takes/t?comment=a'],
  [{ kind: 'shot' as const, thingId: 'h', seriesId: 's' }, '/series/s?shot=h&comment=a'],
  [{ kind: 'mix' as const, thingId: 'm' }, '/bench/m?comment=a'],
  [{ kind: 'reference' as const, thingId: 'r' }, '/library?sel=r&comment=a'],
])('%j is looked at where it is', (fields, place) => expect(placeOf(incoming('a', fields))).toBe(place));

test('whoever works alone has none', async () => {
  const asked = inbox([], 0, null);
  await waitFor(() => expect(asked.some((a) => a.path === '/api/v1/me')).toBe(true));
  expect(screen.queryByRole('button')).toBeNull();
  expect(asked.some((a) => a.path.includes('inbox'))).toBe(false);
});

test('says how many are new, shows them, and goes to where they are', async () => {
  inbox([incoming('a'), incoming('b', { unread: false, person: 'gone' })], 3);
  await userEvent.click(await screen.findByRole('button', { name: 'Comments: 3 new for you' }));
  const [first, second] = await screen.findAllByRole('link');
  await waitFor(() => expect(first).toHaveTextContent('Juna BergHarbour book, OnenewText of a'));
  expect(second).toHaveTextContent('SomebodyHarbour book, OneText of b');
  await userEvent.click(first);
  expect(await screen.findByTestId('elsewhere')).toHaveTextContent('/takes/t');
});

test('all of it is read at once, and those of all are asked for', async () => {
  const asked = inbox([incoming('a')], 1);
  await userEvent.click(await screen.findByRole('button', { name: 'Comments: 1 new for you' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Mark all as read' }));
  await waitFor(() => expect(asked.some((a) => a.path.endsWith('/read-all'))).toBe(true));
  await userEvent.click(screen.getByRole('button', { name: 'All' }));
  await waitFor(() => expect(asked.map((a) => a.params)).toContainEqual({ query: { all: true } }));
});

test('where there is nothing, it says what comes in', async () => {
  inbox([], 0);
  await userEvent.click(await screen.findByRole('button', { name: 'Comments' }));
  expect(await screen.findByText(/^Nothing for you yet/)).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Mark all as read' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'All' }));
  expect(await screen.findByText(/^Nobody has said anything yet/)).toBeVisible();
});
