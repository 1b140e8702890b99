/** The way in through a directory, with one that knows three people; what travels between browser, studio and directory is looked at. */
import request from 'supertest';
import type { Role } from '@urbild/core';
import { openShared, type Agent, type SharedStudio } from '../../test/people';
import { EntityManager } from '@mikro-orm/better-sqlite';
import { InvitationsService } from '../invitations.service';
import { PersonEntity } from '../person.entity';
import { DIRECTORY, type Checks, type Directory, type Listed } from './directory';
import { DirectoryService } from './directory.service';

const PEOPLE: Readonly<Record<string, Listed>> = {
  hanne: { id: 'https://id.example 1', name: 'Hanne Lund', login: 'hanne@id.example' },
  juna: { id: 'https://id.example 2', name: 'Juna Berg', login: 'juna' },
  odd: { id: 'https://id.example 3', name: 'Odd', login: ' - odd one! ' },
};

/** Knows people by a code; remembers what it was asked with. */
class Standing implements Directory {
  readonly name = 'the guild';
  away = false;
  asked?: { readonly checks: Checks; readonly back: string };
  begin(checks: Checks, back: string): Promise<string> {
    if (this.away) return Promise.reject(new Error('no answer'));
    this.asked = { checks, back };
    return Promise.resolve(`https://id.example/in?state=${checks.state}`);
  }
  redeem(checks: Checks, answer: URL): Promise<Listed> {
    expect(checks).toEqual(this.asked!.checks);
    expect(`${answer.origin}${answer.pathname}`).toBe(this.asked!.back);
    const listed = PEOPLE[answer.searchParams.get('code') ?? ''];
    return listed ? Promise.resolve(listed) : Promise.reject(new Error('an unknown code'));
  }
}

let studio: SharedStudio;
let directory: Standing;
beforeEach(async () => {
  studio = await openShared();
  directory = new Standing();
  Object.assign(studio.app.get(DirectoryService), { directory });
});
afterEach(() => studio.close());

const start = (agent: Agent, query = '') => agent.get(`/api/v1/me/directory${query}`);
/** The whole way: to the directory and back, as somebody it knows; where it leads. */
async function through(agent: Agent, code: string, query = ''): Promise<string> {
  await start(agent, query).expect(303);
  return back(agent, code);
}
async function back(agent: Agent, code: string, state = directory.asked!.checks.state): Promise<string> {
  const { headers } = await agent.get(`/api/v1/me/directory/answer?code=${code}&state=${state}`).expect(303);
  return headers.location;
}
const who = async (agent: Agent) =>
  (await agent.get('/api/v1/me').expect(200)).body as { person?: { name: string; role: string }; listed?: boolean };
async function invited(role: Role): Promise<string> {
  const { token } = await studio.app.get(InvitationsService).invite({ role });
  return token;
}

test('without one there is no such way', async () => {
  Object.assign(studio.app.get(DirectoryService), { directory: undefined });
  await start(studio.stranger()).expect(404);
  expect((await who(studio.stranger())) as object).not.toHaveProperty('directory');
  expect(await studio.stranger().get('/api/v1/me/directory/answer?code=juna&state=x').expect(303)).toMatchObject({
    headers: { location: '/?way=failed' },
  });
  expect(studio.app.get(DIRECTORY, { strict: false })).toBeUndefined();
});

test('whoever was invited is in, with the role of the link, and from then on by the directory alone', async () => {
  const token = await invited('commenter');
  const hanne = studio.stranger();
  expect(await who(hanne)).toMatchObject({ directory: 'the guild' });
  expect(await through(hanne, 'hanne', `?join=${token}`)).toBe('/');
  expect(await who(hanne)).toMatchObject({ person: { name: 'Hanne Lund', role: 'commenter' }, listed: true });
  const elsewhere = studio.stranger();
  expect(await through(elsewhere, 'hanne', '?to=/bench/mix%3Fa=1')).toBe('/bench/mix?a=1');
  expect(await who(elsewhere)).toMatchObject({ person: { name: 'Hanne Lund' } });
  // the link is used up
  expect(await through(studio.stranger(), 'juna', `?join=${token}`)).toBe('/?way=failed');
});

