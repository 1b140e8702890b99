import { openShared, type Agent, type SharedStudio } from '../test/people';
import { bringIn, openStudio, testPng } from '../test/studio';
import type { CommentDto, InboxDto } from './comment.dto';

let studio: SharedStudio;
let people: Record<'petra' | 'juna' | 'cora' | 'vera', { readonly agent: Agent; readonly id: string }>;
let mix: string;
let take: string;
let reference: string;

const post = async <T = CommentDto>(who: Agent, path: string, body: object, status = 201): Promise<T> =>
  (await who.post(`/api/v1/${path}`).send(body).expect(status)).body as T;
const write = (who: Agent, text: string, more: object = { takeId: take }) => post(who, 'comments', { text, ...more });
const answer = (who: Agent, { id }: CommentDto, text: string) => post(who, `comments/${id}/answers`, { text });
const on = async (of: string, who: Agent = people.petra.agent) =>
  (await who.get(`/api/v1/comments?${of}`).expect(200)).body as CommentDto[];
const texts = async (of = `takeId=${take}`) => (await on(of)).map((c) => c.text);
const inbox = async (who: Agent, all = false) =>
  (await who.get(`/api/v1/comments/inbox${all ? '?all=true' : ''}`).expect(200)).body as InboxDto;
const change = (who: Agent, { id, version }: CommentDto, body: object) =>
  who.patch(`/api/v1/comments/${id}`).send({ version, ...body });

beforeAll(async () => {
  studio = await openShared();
  const me = (await studio.owner.get('/api/v1/me')).body as { person: { id: string } };
  people = {
    petra: { agent: studio.owner, id: me.person.id },
    juna: await studio.newPerson('editor', 'juna'),
    cora: await studio.newPerson('commenter', 'cora'),
    vera: await studio.newPerson('viewer', 'vera'),
  };
  const brought = await studio.owner
    .post('/api/v1/references')
    .attach('file', await testPng(), 'quay.png')
    .expect(201);
  reference = (brought.body as { reference: { id: string } }).reference.id;
  mix = (await post<{ id: string }>(studio.owner, 'mixes', { name: 'Quay', prompt: 'a boat' })).id;
}, 120_000);
beforeEach(async () => {
  take = (await post<{ id: string }>(studio.owner, 'takes', { mixId: mix, quality: 'draft' })).id;
  await studio.jobs.idle();
});
afterAll(() => studio.close());

describe('a thread', () => {
  test('is begun at a point, answered, resolved, and opened again by an answer', async () => {
    const { juna, cora } = people;
    const first = await write(juna.agent, 'The sail is torn', { takeId: take, point: { x: 0.25, y: 1 } });
    expect(first).toMatchObject({ kind: 'take', thingId: take, person: juna.id, point: { x: 0.25, y: 1 }, version: 1 });
    expect(first.threadId).toBe(first.id);
    const second = await answer(cora.agent, first, 'Leave it');
    expect(second).toMatchObject({ threadId: first.id, person: cora.id, thingId: take });
    expect(second.point).toBeUndefined();
    // an answer to an answer stands in the same thread
    expect((await answer(juna.agent, second, 'As you like')).threadId).toBe(first.id);
    const { body: resolved } = await change(cora.agent, first, { resolved: true }).expect(200);
    expect(resolved).toMatchObject({ resolved: true, resolvedBy: cora.id, text: 'The sail is torn' });
    await answer(juna.agent, first, 'Once more');
    const all = await on(`takeId=${take}`);
    expect(all.map((c) => c.text)).toEqual(['The sail is torn', 'Leave it', 'As you like', 'Once more']);
    expect(all[0]).toMatchObject({ resolved: false });
    expect(all[0].resolvedBy).toBeUndefined();
  });

  test('is resolved as a whole, and by nobody who may only look', async () => {
    const first = await write(people.juna.agent, 'A');
    const second = await answer(people.juna.agent, first, 'B');
    await change(people.juna.agent, second, { resolved: true }).expect(409);
    await change(people.vera.agent, first, { resolved: true }).expect(403);
    expect((await on(`takeId=${take}`)).some((c) => c.resolved)).toBe(false);
  });

  test('a resolved one is opened again, and who resolved it first stays who did', async () => {
    const first = await write(people.juna.agent, 'A');
    const { body: once } = await change(people.juna.agent, first, { resolved: true });
    const { body: twice } = await change(people.cora.agent, once as CommentDto, { resolved: true });
    expect((twice as CommentDto).resolvedBy).toBe(people.juna.id);
    const { body: open } = await change(people.cora.agent, twice as CommentDto, { resolved: false });
    expect(open).toMatchObject({ resolved: false });
  });
});

