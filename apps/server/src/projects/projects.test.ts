import { Reaches } from '../platform/access/reaches';
import { EventsService } from '../platform/events/events.service';
import { openMemory, putCharacter, putLook, putReference, type Memory } from '../test/memory';
import { bringIn, openStudio, type TestStudio } from '../test/studio';
import { ProjectEntity } from './project.entity';
import { ProjectsService } from './projects.service';

describe('projects', () => {
  let memory: Memory;
  let told: string[];
  beforeEach(async () => {
    memory = await openMemory();
    told = [];
    const em = memory.em();
    'abc'.split('').forEach((id) => putReference(em, id));
    putLook(em, 'chalk', []);
    putCharacter(em, 'ilse');
    await em.flush();
  });
  afterEach(() => memory.close());
  const projects = () => {
    const events = new EventsService();
    events.stream.subscribe((e) => told.push(`${e.type} ${(e as { id: string }).id}`));
    return new ProjectsService(memory.em(), events, new Reaches());
  };
  const pictures = async (id: string) => (await memory.em().findOneOrFail(ProjectEntity, { id })).pictures.join('');

  test('every studio has one from the start, which mixes belong to that name none', async () => {
    expect(await projects().list()).toEqual([
      expect.objectContaining({ id: 'first', name: 'My first project', pictures: 0, settings: {}, archived: false }),
    ]);
    expect(await projects().usual()).toEqual({ projectId: 'first', lookId: undefined, settings: {} });
  });

  test('a new one has its look, its settings and its picks, each once', async () => {
    const made = await projects().create({
      name: 'Cards',
      lookId: 'chalk',
      settings: { aspect: '1:1' },
      looks: ['chalk', 'chalk'],
      cast: ['ilse'],
    });
    expect(made).toMatchObject({ name: 'Cards', looks: ['chalk'], cast: ['ilse'], version: 1 });
    expect(await projects().usual(made.id)).toEqual({
      projectId: made.id,
      lookId: 'chalk',
      settings: { aspect: '1:1' },
    });
    expect((await projects().list()).map((p) => p.name)).toEqual(['My first project', 'Cards']);
    expect(told).toEqual([`project ${made.id}`]);
  });

  test('what is changed is changed alone, on what is there', async () => {
    const { id, version } = await projects().create({ name: 'Cards', lookId: 'chalk', looks: ['chalk'] });
    const changed = await projects().change(id, { version, lookId: '', archived: true });
    expect(changed).toMatchObject({ name: 'Cards', lookId: undefined, looks: ['chalk'], archived: true, version: 2 });
    const again = await projects().change(id, { version: 2, name: 'Card set', looks: [], settings: { balance: 0.5 } });
    expect(again).toMatchObject({ name: 'Card set', looks: [], settings: { balance: 0.5 }, archived: true });
    expect(await projects().get(id)).toEqual(again);
    await expect(projects().change(id, { version: 2, name: 'x' })).rejects.toMatchObject({
      document: { status: 409, current: { name: 'Card set' } },
    });
  });

  test('it picks pictures in an order, and each change can be taken back', async () => {
    const picked = await projects().arrange('first', { place: [{ id: 'a' }, { id: 'b' }, { id: 'c', before: 'a' }] });
    expect([await pictures('first'), picked.project.pictures, picked.project.first]).toEqual(['cab', 3, 'c']);
    const left = await projects().arrange('first', { takeOut: ['a'] });
    expect(await pictures('first')).toBe('cb');
    await projects().arrange('first', left.back);
    expect(await pictures('first')).toBe('cab');
  });

  test('what is not in the studio is not picked, and says which field it was', async () => {
    const { id, version } = await projects().create({ name: 'Cards' });
    const refused = (act: Promise<unknown>, field: string) =>
      expect(act).rejects.toMatchObject({ document: { status: 400, errors: [{ field }] } });
    await refused(projects().create({ name: 'x', lookId: 'nowhere' }), 'lookId');
    await refused(projects().change(id, { version, looks: ['chalk', 'nowhere'] }), 'looks');
    await refused(projects().change(id, { version, cast: ['nobody'] }), 'cast');
    await refused(projects().arrange(id, { place: [{ id: 'z' }] }), 'place');
    await expect(projects().usual('nowhere')).rejects.toThrow(/This project is not here/);
    expect(await projects().list()).toHaveLength(2);
  });

  test('a studio has only so many', async () => {
    const em = memory.em();
    const now = new Date();
    for (let k = 0; k < 199; k++)
      em.create(ProjectEntity, {
        id: `p${k}`,
        name: 'x',
        lookId: null,
        settings: {},
        pictures: [],
        looks: [],
        cast: [],
        archived: false,
        createdAt: now,
        updatedAt: now,
        version: 1,
      });
    await em.flush();
    await expect(projects().create({ name: 'one more' })).rejects.toThrow(/200 projects/);
  });
});

describe('over the wire', () => {
  let studio: TestStudio;
  beforeAll(async () => (studio = await openStudio()));
  afterAll(() => studio.close());
  const post = async (path: string, body: object) =>
    (await studio.ask.post(`/api/v1/${path}`).send(body).expect(201)).body as { id: string; [field: string]: unknown };

  test('a mix begins as its project says, belongs to it, and can move to another one', async () => {
    const { id: referenceId } = await bringIn(studio, 1);
    const look = await post('looks', { name: 'Ink', items: [{ referenceId, weight: 1 }] });
    const { id } = await post('projects', { name: 'Cards', lookId: look.id, settings: { aspect: '1:1', spread: 0.4 } });
    const mix = await post('mixes', { name: 'One card', projectId: id });
    expect(mix).toMatchObject({
      projectId: id,
      settings: { aspect: '1:1', spread: 0.4, balance: 1 },
      influences: [{ of: 'look', referenceId: look.id }],
    });
    expect(await post('mixes', { name: 'Another' })).toMatchObject({
      projectId: 'first',
      settings: { aspect: '3:2' },
      influences: [],
    });
    const moved = await studio.ask
      .patch(`/api/v1/mixes/${mix.id}`)
      .send({ version: 1, projectId: 'first' })
      .expect(200);
    expect(moved.body).toMatchObject({ projectId: 'first', name: 'One card' });
    await studio.ask.patch(`/api/v1/mixes/${mix.id}`).send({ version: 2, projectId: 'nowhere' }).expect(404);
    await studio.ask.post('/api/v1/mixes').send({ projectId: 'nowhere' }).expect(404);
    await studio.ask
      .post('/api/v1/projects')
      .send({ name: 'x', settings: { aspect: '9:1' } })
      .expect(400);
    await studio.ask
      .post('/api/v1/projects')
      .send({ name: 'x', settings: { seed: 4 } })
      .expect(400);
  });

  test('the library is narrowed to what a project picked, in its order', async () => {
    const [a, b] = [await bringIn(studio, 2), await bringIn(studio, 3)];
    await studio.ask
      .post('/api/v1/projects/first/arrange')
      .send({ place: [{ id: a.id }, { id: b.id }] })
      .expect(200);
    const { body } = await studio.ask.get('/api/v1/references/search?collection=first').expect(200);
    expect((body as { ids: string[] }).ids).toEqual([a.id, b.id]);
  });
});
