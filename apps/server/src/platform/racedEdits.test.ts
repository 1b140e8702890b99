import type { ReferenceDto } from '../library/reference.dto';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';

let studio: TestStudio;
let reference: ReferenceDto;
beforeAll(async () => {
  studio = await openStudio();
  reference = await bringIn(studio);
});
afterAll(() => studio.close());

/** Sends one change twelve times at once, all based on one version; the statuses that were answered. */
async function raced(method: 'patch' | 'put', address: string, body: (k: number) => object): Promise<number[]> {
  const all = Array.from({ length: 12 }, (_, k) => studio.ask[method](`/api/v1${address}`).send(body(k)));
  return (await Promise.all(all)).map((answer) => answer.status);
}
const counted = (statuses: number[]) => [200, 409].map((status) => statuses.filter((s) => s === status).length);

test.each([
  [
    'weights of a look',
    async () => {
      const items = (k: number) => [{ referenceId: reference.id, weight: k / 10 }];
      const { body } = await studio.ask
        .post('/api/v1/looks')
        .send({ name: 'Raced', items: items(1) })
        .expect(201);
      const { id, version } = body as { id: string; version: number };
      return raced('patch', `/looks/${id}`, (k) => ({ version, items: items(k) }));
    },
  ],
  [
    'sharpening',
    async () => {
      const { version } = (await studio.ask.get(`/api/v1/references/${reference.id}`)).body as ReferenceDto;
      return raced('put', `/references/${reference.id}/preparation`, (k) => ({
        version,
        preparation: { sharpen: (k + 1) / 20, cutOut: false, flatten: false },
      }));
    },
  ],
  [
    'a mix',
    async () => {
      const mix = await newMix(studio, reference);
      return raced('patch', `/mixes/${mix.id}`, (k) => ({ version: mix.version, prompt: `number ${k}` }));
    },
  ],
  [
    'a character',
    async () => {
      const { body } = await studio.ask.post('/api/v1/cast').send({ name: 'Raced' }).expect(201);
      const { id, version } = body as { id: string; version: number };
      return raced('patch', `/cast/${id}`, (k) => ({ version, usualWeight: k / 10 }));
    },
  ],
])(
  '%s: of twelve changes at once one is taken, the others are told of it, and none is an error of the studio',
  async (_, race) => {
    expect(counted(await race())).toEqual([1, 11]);
  },
);
