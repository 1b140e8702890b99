import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { api, ask, ServerProblem } from '../../api/client';
import { useMay } from '../../api/me';
import { answers, show, type Asked } from '../../test/page';
import { OwnMark } from './OwnMark';
import { initialsOf } from './PersonMark';
import { SignInGate } from './SignInGate';

const PETRA = { id: 'p', name: 'Petra Wild', hue: 25, role: 'owner', mayExport: true, version: 1 };
const IN = { alone: false, hasOwner: true, person: PETRA, session: 's' };
const OUT = { alone: false, hasOwner: true };
const INVITATION = { id: 'i', note: 'Juna', role: 'editor', mayExport: false, reset: false, expiresAt: '' };

/** A page with something typed into it, behind the gate; `me` is what the server says of who asks. */
function open(me: object | (() => object), by: Readonly<Record<string, unknown>> = {}): Asked[] {
  const asked = answers({ 'GET /api/v1/me': me, ...by });
  show(
    <SignInGate>
      <Page />
    </SignInGate>,
  );
  return asked;
}
function Page() {
  const [text, setText] = useState('');
  const edits = useMay('edit');
  return (
    <>
      <OwnMark />
      <input aria-label="prompt" value={text} onChange={(e) => setText(e.target.value)} />
      {edits && <p>may edit</p>}
    </>
  );
}
const type = async (label: string, text: string) => userEvent.type(await screen.findByLabelText(label), text);
const press = async (name: string) => userEvent.click(await screen.findByRole('button', { name }));

describe('coming in', () => {
  test('nobody is asked in a studio of one’s own', async () => {
    open({ alone: true, hasOwner: false });
    expect(await screen.findByLabelText('prompt')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: /The studio/ })).toHaveAttribute('href', '/studio');
    expect(screen.getByText('may edit')).toBeInTheDocument();
  });

  test('one signs in by name and password; what was wrong is said and what was typed stays', async () => {
    let right = false;
    const asked = open(OUT, { 'POST /api/v1/me/session': () => (right ? IN : 401) });
    await type('Name', 'petra');
    await type('Password', 'wrong');
    expect(screen.queryByLabelText('prompt')).not.toBeInTheDocument();
    await press('Sign in');
    expect(await screen.findByRole('alert')).toHaveTextContent('No: 401');
    expect(screen.getByLabelText('Name')).toHaveValue('petra');
    right = true;
    await type('Password', '!');
    await press('Sign in');
    expect(await screen.findByLabelText('prompt')).toBeInTheDocument();
    expect(asked.at(-1)).toMatchObject({ body: { login: 'petra', password: 'wrong!' } });
  });

  test('whoever is no longer in is asked above the page, which keeps what was typed', async () => {
    let me: object = IN;
    open(() => me, { 'GET /api/v1/studio': 401, 'POST /api/v1/me/session': IN });
    await type('prompt', 'a mill');
    me = OUT;
    await act(async () => {
      await expect(ask(api.GET('/api/v1/studio'))).rejects.toBeInstanceOf(ServerProblem);
    });
    const dialog = await screen.findByRole('dialog', { name: 'Sign in again' });
    expect(dialog).toHaveTextContent('What you were doing is kept');
    await userEvent.keyboard('{Escape}');
    expect(dialog).toBeInTheDocument();
    await type('Name', 'petra');
    await type('Password', 'right');
    me = IN;
    await press('Sign in');
    await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
    expect(screen.getByLabelText('prompt')).toHaveValue('a mill');
  });

  test('whoever goes out sees nothing of the page any more', async () => {
    open(IN, { 'DELETE /api/v1/me/session': {} });
    await userEvent.click(await screen.findByRole('button', { name: 'You: Petra Wild' }));
    expect(await screen.findByText(/^Owner: May do everything/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('menuitem', { name: 'Sign out' }));
    expect(await screen.findByRole('button', { name: 'Sign in' })).toBeInTheDocument();
    expect(screen.queryByLabelText('prompt')).not.toBeInTheDocument();
    expect(screen.queryByRole('dialog')).not.toBeInTheDocument();
  });

  test('what a role may not is hidden', async () => {
    open({ ...IN, person: { ...PETRA, role: 'viewer' } });
    expect(await screen.findByLabelText('prompt')).toBeInTheDocument();
    expect(screen.queryByText('may edit')).not.toBeInTheDocument();
    expect(screen.getByText('Viewer')).toBeInTheDocument();
  });
});

