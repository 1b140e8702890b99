/** An old library is read again after a start: what is in use first, and nothing twice. */
import { EntityManager } from '@mikro-orm/core';
import { READER } from '../library/lookAt.service';
import { ReferenceEntity, type Vision } from '../library/reference.entity';
import { NO_MODEL } from '../library/visionState';
import { JobEntity } from '../platform/jobs/job.entity';
import { bringIn, openStudio, type TestStudio } from '../test/studio';
import { ReadAgainService } from './readAgain.service';

let studio: TestStudio;

beforeEach(async () => {
  studio = await openStudio();
});
afterEach(() => studio.close());

const fork = () => studio.app.get(EntityManager).fork();
const begin = () => studio.app.get(ReadAgainService).begin();

/** Brings in pictures that somebody has looked at; the ids of the references. */
async function lookedAt(...models: string[]): Promise<string[]> {
  const ids: string[] = [];
  for (const [k, model] of models.entries()) {
    const { id } = await bringIn(studio, 20 + k);
    await studio.jobs.idle();
    const vision: Vision = { model, faces: [], joints: [] };
    await fork().nativeUpdate(ReferenceEntity, { id }, { vision });
    ids.push(id);
  }
  return ids;
}

const inLine = async () => {
  const jobs = await fork().find(JobEntity, { kind: 'look-at' }, { orderBy: { priority: 'asc', sequence: 'asc' } });
  return jobs.filter((j) => j.state !== 'done').map((j) => j.subject);
};

test('what this reader has read, and what nothing could read, is left alone', async () => {
  await lookedAt(READER, NO_MODEL);
  expect(await begin()).toBe(0);
  expect(await inLine()).toEqual([]);
});

test('what an older one has read comes again, the cast’s pictures before all others', async () => {
  const [first, second, third] = await lookedAt('an older one', 'an older one', READER);
  await studio.ask
    .post('/api/v1/cast')
    .send({ name: 'Runa', species: 'person', items: [{ referenceId: first }] })
    .expect(201);
  // nothing is taken from the line while it is looked at
  const jobs = jest.spyOn(studio.jobs, 'enqueue').mockResolvedValue();
  expect(await begin()).toBe(2);
  const [, ...asked] = jobs.mock.calls[0];
  expect(asked.map((j) => j.subject)).toEqual([first, second]);
  expect(asked.every((j) => j.priority! > 6)).toBe(true);
  expect(asked.map((j) => j.subject)).not.toContain(third);
});

test('where there are no models now, what they once read is not forgotten', async () => {
  const [id] = await lookedAt('an older one');
  const traits = { glasses: { choice: 'yes', confidence: 0.9 } };
  const vision: Vision = { model: 'an older one', faces: [], joints: [], traits };
  await fork().nativeUpdate(ReferenceEntity, { id }, { vision });
  expect(await begin()).toBe(1);
  await studio.jobs.idle();
  expect((await fork().findOneOrFail(ReferenceEntity, { id })).vision).toEqual(vision);
  expect(await inLine()).toEqual([]);
});

test('the studio says how many pictures are still unread', async () => {
  const { body } = await studio.ask.get('/api/v1/studio').expect(200);
  expect((body as { unread: number }).unread).toBe(0);
});
