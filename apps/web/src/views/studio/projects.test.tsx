import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useMayHere } from '../../api/projects';
import { answers, show, type Asked } from '../../test/page';
import { Projects } from './Projects';

const person = (id: string, name: string, role: string) => ({ id, name, hue: 40, role, mayExport: false, version: 1 });
const PEOPLE = [
  person('p', 'Petra Wild', 'owner'),
  person('j', 'Juna Berg', 'editor'),
  person('m', 'Marek Holm', 'viewer'),
];
const project = (id: string, name: string, fields: object = {}) => ({
  ...{ id, name, settings: {}, pictures: 0, looks: [], cast: [], archived: false, updatedAt: '', version: 4 },
  ...{ restricted: false, members: [] as object[] },
  ...fields,
});

function open(as: number, projects: object[]): Asked[] {
  const [shown] = projects as ReturnType<typeof project>[];
  const asked = answers({
    'GET /api/v1/me': { alone: false, hasOwner: true, person: PEOPLE[as], session: 's' },
    'GET /api/v1/people': PEOPLE,
    'GET /api/v1/mixes': [],
    'GET /api/v1/projects': projects,
    'PATCH /api/v1/projects/{id}': (body: object) => ({ ...shown, ...body, version: 5 }),
    'PUT /api/v1/projects/{id}/members/{person}': ({ role }: { role: string }) => ({
      ...shown,
      members: [{ person: 'j', role }],
    }),
    'DELETE /api/v1/projects/{id}/members/{person}': () => ({ ...shown, members: [] }),
  });
  show(
    <>
      <Projects />
      <May />
    </>,
    { at: '/studio' },
  );
  return asked;
}
const May = () => <p>{useMayHere('edit') ? 'edits' : 'looks'}</p>;
const workers = (name: string) =>
  within(screen.getByRole('list', { name: `Who works in ${name}` }))
    .queryAllByRole('listitem')
    .map((one) => one.querySelector('.sr-only')?.textContent);
const last = (asked: Asked[], method: string) => asked.filter((a) => a.method === method).at(-1);

test('each project tells who works in it', async () => {
  open(1, [
    project('a', 'Open'),
    project('b', 'For few', { restricted: true, members: [{ person: 'm', role: 'viewer' }] }),
    project('c', 'Old', { archived: true }),
  ]);
  expect(await screen.findByText('For few')).toBeInTheDocument();
  await waitFor(() => expect(workers('Open')).toEqual(['Petra Wild', 'Juna Berg', 'Marek Holm']));
  expect(workers('For few')).toEqual(['Petra Wild', 'Marek Holm']);
  expect(screen.getByText('Only its members and owners know of it.')).toBeInTheDocument();
  expect(screen.getByText('(archived)')).toBeInTheDocument();
  expect(screen.queryByRole('button')).toBeNull();
});

test('an owner closes a project to others, and says what each may in it, at most what they may in the studio', async () => {
  const asked = open(0, [project('a', 'Tale')]);
  await userEvent.click(await screen.findByRole('button', { name: 'Who works in it: Tale' }));
  const juna = await screen.findByLabelText('Juna Berg in Tale');
  expect(
    within(juna)
      .getAllByRole('option')
      .map((o) => o.textContent),
  ).toEqual(['Editor, as in the studio', 'Editor', 'Commenter', 'Viewer']);
  const marek = screen.getByLabelText('Marek Holm in Tale');
  expect(
    within(marek)
      .getAllByRole('option')
      .map((o) => o.textContent),
  ).toEqual(['Viewer, as in the studio', 'Viewer']);
  expect(screen.queryByLabelText('Petra Wild in Tale')).toBeNull();
  await userEvent.click(screen.getByLabelText('Only its members'));
  await waitFor(() => expect(last(asked, 'PATCH')?.body).toEqual({ version: 4, restricted: true }));
  await waitFor(() => expect(workers('Tale')).toEqual(['Petra Wild']));
  expect(within(juna).getAllByRole('option')[0]).toHaveTextContent('does not know of it');
});

test('a member is made, and is one no more', async () => {
  const asked = open(0, [project('a', 'Tale')]);
  await userEvent.click(await screen.findByRole('button', { name: 'Who works in it: Tale' }));
  const juna = await screen.findByLabelText('Juna Berg in Tale');
  await userEvent.selectOptions(juna, 'commenter');
  await waitFor(() => expect(juna).toHaveValue('commenter'));
  expect(last(asked, 'PUT')).toMatchObject({ params: { path: { id: 'a', person: 'j' } }, body: { role: 'commenter' } });
  await userEvent.selectOptions(juna, '');
  await waitFor(() => expect(juna).toHaveValue(''));
  expect(last(asked, 'DELETE')).toMatchObject({ params: { path: { id: 'a', person: 'j' } } });
});

test('a role that is larger than that in the studio is shown as what it comes to', async () => {
  open(0, [project('a', 'Tale', { members: [{ person: 'm', role: 'editor' }] })]);
  await userEvent.click(await screen.findByRole('button', { name: 'Who works in it: Tale' }));
  expect(await screen.findByLabelText('Marek Holm in Tale')).toHaveValue('viewer');
});

test.each([
  ['edits', {}],
  ['edits', { members: [{ person: 'j', role: 'editor' }] }],
  ['looks', { members: [{ person: 'j', role: 'viewer' }] }],
  ['looks', { restricted: true }],
])('one %s where the project is %o', async (what, fields) => {
  open(1, [project('a', 'Tale', fields)]);
  expect(await screen.findByText('Tale')).toBeInTheDocument();
  await waitFor(() => expect(screen.getByText(/^(edits|looks)$/)).toHaveTextContent(what));
});

test('owners say which members approve keepers; of those who may only look, and of owners, it is not asked', async () => {
  const members = [
    { person: 'j', role: 'commenter', approver: false },
    { person: 'm', role: 'viewer', approver: false },
  ];
  const asked = open(0, [project('a', 'Book', { members })]);
  await userEvent.click(await screen.findByRole('button', { name: 'Who works in it: Book' }));
  expect(screen.getAllByRole('checkbox')).toHaveLength(1);
  await userEvent.click(screen.getByRole('checkbox', { name: 'Juna Berg approves in Book' }));
  await waitFor(() => expect(last(asked, 'PUT')?.body).toEqual({ role: 'commenter', approver: true }));
});
