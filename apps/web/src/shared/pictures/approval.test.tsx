import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, aTake, show } from '../../test/page';
import { Approval } from './Approval';
import { TakeMarks } from './TakeMarks';

const APPROVED = { at: '2026-05-04T10:00:00.000Z', by: 'j' };
const PERSON = { id: 'j', name: 'Juna Berg', hue: 10, role: 'commenter' };
const project = (approver: boolean) => ({
  id: 'first',
  name: 'Book',
  restricted: false,
  members: [{ person: 'j', role: 'commenter', approver }],
});

async function approval(
  take: Parameters<typeof Approval>[0]['take'],
  more: { me?: object | null; approver?: boolean; outdated?: boolean; by?: object } = {},
) {
  const { me = PERSON, approver = true, outdated, by = {} } = more;
  const asked = answers({
    'GET /api/v1/me': { alone: !me, hasOwner: true, person: me ?? undefined },
    'GET /api/v1/people': [PERSON],
    'GET /api/v1/projects': [project(approver)],
    'GET /api/v1/mixes': [],
    ...by,
  });
  show(<Approval take={take} outdated={outdated} />);
  await waitFor(() => expect(asked.map((a) => a.path)).toContain('/api/v1/projects'));
  await act(() => new Promise((go) => setTimeout(go, 20)));
  return () => asked.filter((a) => a.method !== 'GET').map((a) => `${a.method} ${a.path}`);
}
const keeper = { id: 't', keeper: true };
const button = (name: string) => screen.queryByRole('button', { name });

test('those who approve in the project approve a keeper, and take that back', async () => {
  const sent = await approval(keeper, { by: { 'PUT /api/v1/takes/{id}/approval': {} } });
  await userEvent.click(button('Approve this keeper')!);
  await waitFor(() => expect(sent()).toEqual(['PUT /api/v1/takes/{id}/approval']));
});

test('what is approved says by whom and when', async () => {
  const sent = await approval({ ...keeper, approved: APPROVED }, { by: { 'DELETE /api/v1/takes/{id}/approval': {} } });
  expect(screen.getByRole('region', { name: 'Approval' })).toHaveTextContent('Approved' + 'by Juna Berg, 4 May');
  await userEvent.click(button('Take the approval back')!);
  await waitFor(() => expect(sent()).toEqual(['DELETE /api/v1/takes/{id}/approval']));
});

test('a shot that was changed afterwards makes it outdated', async () => {
  await approval({ ...keeper, approved: APPROVED }, { outdated: true });
  expect(screen.getByText('Approval outdated')).toBeVisible();
  expect(screen.getByText('by Juna Berg, 4 May. The shot was changed afterwards.')).toBeVisible();
});

test('what is no keeper is not offered for approval', async () => {
  await approval({ id: 't', keeper: false });
  expect(screen.queryByRole('button')).toBeNull();
});

test('a refusal is told', async () => {
  await approval(keeper, { by: { 'PUT /api/v1/takes/{id}/approval': 403 } });
  await userEvent.click(button('Approve this keeper')!);
  expect(await screen.findByText('No: 403')).toBeVisible();
});

test.each([
  ['somebody who does not approve here', { approver: false }],
  ['whoever works alone', { me: null }],
])('%s is not offered to approve', async (_, more) => {
  await approval(keeper, more);
  expect(screen.queryByRole('button')).toBeNull();
});

test('an owner approves everywhere', async () => {
  await approval(keeper, { approver: false, me: { ...PERSON, role: 'owner' } });
  expect(button('Approve this keeper')).toBeVisible();
});

test('an approved keeper can be rated, and is neither put back nor rejected', () => {
  answers({});
  show(<TakeMarks take={aTake({ keeper: true, approved: APPROVED })} />);
  for (const name of ['Keeper', 'Reject']) expect(button(name)).toBeDisabled();
  expect(screen.getByRole('radio', { name: '3 of 5' })).toBeEnabled();
});
