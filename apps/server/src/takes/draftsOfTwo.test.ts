import type { ReferenceDto } from '../library/reference.dto';
import { openShared, type Agent, type SharedStudio } from '../test/people';
import { testPng } from '../test/studio';
import type { TakeDto } from './take.dto';

let studio: SharedStudio;
let juna: Agent;
let mixId: string;
beforeAll(async () => {
  studio = await openShared();
  juna = (await studio.newPerson('editor', 'juna')).agent;
  const sent = await studio.owner.post('/api/v1/references').attach('file', await testPng(120, 80, 3), 'a.png');
  const { id: referenceId } = (sent.body as { reference: ReferenceDto }).reference;
  const influences = [{ id: 'a', referenceId, gives: 'look', weight: 1, from: 0, to: 1, reading: 'normal', on: true }];
  const mix = await studio.owner.post('/api/v1/mixes').send({ name: 'M', prompt: 'a quay', influences }).expect(201);
  mixId = (mix.body as { id: string }).id;
});
afterAll(() => studio.close());

const draft = async (who: Agent, prompt: string) =>
  ((await who.post('/api/v1/takes').send({ mixId, quality: 'draft', prompt }).expect(201)).body as TakeDto).id;
const isThere = async (id: string) => (await studio.owner.get(`/api/v1/takes/${id}`)).status === 200;

test('of two people at one mix neither takes away what the other waits for; one’s own newer draft does', async () => {
  const hers = await draft(studio.owner, 'a quay at dusk');
  const first = await draft(juna, 'a quay in snow');
  const second = await draft(juna, 'a quay in fog');
  await studio.jobs.idle();
  expect(await Promise.all([hers, first, second].map(isThere))).toEqual([true, false, true]);
});
