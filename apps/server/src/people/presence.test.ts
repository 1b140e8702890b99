import { EventsService } from '../platform/events/events.service';
import { openShared, type SharedStudio } from '../test/people';
import { openStudio } from '../test/studio';
import type { PlaceDto } from './presence.dto';
import { FORGOTTEN, PresenceService } from './presence.service';

let studio: SharedStudio;
let juna: Awaited<ReturnType<SharedStudio['newPerson']>>;
let told = 0;
beforeAll(async () => {
  studio = await openShared();
  juna = await studio.newPerson('viewer', 'juna');
  studio.app.get(EventsService).stream.subscribe(({ type }) => (told += Number(type === 'presence')));
});
afterAll(() => studio.close());
beforeEach(() => {
  studio.app.get(PresenceService).forget(Date.now() + 2 * FORGOTTEN);
  told = 0;
});

type Who = Pick<typeof studio.owner, 'put' | 'delete' | 'get'>;
const be = (who: Who, window: string, here: object, status = 204) =>
  who.put(`/api/v1/me/places/${window}`).send(here).expect(status);
const places = async (who: Who = studio.owner) => (await who.get('/api/v1/presence').expect(200)).body as PlaceDto[];

test('everybody sees who is where and what they hold', async () => {
  await be(juna.agent, 'w1', { at: '/bench/m', holds: 'influence a' });
  await be(studio.owner, 'w2', { at: '/library' });
  expect(await places(juna.agent)).toEqual([
    { person: juna.id, name: 'juna', hue: expect.any(Number), at: '/bench/m', holds: 'influence a' },
    { person: expect.any(String), name: 'Petra Wild', hue: expect.any(Number), at: '/library' },
  ]);
  expect(told).toBe(2);
});

test('going on is told, saying the same again is not; a window that is closed is gone', async () => {
  await be(juna.agent, 'w1', { at: '/bench/m' });
  await be(juna.agent, 'w1', { at: '/bench/m' });
  expect(told).toBe(1);
  await be(juna.agent, 'w1', { at: '/bench/m', holds: 'words' });
  await be(juna.agent, 'w1', { at: '/series' });
  expect(told).toBe(3);
  expect((await places()).map(({ at, holds }) => [at, holds])).toEqual([['/series', undefined]]);
  await juna.agent.delete('/api/v1/me/places/w1').expect(204);
  await juna.agent.delete('/api/v1/me/places/w1').expect(204);
  expect(told).toBe(4);
  expect(await places()).toEqual([]);
});

test('two windows of one person are two places; nobody closes those of others', async () => {
  await be(juna.agent, 'w1', { at: '/looks' });
  await be(juna.agent, 'w2', { at: '/cast' });
  await studio.owner.delete('/api/v1/me/places/w1').expect(204);
  expect((await places()).map(({ at }) => at).sort()).toEqual(['/cast', '/looks']);
});

test('one that says nothing any more is forgotten, the others stay', async () => {
  await be(juna.agent, 'w1', { at: '/looks' });
  const presence = studio.app.get(PresenceService);
  presence.forget(Date.now() + FORGOTTEN - 1000);
  expect(await places()).toHaveLength(1);
  presence.forget(Date.now() + FORGOTTEN + 1000);
  expect(await places()).toEqual([]);
  expect(told).toBe(2);
});

test('of the windows of one session the twenty heard of last count', async () => {
  for (let k = 0; k < 21; k++) await be(juna.agent, `w${k}`, { at: `/bench/${k}` });
  await be(juna.agent, 'w1', { at: '/bench/again' });
  const at = (await places()).map((p) => p.at);
  expect(at).toHaveLength(20);
  expect(at).not.toContain('/bench/0');
  expect(at).toContain('/bench/again');
});

test('whoever is removed is nowhere', async () => {
  const brom = await studio.newPerson('editor', 'brom');
  await be(brom.agent, 'w', { at: '/looks' });
  await studio.owner.delete(`/api/v1/people/${brom.id}`).expect(204);
  expect(await places()).toEqual([]);
});

test.each([
  [{ at: 'https://elsewhere.example' }, 'w'],
  [{ at: '/library?q=secret' }, 'w'],
  [{ at: `/${'x'.repeat(201)}` }, 'w'],
  [{ at: '/looks', holds: '<b>' }, 'w'],
  [{}, 'w'],
  [{ at: '/looks' }, 'w'.repeat(65)],
])('%j in the window %s is refused', async (here, window) => {
  await be(juna.agent, window, here, 400);
});

test('in a studio of one’s own nobody is seen', async () => {
  const alone = await openStudio();
  await alone.ask.put('/api/v1/me/places/w').send({ at: '/looks' }).expect(204);
  await alone.ask.delete('/api/v1/me/places/w').expect(204);
  expect((await alone.ask.get('/api/v1/presence').expect(200)).body).toEqual([]);
  await alone.close();
});