describe('a link', () => {
  beforeEach(() => window.history.replaceState(null, '', '/join/a-token'));
  afterEach(() => window.history.replaceState(null, '', '/'));

  test('lets somebody new in, who says their names and a password', async () => {
    const asked = open(OUT, {
      'GET /api/v1/join/{token}': INVITATION,
      'POST /api/v1/join/{token}': PETRA,
      'POST /api/v1/me/session': IN,
    });
    expect(await screen.findByText(/Your role: editor/)).toBeInTheDocument();
    await type('Your nameas the others read it', 'Juna Berg');
    await type('Name to sign in withshort, without spaces', 'juna');
    const password = screen.getByLabelText(/^Password/);
    await userEvent.type(password, 'too short');
    expect(screen.getByRole('button', { name: 'Come in' })).toBeDisabled();
    await userEvent.type(password, '!');
    await press('Come in');
    expect(await screen.findByLabelText('prompt')).toBeInTheDocument();
    expect(window.location.pathname).toBe('/');
    const posts = asked.filter(({ method }) => method === 'POST');
    expect(posts.map(({ body }) => body)).toEqual([
      { name: 'Juna Berg', login: 'juna', password: 'too short!' },
      { login: 'juna', password: 'too short!' },
    ]);
  });

  test('gives somebody another password', async () => {
    const asked = open(OUT, {
      'GET /api/v1/join/{token}': { ...INVITATION, reset: true },
      'POST /api/v1/join/{token}': 400,
    });
    expect(await screen.findByRole('heading', { name: 'A new password, Juna' })).toBeInTheDocument();
    expect(screen.queryByLabelText(/^Your name/)).not.toBeInTheDocument();
    await userEvent.type(screen.getByLabelText(/^Name to sign in with/), 'juna');
    await userEvent.type(screen.getByLabelText(/^Password/), 'a new sentence');
    await press('Set the password');
    expect(await screen.findByRole('alert')).toHaveTextContent('No: 400');
    expect(asked.at(-1)).toMatchObject({ body: { name: 'Juna', login: 'juna' } });
  });

  test('that is used up says so', async () => {
    open(OUT, { 'GET /api/v1/join/{token}': 404 });
    expect(await screen.findByRole('alert')).toHaveTextContent('No: 404');
  });
});

test.each([
  ['Petra Wild', 'PW'],
  ['petra', 'P'],
  ['Ana de la Mar', 'AM'],
  ['  ', ''],
])('the mark of "%s" says %s', (name, initials) => expect(initialsOf(name)).toBe(initials));

describe('through a directory', () => {
  const AT = { ...OUT, directory: 'The guild' };
  afterEach(() => window.history.replaceState(null, '', '/'));

  test('one goes there from where one signs in, and comes back to where one was going', async () => {
    window.history.replaceState(null, '', '/looks');
    open(AT);
    const way = await screen.findByRole('link', { name: 'Sign in through The guild' });
    expect(way).toHaveAttribute('href', '/api/v1/me/directory?to=%2Flooks');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('why one was not let in is said once', async () => {
    window.history.replaceState(null, '', '/?way=unknown');
    open(AT);
    expect(await screen.findByRole('alert')).toHaveTextContent('not in this studio');
    expect(window.location.search).toBe('');
  });

  test('by a link one takes the link along', async () => {
    window.history.replaceState(null, '', '/join/abc');
    open(AT, { 'GET /api/v1/join/{token}': INVITATION });
    expect(await screen.findByRole('link', { name: 'Come in through The guild' })).toHaveAttribute(
      'href',
      '/api/v1/me/directory?join=abc',
    );
  });

  test('without one there is no such way, nor for a link for a new password', async () => {
    window.history.replaceState(null, '', '/join/abc');
    open(AT, { 'GET /api/v1/join/{token}': { ...INVITATION, reset: true } });
    expect(await screen.findByRole('button', { name: 'Set the password' })).toBeInTheDocument();
    expect(screen.queryByRole('link')).toBeNull();
  });
});
