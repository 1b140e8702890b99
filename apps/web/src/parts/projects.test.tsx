import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { chooseProject, chosenProject, placeIn } from '../api/projectChoice';
import { picked, useInProject, useProject, useProjectMixes } from '../api/projects';
import { answers, show, type Asked } from '../test/page';
import { ProjectSwitcher } from './ProjectSwitcher';

const aProject = (id: string, name: string, fields: object = {}) => ({
  id,
  name,
  settings: {},
  pictures: 0,
  looks: [],
  cast: [],
  archived: false,
  updatedAt: '',
  version: 1,
  ...fields,
});
const FIRST = aProject('first', 'My first project');
const BOOK = aProject('book', 'The book', { lookId: 'ink', looks: ['ink'], version: 3 });
const CARDS = aProject('cards', 'Cards');
const MIXES = [
  { id: 'one', projectId: 'cards' },
  { id: 'two', projectId: 'book' },
];

beforeEach(() => localStorage.clear());

function open(at = '/library', projects: object[] = [FIRST, BOOK, CARDS]): Asked[] {
  const asked = answers({
    'GET /api/v1/projects': projects,
    'GET /api/v1/mixes': MIXES,
    'GET /api/v1/looks': [
      { id: 'ink', name: 'Ink', items: [], version: 1 },
      { id: 'chalk', name: 'Chalk', items: [], version: 1 },
    ],
    'GET /api/v1/cast': [],
    'POST /api/v1/projects': (body: object) => ({ ...aProject('made', ''), ...body }),
    'PATCH /api/v1/projects/{id}': (body: object) => ({ ...BOOK, ...body, version: 4 }),
  });
  show(<Page />, { at });
  return asked;
}

function Page() {
  const mixes = useProjectMixes();
  const { pathname } = useLocation();
  return (
    <>
      <ProjectSwitcher />
      <output aria-label="mixes">{mixes?.map((m) => m.id).join()}</output>
      <output aria-label="address">{pathname}</output>
    </>
  );
}
const says = (label: string) => screen.getByLabelText(label).textContent;
const menu = async () => userEvent.click(await screen.findByRole('button', { name: /^Project: / }));

test('before one is chosen it is the oldest in which anything was made; its mixes are listed', async () => {
  open();
  expect(await screen.findByRole('button', { name: 'Project: The book' })).toBeVisible();
  expect(says('mixes')).toBe('two');
});

test('another one is chosen by its name, and the view of the whole studio stays', async () => {
  open();
  await menu();
  await userEvent.click(await screen.findByRole('menuitemradio', { name: 'Cards' }));
  expect(await screen.findByRole('button', { name: 'Project: Cards' })).toBeVisible();
  expect([says('mixes'), says('address'), chosenProject()]).toEqual(['one', '/library', 'cards']);
});

test('from a view of one project one goes to where one was in the other', async () => {
  localStorage.setItem('urbild.project.cards.place', '/series/twelve');
  open('/bench/two');
  await menu();
  await userEvent.click(await screen.findByRole('menuitemradio', { name: 'Cards' }));
  await waitFor(() => expect(says('address')).toBe('/series/twelve'));
  expect(placeIn('first')).toBe('/bench');
});

test('a project that is done with is offered no more, unless one is in it', async () => {
  open('/library', [BOOK, { ...CARDS, archived: true }]);
  await menu();
  expect(screen.queryByRole('menuitemradio', { name: 'Cards' })).toBeNull();
});

test('whatever is looked at says in which project one is, and where', async () => {
  answers({ 'GET /api/v1/projects': [FIRST, BOOK], 'GET /api/v1/mixes': MIXES });
  const Looking = () => {
    useInProject('book');
    return <p>{useProject()?.name}</p>;
  };
  show(<Looking />, { at: '/bench/two?take=4' });
  expect(await screen.findByText('The book')).toBeVisible();
  expect([chosenProject(), placeIn('book')]).toEqual(['book', '/bench/two?take=4']);
});

describe('about a project', () => {
  test('its name, its look, its settings and its picks are changed together', async () => {
    chooseProject('book');
    const asked = open();
    await menu();
    await userEvent.click(await screen.findByRole('menuitem', { name: 'About this project' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'About this project' }));
    expect(dialog.getByLabelText('Look of new mixes')).toHaveDisplayValue('Ink');
    await userEvent.type(dialog.getByLabelText('Name'), ', second edition');
    await userEvent.selectOptions(dialog.getByLabelText('Aspect of the plate'), '1:1');
    await userEvent.click(dialog.getByLabelText('Ink'));
    await userEvent.click(dialog.getByLabelText('Chalk'));
    await userEvent.click(dialog.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(asked.find((a) => a.method === 'PATCH')?.body).toEqual({
      version: 3,
      name: 'The book, second edition',
      lookId: 'ink',
      settings: { aspect: '1:1' },
      looks: ['chalk'],
      cast: [],
    });
    expect(screen.getByRole('button', { name: 'Project: The book, second edition' })).toBeVisible();
  });

  test('a new one needs a name, and is where one works from then on', async () => {
    const asked = open('/series/s');
    await menu();
    await userEvent.click(await screen.findByRole('menuitem', { name: 'New project' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'New project' }));
    expect(dialog.getByRole('button', { name: 'Make the project' })).toBeDisabled();
    await userEvent.type(dialog.getByLabelText('Name'), 'Frames{Enter}');
    await waitFor(() => expect(chosenProject()).toBe('made'));
    expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ name: 'Frames', settings: {}, looks: [], cast: [] });
    expect(says('address')).toBe('/bench');
  });

  test('what the server refuses is told, and the window stays', async () => {
    chooseProject('book');
    answers({ 'GET /api/v1/projects': [BOOK], 'GET /api/v1/mixes': [], 'PATCH /api/v1/projects/{id}': 409 });
    show(<Page />);
    await menu();
    await userEvent.click(await screen.findByRole('menuitem', { name: 'About this project' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Save' }));
    expect(await screen.findByText('No: 409')).toBeVisible();
    expect(screen.getByRole('dialog', { name: 'About this project' })).toBeInTheDocument();
  });
});

test('of looks and characters those are shown that were picked; where none was, all', () => {
  const all = [{ id: 'a' }, { id: 'b' }, { id: 'c' }];
  expect(picked(all, ['c', 'gone'])).toEqual({ shown: [{ id: 'c' }], left: 2 });
  expect(picked(all, [])).toEqual({ shown: all, left: 0 });
  expect(picked(all, ['gone'])).toEqual({ shown: all, left: 0 });
});
