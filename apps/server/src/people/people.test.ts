import { statSync } from 'fs';
import { rm } from 'fs/promises';
import path from 'path';
import { runErrand } from '../errands';
import { FOLDER_HOLD } from '../platform/folder/folderRelease';
import { holderOf, type Hold } from '../platform/folder/lock';
import { openStudio } from '../test/studio';
import { folderWithOwner, openShared, OWNER, type SharedStudio } from '../test/people';
import type { InvitationDto, MeDto, PersonDto, SessionDto } from './person.dto';

describe('a studio of one’s own', () => {
  test('asks nobody anything, and makes its first owner once', async () => {
    const studio = await openStudio();
    expect((await studio.ask.get('/api/v1/me').expect(200)).body).toEqual({ alone: true, hasOwner: false });
    await studio.ask.post('/api/v1/mixes').send({ name: 'Mine' }).expect(201);
    const { body } = await studio.ask.post('/api/v1/people/owner').send(OWNER).expect(201);
    expect(body).toMatchObject({ name: 'Petra Wild', role: 'owner', version: 1 });
    expect(JSON.stringify(body)).not.toMatch(/argon|password|login/);
    await studio.ask
      .post('/api/v1/people/owner')
      .send({ ...OWNER, login: 'other' })
      .expect(409);
    await studio.ask.get('/api/v1/takes/keepers').expect(200);
    const none = await studio.ask.post('/api/v1/me/session').send({ login: 'petra', password: OWNER.password });
    expect(none.status).toBe(409);
    await studio.close();
  });

  test('takes no short password and no name with spaces to come in by', async () => {
    const studio = await openStudio();
    const refused = await studio.ask.post('/api/v1/people/owner').send({ ...OWNER, password: 'short', login: 'a b' });
    expect(refused.status).toBe(400);
    expect(refused.body.errors.map((e: { field: string }) => e.field).sort()).toEqual(['login', 'password']);
    await studio.close();
  });

  test('is not shared before it has an owner', async () => {
    await expect(openStudio(undefined, { share: {} })).rejects.toThrow(/--make-owner NAME/);
  });
});

