import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, show, type Asked } from '../../test/page';
import { browserOf } from './OwnSide';
import { StudioView } from './StudioView';

const person = (id: string, name: string, role: string, fields: object = {}) => ({
  ...{ id, name, hue: 40, role, mayExport: false, version: 3 },
  ...fields,
});
const PETRA = person('p', 'Petra Wild', 'owner');
const JUNA = person('j', 'Juna Berg', 'commenter');
const SESSION = { id: 's', browser: 'x', createdAt: '', seenAt: '2026-12-02T10:00:00Z', own: true };
const OLD = { ...SESSION, id: 'o', browser: 'Mozilla/5.0 (X11; Linux x86_64) Firefox/130.0', own: false };
const LINK = {
  id: 'l',
  note: 'Marek',
  role: 'viewer',
  mayExport: false,
  reset: false,
  expiresAt: '2026-12-09T10:00:00Z',
};

function open(me: object, by: Readonly<Record<string, unknown>> = {}): Asked[] {
  const asked = answers({
    'GET /api/v1/me': me,
    'GET /api/v1/people': [PETRA, JUNA],
    'GET /api/v1/projects': [],
    'GET /api/v1/invitations': [LINK],
    'GET /api/v1/me/sessions': [SESSION, OLD],
    'GET /api/v1/backups': [{ name: 'b', made: '2026-12-01T10:00:00Z', files: 12, bytes: 5 * 1024 * 1024 }],
    'PATCH /api/v1/people/{id}': (body: { version: number }) => ({ ...JUNA, ...body, version: body.version + 1 }),
    ...by,
  });
  show(<StudioView />, { at: '/studio' });
  return asked;
}
const AS_OWNER = { alone: false, hasOwner: true, person: PETRA, session: 's' };
const last = (asked: Asked[], method: string) => asked.filter((a) => a.method === method).at(-1);
const row = async (name: string) => (await screen.findByText(name)).closest('li')!;

test('whoever works alone can own the studio, and is told how to let others in when they do', async () => {
  let me = { alone: true, hasOwner: false };
  const asked = open(() => me, {
    'POST /api/v1/people/owner': () => {
      me = { alone: true, hasOwner: true };
      return PETRA;
    },
  });
  expect(await screen.findByText(/You work alone/)).toBeInTheDocument();
  await userEvent.type(screen.getByLabelText(/^Your name/), 'Petra Wild');
  await userEvent.type(screen.getByLabelText(/^Name to sign in with/), 'petra');
  const own = screen.getByRole('button', { name: 'Own this studio' });
  expect(own).toBeDisabled();
  await userEvent.type(screen.getByLabelText(/^Password/), 'a long sentence');
  await userEvent.click(own);
  expect(await screen.findByText('./start --share --host 0.0.0.0')).toBeInTheDocument();
  expect(last(asked, 'POST')?.body).toEqual({ name: 'Petra Wild', login: 'petra', password: 'a long sentence' });
});

