import { EventsService } from '../../platform/events/events.service';
import { openMemory, putReference, type Memory } from '../../test/memory';
import { openStudio, bringIn, type TestStudio } from '../../test/studio';
import { CollectionEntity } from './collection.entity';
import { CollectionsService } from './collections.service';

describe('collections', () => {
  let memory: Memory;
  let told: string[];
  beforeEach(async () => {
    memory = await openMemory();
    told = [];
    const em = memory.em();
    'abcdef'.split('').forEach((id) => putReference(em, id));
    await em.flush();
  });
  afterEach(() => memory.close());
  /** The service as a request has it: with a database of its own. */
  const collections = () => {
    const events = new EventsService();
    events.stream.subscribe((e) => told.push(`${e.type} ${(e as { id: string }).id}`));
    return new CollectionsService(memory.em(), events);
  };
  const items = async (id: string) => (await memory.em().findOneOrFail(CollectionEntity, { id })).items.join('');
  const reeds = () => collections().create({ name: 'Reeds', items: ['a', 'b', 'c', 'b'] });

  test('what is put together by hand keeps its order, every picture once, and is told of', async () => {
    const made = await reeds();
    expect(made).toMatchObject({ name: 'Reeds', count: 3, first: 'a', search: undefined, version: 1 });
    await collections().create({ name: 'Dusk', search: 'words=dusk' });
    expect((await collections().list()).map(({ name, search, count }) => [name, search, count])).toEqual([
      ['Dusk', 'words=dusk', 0],
      ['Reeds', undefined, 3],
    ]);
    expect(told[0]).toBe(`collection ${made.id}`);
  });

  test('pictures are put in, moved and taken out, and each can be taken back', async () => {
    const { id } = await reeds();
    const added = await collections().arrange(id, { place: [{ id: 'd', before: 'b' }, { id: 'e' }] });
    expect([await items(id), added.collection.count]).toEqual(['adbce', 5]);
    const moved = await collections().arrange(id, { place: [{ id: 'e', before: 'a' }] });
    const out = await collections().arrange(id, { takeOut: ['e', 'c'] });
    expect([await items(id), out.collection.first]).toEqual(['adb', 'a']);
    await collections().arrange(id, out.back);
    expect(await items(id)).toBe('eadbc');
    await collections().arrange(id, moved.back);
    await collections().arrange(id, added.back);
    expect(await items(id)).toBe('abc');
  });

  test('two who arrange at the same time both have their way', async () => {
    const { id } = await reeds();
    await Promise.all(['d', 'e', 'f'].map((one) => collections().arrange(id, { place: [{ id: one, before: 'b' }] })));
    expect((await items(id)).split('').sort().join('')).toBe('abcdef');
  });

  test('its name is changed on what is there, and a search may be another', async () => {
    const { id, version } = await collections().create({ name: 'Dusk', search: 'words=dusk' });
    const changed = await collections().change(id, { version, name: 'Evening', search: 'words=evening' });
    expect(changed).toMatchObject({ name: 'Evening', search: 'words=evening', version: 2 });
    expect(await collections().get(id)).toEqual(changed);
    await expect(collections().change(id, { version, name: 'Night' })).rejects.toMatchObject({
      document: { status: 409, current: { name: 'Evening' } },
    });
  });

  test('what is deleted comes back as it was', async () => {
    const { id } = await reeds();
    await collections().remove(id);
    expect(await collections().list()).toEqual([]);
    await expect(collections().arrange(id, {})).rejects.toThrow(/This collection is not here/);
    await expect(collections().remove(id)).rejects.toThrow(/This collection is not here/);
    expect(await collections().restore(id)).toMatchObject({ name: 'Reeds', count: 3 });
    await expect(collections().restore('nobody')).rejects.toThrow(/This collection is not here/);
  });

  test('what cannot be says why, and changes nothing', async () => {
    const { id, version } = await reeds();
    const search = await collections().create({ name: 'Dusk', search: 'words=dusk' });
    await expect(collections().create({ name: 'x', items: ['a'], search: 'words=x' })).rejects.toThrow(/by hand/);
    await expect(collections().create({ name: 'x', items: ['a', 'z'] })).rejects.toThrow(/1 of these pictures/);
    await expect(collections().arrange(id, { takeOut: ['a'], place: [{ id: 'z' }] })).rejects.toThrow(/not in the lib/);
    await expect(collections().arrange(search.id, { place: [{ id: 'a' }] })).rejects.toThrow(/is a search/);
    await expect(collections().change(id, { version, search: 'words=x' })).rejects.toThrow(/has no search/);
    expect(await items(id)).toBe('abc');
    const em = memory.em();
    em.assign(await em.findOneOrFail(CollectionEntity, { id }), {
      items: Array.from({ length: 5000 }, (_, k) => `many${k}`),
    });
    await em.flush();
    await expect(collections().arrange(id, { place: [{ id: 'a' }] })).rejects.toThrow(/at most 5000/);
  });

  test('a studio has only so many', async () => {
    const em = memory.em();
    const now = new Date();
    for (let k = 0; k < 500; k++)
      em.create(CollectionEntity, {
        id: `c${k}`,
        name: 'x',
        items: [],
        search: null,
        createdAt: now,
        updatedAt: now,
        version: 1,
      });
    await em.flush();
    await expect(reeds()).rejects.toThrow(/500 collections/);
  });
});

describe('over the wire', () => {
  let studio: TestStudio;
  beforeAll(async () => (studio = await openStudio()));
  afterAll(() => studio.close());

  test('the library is narrowed to a collection, in its order; what was used last comes first where that is asked', async () => {
    const pictures = await Promise.all([1, 2, 3].map((k) => bringIn(studio, k)));
    const ids = pictures.map((p) => p.id);
    const wanted = [ids[1], ids[2], ids[0]];
    const { body } = await studio.ask.post('/api/v1/collections').send({ name: 'Reeds', items: wanted }).expect(201);
    const { id } = body as { id: string };
    const found = async (query: string) =>
      ((await studio.ask.get(`/api/v1/references/search?${query}`).expect(200)).body as { ids: string[] }).ids;
    expect(await found(`collection=${id}`)).toEqual(wanted);
    await studio.ask
      .post(`/api/v1/collections/${id}/arrange`)
      .send({ takeOut: [ids[2]], place: [{ id: ids[0], before: ids[1] }] })
      .expect(200);
    expect(await found(`collection=${id}`)).toEqual([ids[0], ids[1]]);
    await studio.ask.post('/api/v1/collections').send({ name: '' }).expect(400);
    await studio.ask
      .post(`/api/v1/collections/${id}/arrange`)
      .send({ place: [{ id: '../up' }] })
      .expect(400);
  });
});