describe('a shared studio', () => {
  let studio: SharedStudio;
  beforeEach(async () => (studio = await openShared()));
  afterEach(() => studio.close());
  const me = async (agent = studio.stranger()) => (await agent.get('/api/v1/me').expect(200)).body as MeDto;

  test('knows who is in, and by a cookie that no script reads', async () => {
    expect(await me()).toEqual({ alone: false, hasOwner: true });
    const agent = studio.stranger();
    const { headers } = await agent
      .post('/api/v1/me/session')
      .send({ login: ' PETRA ', password: OWNER.password })
      .expect(200);
    expect(headers['set-cookie'][0]).toMatch(
      /^urbild=[\w-]{43}; Max-Age=\d+; Path=\/; Expires=[^;]+; HttpOnly; SameSite=Lax$/,
    );
    expect((await me(agent)).person).toMatchObject({ name: 'Petra Wild', role: 'owner' });
    await agent.delete('/api/v1/me/session').expect(204);
    expect((await me(agent)).person).toBeUndefined();
    await agent.get('/api/v1/mixes').expect(401);
  });

  test('says the same of an unknown name and a wrong password, and slows down who guesses', async () => {
    const tries = async (login: string) => {
      const { status, body } = await studio
        .stranger()
        .post('/api/v1/me/session')
        .send({ login, password: 'not the one' });
      return { status, detail: (body as { detail: string }).detail };
    };
    expect(await tries('petra')).toEqual(await tries('nobody'));
    expect((await tries('petra')).status).toBe(401);
    await tries('petra');
    await tries('petra');
    const { status, headers } = await studio
      .stranger()
      .post('/api/v1/me/session')
      .send({ login: 'petra', password: OWNER.password });
    expect(status).toBe(429);
    expect(Number(headers['retry-after'])).toBeGreaterThan(0);
  });

  test('a forged cookie is nobody’s', async () => {
    const { status, body } = await studio.stranger().get('/api/v1/mixes').set('Cookie', 'urbild=forged');
    expect({ status, title: body.title }).toEqual({ status: 401, title: 'Sign in first' });
  });

  test('a link lets one person in, once, with the role that it says', async () => {
    const { body } = await studio.owner.post('/api/v1/invitations').send({ role: 'editor', note: 'Juna' }).expect(201);
    const link = `/api/v1${(body as InvitationDto).path}`;
    expect((await studio.owner.get('/api/v1/invitations')).body).toMatchObject([
      { note: 'Juna', role: 'editor', reset: false },
    ]);
    expect((await studio.stranger().get(link).expect(200)).body).not.toHaveProperty('path');
    const juna = { name: 'Juna Berg', login: 'juna', password: 'a long one for juna' };
    await studio
      .stranger()
      .post(link)
      .send({ ...juna, login: 'Petra' })
      .expect(400);
    const both = await Promise.all(
      [1, 2].map((k) =>
        studio
          .stranger()
          .post(link)
          .send({ ...juna, login: `juna${k}` }),
      ),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([201, 404]);
    await studio.stranger().get(link).expect(404);
    expect((await studio.owner.get('/api/v1/people')).body).toHaveLength(2);
    expect((await studio.owner.get('/api/v1/invitations')).body).toEqual([]);
  });

  test('a link that was taken back leads nowhere', async () => {
    const { body } = await studio.owner.post('/api/v1/invitations').send({ role: 'viewer' }).expect(201);
    await studio.owner.delete(`/api/v1/invitations/${(body as InvitationDto).id}`).expect(204);
    await studio
      .stranger()
      .get(`/api/v1${(body as InvitationDto).path}`)
      .expect(404);
    await studio.owner.delete(`/api/v1/invitations/${(body as InvitationDto).id}`).expect(404);
  });

  test('a role that is changed holds from the next request on; a refusal says who can grant it', async () => {
    const { agent, id } = await studio.newPerson('editor', 'juna');
    await agent.post('/api/v1/mixes').send({ name: 'Mill' }).expect(201);
    await studio.owner.patch(`/api/v1/people/${id}`).send({ version: 1, role: 'viewer' }).expect(200);
    const { status, body } = await agent.post('/api/v1/mixes').send({ name: 'Mill' });
    expect({ status, detail: body.detail }).toEqual({
      status: 403,
      detail:
        'As a viewer you may not change anything here. An owner of the studio can make you an owner or an editor.',
    });
    await agent.get('/api/v1/mixes').expect(200);
    await studio.owner.patch(`/api/v1/people/${id}`).send({ version: 1, role: 'owner' }).expect(409);
  });

  test('a commenter rates and does not keep', async () => {
    const { agent } = await studio.newPerson('commenter', 'juna');
    await agent.patch('/api/v1/takes/none').send({ version: 1, rating: 3 }).expect(404);
    await agent.patch('/api/v1/takes/none').send({ version: 1, keeper: true }).expect(403);
  });

  test('whoever hands over without the role for it was allowed to', async () => {
    const { agent, id } = await studio.newPerson('viewer', 'juna');
    await agent.get('/api/v1/series/none/export/pdf').expect(403);
    await studio.owner.patch(`/api/v1/people/${id}`).send({ version: 1, mayExport: true }).expect(200);
    await agent.get('/api/v1/series/none/export/pdf').expect(404);
  });

  test('the last owner stays; whoever is taken out is out at once, and their name is free', async () => {
    const [{ id: petra }] = (await studio.owner.get('/api/v1/people')).body as PersonDto[];
    await studio.owner.patch(`/api/v1/people/${petra}`).send({ version: 1, role: 'editor' }).expect(409);
    await studio.owner.delete(`/api/v1/people/${petra}`).expect(409);
    const { agent, id } = await studio.newPerson('owner', 'juna');
    await studio.owner.delete(`/api/v1/people/${id}`).expect(204);
    await agent.get('/api/v1/mixes').expect(401);
    await studio
      .stranger()
      .post('/api/v1/me/session')
      .send({ login: 'juna', password: 'a long one for juna' })
      .expect(401);
    await studio.newPerson('viewer', 'juna');
  });

  test('one sees one’s own browsers, and ends others by hand or with a new password', async () => {
    const second = await studio.signedIn(OWNER.login, OWNER.password);
    const third = await studio.signedIn(OWNER.login, OWNER.password);
    const sessions = (await second.get('/api/v1/me/sessions')).body as SessionDto[];
    expect(sessions.map(({ own }) => own).filter(Boolean)).toHaveLength(1);
    expect(sessions).toHaveLength(3);
    const { agent: other } = await studio.newPerson('editor', 'juna');
    await other.delete(`/api/v1/me/sessions/${sessions[0].id}`).expect(404);
    const mine = ((await third.get('/api/v1/me/sessions')).body as SessionDto[]).find(({ own }) => own)!;
    await second.delete(`/api/v1/me/sessions/${mine.id}`).expect(204);
    await third.get('/api/v1/mixes').expect(401);
    await second.post('/api/v1/me/password').send({ now: 'wrong', then: 'another long one' }).expect(400);
    await second.post('/api/v1/me/password').send({ now: OWNER.password, then: 'another long one' }).expect(204);
    await second.get('/api/v1/mixes').expect(200);
    await studio.owner.get('/api/v1/mixes').expect(401);
    await studio.signedIn(OWNER.login, 'another long one');
  });

  test('an owner makes a link for whoever forgot their password, which ends all their sessions when it is used', async () => {
    const { agent, id } = await studio.newPerson('editor', 'juna');
    const { body } = await studio.owner.post(`/api/v1/people/${id}/reset`).expect(201);
    const link = `/api/v1${(body as InvitationDto).path}`;
    const again = (await studio.owner.post(`/api/v1/people/${id}/reset`).expect(201)).body as InvitationDto;
    await studio.stranger().get(link).expect(404);
    const fields = { name: 'x', login: 'juna', password: 'one that is new' };
    const { body: juna } = await studio.stranger().post(`/api/v1${again.path}`).send(fields).expect(201);
    expect(juna).toMatchObject({ id, name: 'juna', role: 'editor' });
    await agent.get('/api/v1/mixes').expect(401);
    await studio.signedIn('juna', 'one that is new');
  });

  test('the stream of events ends with the session by which it is heard', async () => {
    const agent = await studio.signedIn(OWNER.login, OWNER.password);
    const stream = new Promise((done) =>
      agent
        .get('/api/v1/events')
        .buffer(true)
        .parse((response, finished) => {
          response.on('data', () => undefined);
          response.on('end', () => finished(null, 'ended'));
        })
        .end((_error, response) => done(response?.body)),
    );
    await new Promise((go) => setTimeout(go, 100));
    await agent.delete('/api/v1/me/session').expect(204);
    expect(await stream).toBe('ended');
  });
});

test('a program that can read the data folder may back up a shared studio; others may not', async () => {
  const folder = await folderWithOwner();
  const studio = await openStudio(folder, { share: {} });
  studio.app.get<Hold>(FOLDER_HOLD).answersAt(studio.url);
  const file = path.join(folder, 'away.tar');
  expect(await runErrand({ kind: 'backup', file, dataDir: folder })).toContain(file);
  const { key } = holderOf(folder)!;
  const back = (shown: string) => studio.ask.post('/api/v1/backups').set('Authorization', `Bearer ${shown}`);
  expect((await back(key)).status).toBe(201);
  expect((await back(`${key.slice(0, -1)}${key.endsWith('A') ? 'B' : 'A'}`)).status).toBe(401);
  expect(statSync(path.join(folder, 'holder.json')).mode & 0o077).toBe(0);
  await studio.close();
  await rm(folder, { recursive: true });
});

test('a session is there after a restart', async () => {
  const folder = await folderWithOwner();
  const first = await openStudio(folder, { share: {} });
  const { headers } = await first.ask
    .post('/api/v1/me/session')
    .send({ login: OWNER.login, password: OWNER.password })
    .expect(200);
  const cookie = headers['set-cookie'][0].split(';')[0];
  await first.close();
  const second = await openStudio(folder, { share: {} });
  await second.ask.get('/api/v1/mixes').set('Cookie', cookie).expect(200);
  await second.close();
  await rm(folder, { recursive: true });
});
