import { openShared, type Agent, type SharedStudio } from '../test/people';
import { openStudio } from '../test/studio';
import type { TakeDto } from './take.dto';

let studio: SharedStudio;
let juna: { readonly agent: Agent; readonly id: string };
let tove: { readonly agent: Agent; readonly id: string };
let series: string;
let shot: string;
let mix: string;

const call = (who: Agent, line: string, body?: object) => {
  const [verb, path] = line.split(' ');
  return who[verb.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete'](`/api/v1/${path}`).send(body);
};
const takeOf = async (id: string) => (await studio.owner.get(`/api/v1/takes/${id}`).expect(200)).body as TakeDto;
const change = async (who: Agent, id: string, body: object) =>
  call(who, `PATCH takes/${id}`, { version: (await takeOf(id)).version, ...body });
const member = (id: string, body: object) => call(studio.owner, `PUT projects/first/members/${id}`, body).expect(200);
const detail = (answer: { body: unknown }) => (answer.body as { detail: string }).detail;

let prompts = 0;
interface Shots {
  readonly shots: readonly { readonly version: number; readonly takes: readonly { readonly id: string }[] }[];
}
const shots = async () => ((await studio.owner.get(`/api/v1/series/${series}`).expect(200)).body as Shots).shots;

/** A new finished take of the shot, of other words than those before. */
async function rendered(): Promise<string> {
  const [{ version }] = await shots();
  await call(studio.owner, `PATCH shots/${shot}`, { version, prompt: `${++prompts} hills` }).expect(200);
  const body = { shotIds: [shot], quality: 'draft' };
  const answer = await call(studio.owner, `POST series/${series}/render`, body);
  expect(answer.status).toBeLessThan(300);
  await studio.jobs.idle();
  const known = new Set(seen);
  const { id } = (await shots())[0].takes.find((t) => !known.has(t.id))!;
  seen.push(id);
  return id;
}
const seen: string[] = [];

beforeAll(async () => {
  studio = await openShared();
  juna = await studio.newPerson('commenter', 'juna');
  tove = await studio.newPerson('editor', 'tove');
  mix = (
    (await call(studio.owner, 'POST mixes', { name: 'Quay', prompt: 'a boat' }).expect(201)).body as { id: string }
  ).id;
  series = ((await call(studio.owner, 'POST series', { name: 'Tale', mixId: mix }).expect(201)).body as { id: string })
    .id;
  await call(studio.owner, `POST series/${series}/shots`, { shots: [{ title: 'One', prompt: 'a hill' }] }).expect(201);
  const { body } = await studio.owner.get(`/api/v1/series/${series}`);
  shot = (body as { shots: { id: string }[] }).shots[0].id;
  await member(juna.id, { role: 'commenter', approver: true });
}, 60_000);
afterAll(() => studio.close());

test('a keeper is approved by those who approve in its project and by owners; others are told who does', async () => {
  const id = await rendered();
  const none = await call(juna.agent, `PUT takes/${id}/approval`).expect(409);
  expect(detail(none)).toContain('Keep this take first');
  await await change(tove.agent, id, { keeper: true });
  const refused = await call(tove.agent, `PUT takes/${id}/approval`).expect(403);
  expect(detail(refused)).toBe('Only those who approve in this project can do that: Petra Wild, juna.');
  const { body } = await call(juna.agent, `PUT takes/${id}/approval`).expect(200);
  expect((body as TakeDto).approved).toMatchObject({ by: juna.id });
  // who approved it first did
  const again = (await call(studio.owner, `PUT takes/${id}/approval`).expect(200)).body as TakeDto;
  expect(again.approved).toEqual((body as TakeDto).approved);
  expect((await shots())[0].takes.find((t) => t.id === id)).toMatchObject({ approved: again.approved });
  await call(tove.agent, `DELETE takes/${id}/approval`).expect(403);
  const open = (await call(studio.owner, `DELETE takes/${id}/approval`).expect(200)).body as TakeDto;
  expect(open.approved).toBeUndefined();
});

test('an approved keeper is locked: neither put back, rejected, deleted nor replaced before that is taken back', async () => {
  const id = await rendered();
  await change(tove.agent, id, { keeper: true });
  await call(juna.agent, `PUT takes/${id}/approval`).expect(200);
  const [back, rejected] = [
    await change(tove.agent, id, { keeper: false }),
    await change(tove.agent, id, { rejected: true }),
  ];
  expect([back.status, rejected.status]).toEqual([409, 409]);
  expect(detail(back)).toContain('Take the approval back first');
  await call(tove.agent, `DELETE takes/${id}`).expect(409);
  const other = await rendered();
  expect(other).not.toBe(id);
  expect((await change(tove.agent, other, { keeper: true })).status).toBe(409);
  expect(await takeOf(other)).toMatchObject({ keeper: false });
  // what does not unkeep it is still said of it
  expect((await change(juna.agent, id, { rating: 4 })).status).toBe(200);
  expect(await takeOf(id)).toMatchObject({ keeper: true, rejected: false, rating: 4 });
  await call(juna.agent, `DELETE takes/${id}/approval`).expect(200);
  expect((await change(tove.agent, other, { keeper: true })).status).toBe(200);
  expect(await takeOf(id)).toMatchObject({ keeper: false });
});

test('a retake does not replace an approved keeper either, and one that is approved is not taken back', async () => {
  const id = await rendered();
  await change(studio.owner, id, { keeper: true });
  await call(studio.owner, `PUT takes/${id}/approval`).expect(200);
  const plan = { prompt: 'a hill by night', seed: 3, own: { influences: [], added: [] } };
  await call(studio.owner, `POST series/${series}/shots/${shot}/tries`, { label: 'By night', plan }).expect(201);
  await studio.jobs.idle();
  const [{ takes }] = (await shots()) as unknown as { takes: { id: string; trial?: { batch: string } }[] }[];
  const tried = takes.find((t) => t.trial)!;
  const keep = () => call(studio.owner, `POST series/${series}/tries/${tried.trial!.batch}/keep`);
  await keep().expect(409);
  expect(await takeOf(id)).toMatchObject({ keeper: true });
  expect(await takeOf(tried.id)).toMatchObject({ keeper: false });
  await call(studio.owner, `DELETE takes/${id}/approval`).expect(200);
  expect((await keep()).status).toBeLessThan(300);
  await call(studio.owner, `PUT takes/${tried.id}/approval`).expect(200);
  await call(studio.owner, `POST series/${series}/tries/${tried.trial!.batch}/take-back`).expect(409);
  await call(studio.owner, `DELETE takes/${tried.id}/approval`).expect(200);
});

test('somebody who approves no longer cannot, and a role that is changed leaves it as it is', async () => {
  const id = await rendered();
  await change(studio.owner, id, { keeper: true });
  await member(juna.id, { role: 'viewer' });
  await call(juna.agent, `PUT takes/${id}/approval`).expect(403);
  const { body } = await member(juna.id, { role: 'commenter' });
  expect((body as { members: object[] }).members).toContainEqual({
    person: juna.id,
    role: 'commenter',
    approver: true,
  });
  await call(juna.agent, `PUT takes/${id}/approval`).expect(200);
  await call(juna.agent, `DELETE takes/${id}/approval`).expect(200);
  await member(juna.id, { role: 'commenter', approver: false });
  await call(juna.agent, `PUT takes/${id}/approval`).expect(403);
  await call(studio.owner, 'PUT takes/nothing/approval').expect(404);
});

test('whoever works alone approves their own keepers', async () => {
  const alone = await openStudio();
  const { body } = await alone.ask.post('/api/v1/mixes').send({ name: 'Mine', prompt: 'a boat' });
  const asked = await alone.ask.post('/api/v1/takes').send({ mixId: (body as { id: string }).id, quality: 'draft' });
  await alone.jobs.idle();
  const { id } = asked.body as { id: string };
  const { version } = (await alone.ask.get(`/api/v1/takes/${id}`)).body as { version: number };
  await alone.ask.patch(`/api/v1/takes/${id}`).send({ version, keeper: true }).expect(200);
  const approved = ((await alone.ask.put(`/api/v1/takes/${id}/approval`).expect(200)).body as TakeDto).approved!;
  expect(approved.by).toBeUndefined();
  expect(approved.at).toBeDefined();
  await alone.close();
});