describe('a text', () => {
  test('is changed by whoever wrote it, on what is there; others answer', async () => {
    const first = await write(people.juna.agent, 'Blue');
    const { body } = await change(people.juna.agent, first, { text: 'Green' }).expect(200);
    expect(body).toMatchObject({ text: 'Green', version: 2 });
    expect((body as CommentDto).editedAt).toBeDefined();
    await change(people.juna.agent, first, { text: 'Red' }).expect(409);
    const refused = await change(studio.owner, body as CommentDto, { text: 'Red' }).expect(403);
    expect((refused.body as { detail: string }).detail).toContain('You can answer it');
    expect(await texts()).toEqual(['Green']);
  });

  test('is deleted by whoever wrote it or an owner, and comes back; what was answered stands for its answers', async () => {
    const first = await write(people.juna.agent, 'Blue');
    const reply = await answer(people.cora.agent, first, 'Why?');
    await people.cora.agent.delete(`/api/v1/comments/${first.id}`).expect(403);
    await people.juna.agent.delete(`/api/v1/comments/${first.id}`).expect(204);
    expect(await texts()).toEqual(['', 'Why?']);
    expect((await on(`takeId=${take}`))[0]).toMatchObject({ deleted: true, mentioned: [] });
    await studio.owner.delete(`/api/v1/comments/${reply.id}`).expect(204);
    expect(await texts()).toEqual([]);
    await people.juna.agent.post(`/api/v1/comments/${reply.id}/restore`).expect(403);
    await people.cora.agent.post(`/api/v1/comments/${reply.id}/restore`).expect(200);
    await studio.owner.post(`/api/v1/comments/${first.id}/restore`).expect(200);
    expect(await texts()).toEqual(['Blue', 'Why?']);
    await studio.owner.post('/api/v1/comments/nothing/restore').expect(404);
  });

  test.each([
    ['nothing', {}, 400],
    ['two things', { takeId: 'a', mixId: 'b' }, 400],
    ['a point outside', { point: { x: 1.1, y: 0 } }, 400],
    ['half a point', { point: { x: 0.5 } }, 400],
    ['no text', { text: '' }, 400],
    ['a text that is too long', { text: 'x'.repeat(4001) }, 400],
    ['what is not there', { takeId: 'nowhere' }, 404],
    ['a shot that is not there', { shotId: 'nowhere' }, 404],
    ['a reference that is not there', { referenceId: 'nowhere' }, 404],
  ])('about %s is refused', async (_, fields, status) => {
    const about = Object.keys(fields).some((k) => k.endsWith('Id')) || !Object.keys(fields).length;
    await post(studio.owner, 'comments', { text: 'A', ...(about ? {} : { takeId: take }), ...fields }, status);
  });

  test('about a take without a picture is refused, and about one that was deleted', async () => {
    await studio.owner.delete(`/api/v1/takes/${take}`).expect(204);
    await post(studio.owner, 'comments', { text: 'A', takeId: take }, 404);
    await studio.owner.get(`/api/v1/comments?takeId=${take}`).expect(404);
  });
});

test('of a mix also what is said about its takes is listed; a picture of the library has its own', async () => {
  await write(people.juna.agent, 'The mix', { mixId: mix });
  await write(people.juna.agent, 'The take');
  await write(people.juna.agent, 'The picture', { referenceId: reference });
  expect(await texts(`mixId=${mix}`)).toEqual(expect.arrayContaining(['The mix', 'The take']));
  expect(await texts()).toEqual(['The take']);
  expect(await texts(`referenceId=${reference}`)).toEqual(['The picture']);
});

test('of a shot also what is said about its takes is listed', async () => {
  const series = await post<{ id: string }>(studio.owner, 'series', { name: 'Tale', mixId: mix });
  await post(studio.owner, `series/${series.id}/shots`, { shots: [{ title: 'One', prompt: 'a boat' }] });
  const { body } = await studio.owner.get(`/api/v1/series/${series.id}`);
  const shotId = (body as { shots: { id: string }[] }).shots[0].id;
  await studio.owner
    .post(`/api/v1/series/${series.id}/render`)
    .send({})
    .expect((r) => expect(r.status).toBeLessThan(300));
  await studio.jobs.idle();
  const shots = (await studio.owner.get(`/api/v1/series/${series.id}`)).body as {
    shots: { takes: { id: string }[] }[];
  };
  await write(people.juna.agent, 'The shot', { shotId });
  await write(people.juna.agent, 'Its take', { takeId: shots.shots[0].takes[0].id });
  expect(await texts(`shotId=${shotId}`)).toEqual(['The shot', 'Its take']);
  const about = (await inbox(studio.owner, true)).comments.slice(0, 2);
  expect(about.map((c) => [c.text, c.about, c.seriesId])).toEqual([
    ['Its take', 'Tale, One', series.id],
    ['The shot', 'Tale, One', series.id],
  ]);
  expect(about.every((c) => c.thumbnailUrl)).toBe(true);
});

