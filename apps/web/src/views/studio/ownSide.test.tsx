import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Invitation, Person } from '../../api/people';
import { answers, show } from '../../test/page';
import { Backups } from './Backups';
import { Invitations } from './Invitations';
import { browserOf, OwnSide } from './OwnSide';
import { People } from './People';

const aPerson = (fields: Partial<Person>): Person =>
  ({ id: 'i', name: 'Ilse', role: 'owner', mayExport: false, colour: '#b5653a', version: 1, ...fields }) as Person;
const ILSE = aPerson({});
const BROM = aPerson({ id: 'b', name: 'Brom', role: 'viewer', version: 4 });
const me = (person: Person) => ({ 'GET /api/v1/me': { alone: false, hasOwner: true, person } });
const link = (fields: Partial<Invitation> = {}) => ({
  id: 'l',
  role: 'editor',
  reset: false,
  note: '',
  expiresAt: '2026-05-04T12:00:00.000Z',
  ...fields,
});
const told = (asked: ReturnType<typeof answers>, method: string) =>
  asked.filter((a) => a.method === method).map(({ path, body }) => [path, body]);

describe('people, to an owner', () => {
  const people = (list = [ILSE, BROM]) =>
    answers({
      ...me(ILSE),
      'GET /api/v1/people': list,
      'PATCH /api/v1/people/{id}': { ...BROM, version: 5 },
      'POST /api/v1/people/{id}/reset': link({ path: '/join/abc', reset: true }),
    });

  test('with two owners neither is held', async () => {
    people([ILSE, { ...BROM, role: 'owner' }]);
    show(<People />);
    expect(await screen.findByLabelText('Role of Ilse')).toBeEnabled();
    expect(screen.getAllByRole('button', { name: 'Remove from the studio' })).toHaveLength(2);
  });
});

describe('inviting', () => {
  test('links that nobody has used are listed with their end, and taken back', async () => {
    const asked = answers({
      ...me(ILSE),
      'GET /api/v1/invitations': [link({ note: 'Runa' }), link({ id: 'n', reset: true })],
    });
    show(<Invitations />);
    const [first, second] = await screen.findAllByRole('listitem');
    expect(first).toHaveTextContent(/^Runa, editor, until .*4/);
    expect(second).toHaveTextContent(/^Somebody, a new password, until/);
    await userEvent.click(within(second).getByRole('button', { name: 'Take back' }));
    await waitFor(() => expect(asked.find((a) => a.method === 'DELETE')?.params).toEqual({ path: { id: 'n' } }));
  });
});

describe('what is one’s own', () => {
  test('browsers are named by what they say of themselves', () => {
    expect(browserOf('Mozilla/5.0 (Windows NT 10.0) Chrome/120.0 Safari/537.36 Edg/120.0')).toBe('Chrome on Windows');
    expect(browserOf('Mozilla/5.0 (X11; Linux x86_64; rv:121.0) Gecko/20100101 Firefox/121.0')).toBe(
      'Firefox on Linux',
    );
    expect(browserOf('robot/2')).toBe('robot/2');
    expect(browserOf('')).toBe('A program that does not say which');
  });

  test('another browser is signed out, this one is not', async () => {
    const session = { id: 's', own: true, browser: '', seenAt: '2026-05-04T12:00:00.000Z' };
    const asked = answers({
      'GET /api/v1/me/sessions': [session, { ...session, id: 'o', own: false, browser: 'Firefox/9 (Macintosh)' }],
    });
    show(<OwnSide />);
    const [own, other] = await screen.findAllByRole('listitem');
    expect(own).toHaveTextContent('This browser');
    expect(within(own).queryByRole('button')).toBeNull();
    expect(other).toHaveTextContent('Firefox on Macintosh');
    await userEvent.click(within(other).getByRole('button', { name: 'Sign out there' }));
    await waitFor(() => expect(asked.find((a) => a.method === 'DELETE')?.params).toEqual({ path: { id: 'o' } }));
  });

  test('a password is changed by the present one, when the new one is long enough', async () => {
    const asked = answers({ 'GET /api/v1/me/sessions': [], 'POST /api/v1/me/password': {} });
    show(<OwnSide />);
    await userEvent.click(screen.getByRole('button', { name: 'Change the password' }));
    await userEvent.type(screen.getByLabelText(/Your present password/), 'old one here');
    const wanted = screen.getByLabelText(/Your new password/);
    await userEvent.type(wanted, '123456789');
    expect(screen.getByRole('button', { name: 'Change it' })).toBeDisabled();
    await userEvent.type(wanted, '0');
    await userEvent.click(screen.getByRole('button', { name: 'Change it' }));
    expect(await screen.findByText(/signed out everywhere else/)).toBeVisible();
    expect(told(asked, 'POST')).toEqual([['/api/v1/me/password', { now: 'old one here', then: '1234567890' }]]);
    expect(screen.getByRole('button', { name: 'Change the password' })).toBeVisible();
  });

  test('a wrong one is told, and both stay', async () => {
    answers({ 'GET /api/v1/me/sessions': [], 'POST /api/v1/me/password': 403 });
    show(<OwnSide />);
    await userEvent.click(screen.getByRole('button', { name: 'Change the password' }));
    await userEvent.type(screen.getByLabelText(/Your present password/), 'wrong');
    await userEvent.type(screen.getByLabelText(/Your new password/), '1234567890');
    await userEvent.click(screen.getByRole('button', { name: 'Change it' }));
    expect(await screen.findByText('No: 403')).toBeVisible();
    expect(screen.getByLabelText(/Your present password/)).toHaveValue('wrong');
  });
});

describe('backups', () => {
  const BACKUP = { name: 'n', made: '2026-05-04T12:00:00.000Z', files: 12, bytes: 3.4 * 1024 * 1024 };

  test('five of them are shown with files and size; one is made by a button', async () => {
    const asked = answers({
      ...me(ILSE),
      'GET /api/v1/backups': Array.from({ length: 7 }, (_, k) => ({
        ...BACKUP,
        name: `${k}`,
        bytes: k ? BACKUP.bytes : 9,
      })),
      'POST /api/v1/backups': BACKUP,
    });
    show(<Backups />);
    const rows = await screen.findAllByRole('listitem');
    expect(rows).toHaveLength(5);
    expect(rows[0]).toHaveTextContent('12 files, 1 MB');
    expect(rows[1]).toHaveTextContent('12 files, 3 MB');
    await userEvent.click(screen.getByRole('button', { name: 'Back up now' }));
    await waitFor(() => expect(told(asked, 'POST')).toHaveLength(1));
    expect(await screen.findByRole('button', { name: 'Back up now' })).toBeEnabled();
  });

  test('where there is none it says when one is made', async () => {
    answers({ ...me(ILSE), 'GET /api/v1/backups': [] });
    show(<Backups />);
    expect(await screen.findByText(/None yet\. One is made each day/)).toBeVisible();
  });
});