test('a name to sign in by is made that is free and can be typed', async () => {
  await studio.newPerson('viewer', 'juna');
  for (const code of ['juna', 'odd']) await through(studio.stranger(), code, `?join=${await invited('viewer')}`);
  const em = studio.app.get(EntityManager).fork();
  const logins = (await em.find(PersonEntity, { directoryId: { $ne: null } })).map((p) => p.login).sort();
  expect(logins).toEqual(['juna2', 'oddone']);
});

test('somebody whom nobody invited is not let in', async () => {
  const agent = studio.stranger();
  expect(await through(agent, 'juna')).toBe('/?way=unknown');
  expect((await who(agent)).person).toBeUndefined();
});

test('a link for a new password lets nobody else in', async () => {
  const { id } = await studio.newPerson('viewer', 'vera');
  const { token } = await studio.app.get(InvitationsService).reset(id);
  expect(await through(studio.stranger(), 'juna', `?join=${token}`)).toBe('/?way=unknown');
});

test('whoever is in can be known by it from then on; somebody whom it knows as another cannot', async () => {
  const juna = await studio.newPerson('editor', 'juna');
  expect(await who(juna.agent)).toMatchObject({ listed: false });
  expect(await through(juna.agent, 'juna', '?to=/studio')).toBe('/studio');
  expect(await who(juna.agent)).toMatchObject({ listed: true });
  const again = studio.stranger();
  await through(again, 'juna');
  expect(await who(again)).toMatchObject({ person: { name: 'juna', role: 'editor' } });
  expect(await through(studio.owner, 'juna', '?to=/studio')).toBe('/studio?way=taken');
  expect(await who(studio.owner)).toMatchObject({ person: { name: 'Petra Wild' }, listed: false });
});

test('somebody who was removed is not let in any more, and can be invited again', async () => {
  const juna = await studio.newPerson('editor', 'juna');
  await through(juna.agent, 'juna');
  await studio.owner.delete(`/api/v1/people/${juna.id}`).expect(204);
  expect(await through(studio.stranger(), 'juna')).toBe('/?way=unknown');
  expect(await through(studio.stranger(), 'juna', `?join=${await invited('viewer')}`)).toBe('/');
});

describe('an answer is refused', () => {
  const refused = async (agent: Agent, answer: () => Promise<string>) => {
    expect(await answer()).toBe('/?way=failed');
    expect((await who(agent)).person).toBeUndefined();
  };
  beforeEach(() => through(studio.stranger(), 'hanne', '').then(() => undefined));

  test('in another browser than the one that asked', async () => {
    await start(studio.stranger()).expect(303);
    const other = studio.stranger();
    await refused(other, () => back(other, 'hanne'));
    // nor in one that asked for a way of its own
    await start(studio.stranger()).expect(303);
    const { state } = directory.asked!.checks;
    await start(other).expect(303);
    await refused(other, () => back(other, 'hanne', state));
  });

  test('a second time, with a code that the directory does not know, or after too long', async () => {
    const agent = studio.stranger();
    await start(agent).expect(303);
    await refused(agent, () => back(agent, 'nobody'));
    await refused(agent, () => back(agent, 'hanne'));
    await start(agent).expect(303);
    const later = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 11 * 60_000);
    await refused(agent, () => back(agent, 'hanne'));
    later.mockRestore();
  });
});

test('while the directory is away one is told so', async () => {
  directory.away = true;
  const { headers } = await start(studio.stranger()).expect(303);
  expect(headers.location).toBe('/?way=away');
});

test('one comes back to places in the page alone', async () => {
  for (const to of ['https://elsewhere.example', '//elsewhere.example', '/\\elsewhere.example', 'bench', '/a b'])
    await start(studio.stranger(), `?to=${encodeURIComponent(to)}`).expect(400);
});

test('what a browser says of a page elsewhere that sent it opens the answer alone, by going there', async () => {
  const from = (path: string, mode: string) =>
    request(studio.url).get(path).set('Sec-Fetch-Site', 'cross-site').set('Sec-Fetch-Mode', mode);
  await from('/api/v1/me/directory/answer', 'navigate').expect(303);
  await from('/api/v1/me/directory/answer', 'cors').expect(403);
  await from('/api/v1/me/directory', 'navigate').expect(403);
  await from('/api/v1/me', 'navigate').expect(403);
});