describe('an inbox', () => {
  const mine = async (who: Agent) => (await inbox(who)).comments.filter((c) => c.thingId === take);
  const shown = async (who: Agent) => (await mine(who)).map((c) => [c.text, c.unread]);

  test('holds what names one, and what goes on in threads in which one takes part', async () => {
    const { juna, cora, vera } = people;
    const first = await write(juna.agent, 'Look, @Cora and @juna');
    expect(first.mentioned).toEqual([cora.id]);
    expect(await shown(cora.agent)).toEqual([['Look, @Cora and @juna', true]]);
    expect(await shown(juna.agent)).toEqual([]);
    await answer(cora.agent, first, 'I did');
    expect(await shown(juna.agent)).toEqual([['I did', true]]);
    expect(await shown(vera.agent)).toEqual([]);
    const all = (await inbox(vera.agent, true)).comments.filter((c) => c.thingId === take);
    expect(all.map((c) => [c.text, c.forMe, c.unread])).toEqual([
      ['I did', false, false],
      ['Look, @Cora and @juna', false, false],
    ]);
    expect(all[0]).toMatchObject({ about: 'Quay', mixId: mix });
    expect(all[0].thumbnailUrl).toBeDefined();
  });

  test('what was read is not new, what comes later is; and all of it can be read at once', async () => {
    const { juna, cora } = people;
    const first = await write(juna.agent, '@cora one');
    const second = await answer(juna.agent, first, 'two');
    const { unread } = await inbox(cora.agent);
    await post(cora.agent, 'comments/read', { ids: [second.id] }, 204);
    expect(await shown(cora.agent)).toEqual([
      ['two', false],
      ['@cora one', false],
    ]);
    expect((await inbox(cora.agent)).unread).toBe(unread - 2);
    // an older one read again takes nothing back
    await post(cora.agent, 'comments/read', { ids: [first.id] }, 204);
    await answer(juna.agent, first, 'three');
    expect((await shown(cora.agent)).map(([, isNew]) => isNew)).toEqual([true, false, false]);
    await post(cora.agent, 'comments/read-all', {}, 204);
    expect((await inbox(cora.agent)).unread).toBe(0);
    await post(cora.agent, 'comments/read', { ids: [] }, 400);
  });

  test('what is deleted is in none; a name that was taken out calls nobody any more', async () => {
    const { juna, cora } = people;
    const first = await write(juna.agent, '@cora');
    await change(juna.agent, first, { text: 'nobody' }).expect(200);
    expect(await shown(cora.agent)).toEqual([]);
    const next = await write(juna.agent, '@cora again');
    await juna.agent.delete(`/api/v1/comments/${next.id}`).expect(204);
    expect(await shown(cora.agent)).toEqual([]);
  });

  test('holds nothing of a project that was closed to somebody', async () => {
    const { cora } = people;
    const project = await post<{ id: string; version: number }>(studio.owner, 'projects', { name: 'Few' });
    const other = await post<{ id: string }>(studio.owner, 'mixes', { name: 'Secret', projectId: project.id });
    await write(studio.owner, '@cora, see', { mixId: other.id });
    const there = async () => (await inbox(cora.agent, true)).comments.filter((c) => c.thingId === other.id).length;
    expect(await there()).toBe(1);
    const { unread } = await inbox(cora.agent);
    await studio.owner
      .patch(`/api/v1/projects/${project.id}`)
      .send({ version: project.version, restricted: true })
      .expect(200);
    expect(await there()).toBe(0);
    expect((await inbox(cora.agent)).unread).toBe(unread - 1);
  });
});

test('a draft that somebody commented on stays, however many come after it', async () => {
  const own = await post<{ id: string }>(studio.owner, 'mixes', { name: 'Many', prompt: 'a hill' });
  const draft = async () => {
    const { id } = await post<{ id: string }>(studio.owner, 'takes', { mixId: own.id, quality: 'draft', seed: 1 });
    await studio.jobs.idle();
    return id;
  };
  const [kept, gone] = [await draft(), await draft()];
  await write(people.juna.agent, 'This one', { takeId: kept });
  for (let k = 0; k < 62; k++) await draft();
  await studio.owner.get(`/api/v1/takes/${kept}`).expect(200);
  await studio.owner.get(`/api/v1/takes/${gone}`).expect(404);
}, 120_000);

test('whoever works alone writes notes to themselves, and has no inbox', async () => {
  const alone = await openStudio();
  const { id } = await bringIn(alone);
  const { body } = await alone.ask.post('/api/v1/comments').send({ referenceId: id, text: 'Mind @me' }).expect(201);
  expect(body).toMatchObject({ text: 'Mind @me', mentioned: [] });
  expect((body as CommentDto).person).toBeUndefined();
  await alone.ask.patch(`/api/v1/comments/${body.id}`).send({ version: 1, text: 'Mind', resolved: true }).expect(200);
  expect((await alone.ask.get('/api/v1/comments/inbox?all=true').expect(200)).body).toEqual({
    comments: [],
    unread: 0,
  });
  await alone.ask
    .post('/api/v1/comments/read')
    .send({ ids: [body.id] })
    .expect(204);
  await alone.ask.post('/api/v1/comments/read-all').expect(204);
  await alone.close();
});