test('what is refused to a first owner is said at the form', async () => {
  open({ alone: true, hasOwner: false }, { 'POST /api/v1/people/owner': 409 });
  await userEvent.type(await screen.findByLabelText(/^Your name/), 'P');
  await userEvent.type(screen.getByLabelText(/^Name to sign in with/), 'p');
  await userEvent.type(screen.getByLabelText(/^Password/), 'a long sentence{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('No: 409');
});

describe('an owner', () => {
  test('gives roles and what else somebody may; the only owner stays', async () => {
    const asked = open(AS_OWNER);
    const juna = within(await row('Juna Berg'));
    expect(screen.getByLabelText('Role of Petra Wild')).toBeDisabled();
    const role = juna.getByLabelText('Role of Juna Berg');
    await userEvent.click(juna.getByLabelText('may hand pictures over'));
    // each stands on what the one before left, however fast they follow each other
    await userEvent.selectOptions(role, 'viewer');
    await userEvent.selectOptions(role, 'editor');
    expect(role).toHaveValue('editor');
    await waitFor(() =>
      expect(asked.filter(({ method }) => method === 'PATCH').map(({ body }) => body)).toEqual([
        { mayExport: true, version: 3 },
        { role: 'viewer', version: 4 },
        { role: 'editor', version: 5 },
      ]),
    );
    expect(last(asked, 'PATCH')?.params).toEqual({ path: { id: 'j' } });
  });

  test('sees a role as it is where the change was refused', async () => {
    open(AS_OWNER, { 'PATCH /api/v1/people/{id}': 409 });
    const role = within(await row('Juna Berg')).getByLabelText('Role of Juna Berg');
    await userEvent.selectOptions(role, 'owner');
    expect(await screen.findByText('No: 409')).toBeInTheDocument();
    await waitFor(() => expect(role).toHaveValue('commenter'));
  });

  test('is asked once more before somebody is removed', async () => {
    const asked = open(AS_OWNER, { 'DELETE /api/v1/people/{id}': {} });
    const juna = within(await row('Juna Berg'));
    await userEvent.click(juna.getByRole('button', { name: 'Remove from the studio' }));
    await userEvent.click(juna.getByRole('button', { name: 'Cancel' }));
    expect(last(asked, 'DELETE')).toBeUndefined();
    await userEvent.click(juna.getByRole('button', { name: 'Remove from the studio' }));
    await userEvent.click(juna.getByRole('button', { name: 'Remove Juna Berg' }));
    expect(last(asked, 'DELETE')).toMatchObject({ path: '/api/v1/people/{id}', params: { path: { id: 'j' } } });
  });

  test('invites by a link that is shown once, with the address by which others find the studio', async () => {
    const asked = open(
      { ...AS_OWNER, publicUrl: 'https://studio.example' },
      {
        'POST /api/v1/invitations': { ...LINK, note: 'Hanne', path: '/join/abc' },
      },
    );
    await userEvent.click(await screen.findByRole('radio', { name: /^Viewer/ }));
    await userEvent.type(screen.getByLabelText('Whom it is meant for'), ' Hanne {Enter}');
    expect(await screen.findByLabelText('The link')).toHaveValue('https://studio.example/join/abc');
    expect(screen.getByRole('status')).toHaveTextContent('Send this to Hanne. It lets one person in as viewer');
    expect(last(asked, 'POST')?.body).toEqual({ role: 'viewer', note: 'Hanne' });
    expect(screen.getByLabelText('Whom it is meant for')).toHaveValue('');
  });

  test('takes links back, sends one for a new password, and backs up', async () => {
    const asked = open(AS_OWNER, {
      'DELETE /api/v1/invitations/{id}': {},
      'POST /api/v1/people/{id}/reset': { ...LINK, reset: true, path: '/join/new' },
      'POST /api/v1/backups': {},
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    expect(last(asked, 'DELETE')?.params).toEqual({ path: { id: 'l' } });
    await userEvent.click(within(await row('Juna Berg')).getByRole('button', { name: 'Link for a new password' }));
    expect(await screen.findByLabelText('The link')).toHaveValue('http://localhost/join/new');
    expect(screen.getByText('12 files, 5 MB')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Back up now' }));
    await waitFor(() => expect(last(asked, 'POST')?.path).toBe('/api/v1/backups'));
  });

  test('is told what was refused', async () => {
    open(AS_OWNER, { 'POST /api/v1/invitations': 429 });
    await userEvent.click(await screen.findByRole('button', { name: 'Make a link' }));
    expect(await screen.findByText('No: 429')).toBeInTheDocument();
    expect(screen.queryByLabelText('The link')).not.toBeInTheDocument();
  });
});

test('others see who is here, and their own browsers and password only', async () => {
  const asked = open(
    { ...AS_OWNER, person: JUNA },
    { 'DELETE /api/v1/me/sessions/{id}': {}, 'POST /api/v1/me/password': 400 },
  );
  expect(within(await row('Petra Wild')).getByText('Owner')).toBeInTheDocument();
  expect(screen.queryByRole('combobox')).not.toBeInTheDocument();
  expect(screen.queryByRole('button', { name: /Back up|Make a link/ })).not.toBeInTheDocument();
  expect(asked.map(({ path }) => path)).not.toContain('/api/v1/backups');
  expect(screen.getByText('Firefox on Linux')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Sign out there' }));
  expect(last(asked, 'DELETE')?.params).toEqual({ path: { id: 'o' } });
  await userEvent.click(screen.getByRole('button', { name: 'Change the password' }));
  await userEvent.type(screen.getByLabelText('Your present password'), 'old');
  await userEvent.type(screen.getByLabelText(/^Your new password/), 'a new sentence{Enter}');
  expect(await screen.findByText('No: 400')).toBeInTheDocument();
  expect(last(asked, 'POST')?.body).toEqual({ now: 'old', then: 'a new sentence' });
});

test.each([
  ['Mozilla/5.0 (Macintosh) AppleWebKit/605 Version/17 Safari/605', 'Safari on Macintosh'],
  ['a-script/1', 'a-script/1'],
  ['', 'A program that does not say which'],
])('a browser that says "%s" is %s', (agent, told) => expect(browserOf(agent)).toBe(told));
