/** The demo studio: drawn once, into an empty studio only, and each step can be done again without doing anything twice. */
import { EntityManager, RequestContext } from '@mikro-orm/core';
import { CONFIG, type Config } from '../platform/config';
import { EventsService } from '../platform/events/events.service';
import { JobEntity, type Job } from '../platform/jobs/job.entity';
import { ReferenceEntity } from '../library/reference.entity';
import { LookEntity } from '../looks/look.entity';
import { CharacterEntity } from '../cast/character.entity';
import { MixEntity } from '../mixes/mix.entity';
import { TakeEntity } from '../takes/take.entity';
import { bringIn, openStudio, type TestStudio } from '../test/studio';
import { DEMO_PICTURES, MIX_NEEDS } from './demoContent';
import { DEMO_MIX, DEMO_SERIES, DEMO_YEAR_MIX } from './demoMix';
import { ProjectEntity } from '../projects/project.entity';
import { ShotEntity } from '../series/series.entity';
import { DEMO_BOOK, DEMO_CARDS, DEMO_CARDS_SERIES } from './demoProjects';
import { DemoService } from './demo.service';
import { DEMO_CAST, DEMO_LOOKS } from './demoSheets';

let studio: TestStudio;
let demo: DemoService;
let em: EntityManager;

beforeAll(async () => {
  studio = await openStudio();
  demo = studio.app.get(DemoService);
});
beforeEach(() => {
  em = studio.app.get(EntityManager).fork();
});
afterAll(() => studio.close());

const step = (subject: string) => demo.run({ subject } as Job, em as never);

test('its pictures have keys and titles of their own, and what stands on them is there', () => {
  const keys = DEMO_PICTURES.map((p) => p.key);
  expect(new Set(keys).size).toBe(keys.length);
  expect(new Set(DEMO_PICTURES.map((p) => p.title)).size).toBe(keys.length);
  for (const { pictures } of [...DEMO_LOOKS, ...DEMO_CAST]) for (const [key] of pictures) expect(keys).toContain(key);
  for (const key of DEMO_CARDS.pictures) expect(keys).toContain(key);
  for (const id of [DEMO_BOOK.lookId, DEMO_CARDS.lookId, ...DEMO_CARDS.looks!])
    expect(DEMO_LOOKS.map((l) => l.id)).toContain(id);
  const cast = DEMO_CAST.map((c) => c.id);
  for (const i of [...DEMO_MIX.influences!, ...DEMO_YEAR_MIX.influences!])
    expect('of' in i && i.of === 'character' ? cast : keys).toContain(i.referenceId);
});

test('the first mix stands on the pictures that are drawn first', () => {
  const first = DEMO_PICTURES.slice(0, MIX_NEEDS).map((p) => p.key);
  for (const i of DEMO_MIX.influences!) expect(first).toContain(i.referenceId);
});

test('the shots of the series have titles, words and seeds of their own', () => {
  expect(new Set(DEMO_SERIES.shots.map((s) => s.title)).size).toBe(DEMO_SERIES.shots.length);
  for (const shot of DEMO_SERIES.shots) expect(shot.prompt.length).toBeGreaterThan(10);
});

test('it is not begun where nobody wants it', async () => {
  await demo.begin();
  expect(await em.count(JobEntity, { kind: 'demo' })).toBe(0);
});

test('a picture is drawn once, with its tags, and the studio is told how far it is', async () => {
  const told: unknown[] = [];
  const heard = studio.app.get(EventsService).stream.subscribe((e) => e.type === 'studio' && told.push(e.demo));
  const [picture] = DEMO_PICTURES;
  await step(picture.key);
  await step(picture.key);
  heard.unsubscribe();
  const rows = await em.fork().find(ReferenceEntity, { demoKey: picture.key });
  expect(rows).toHaveLength(1);
  expect(rows[0]).toMatchObject({ title: picture.title, kind: picture.kind, tags: [...picture.tags] });
  expect(told).toHaveLength(2);
});

test('what nobody knows how to draw is passed over', async () => {
  const before = await em.count(ReferenceEntity);
  await step('no such picture');
  expect(await em.fork().count(ReferenceEntity)).toBe(before);
});

test('the mix takes the pictures that are there, and asks for one take, once', async () => {
  await step('mix');
  await step('mix');
  const mix = await em.fork().findOneOrFail(MixEntity, { id: 'demo-mix' });
  expect(mix.prompt).toBe(DEMO_MIX.prompt);
  // one picture is drawn in this test: only influences of it are there
  for (const i of mix.influences) expect(await em.fork().count(ReferenceEntity, { id: i.referenceId })).toBe(1);
  expect(await em.fork().count(TakeEntity, { mixId: 'demo-mix', isControl: false })).toBe(1);
  await studio.jobs.idle();
});

test('looks and sheets are made of what is there, once, and the first look gets its plate', async () => {
  // the looks need a picture each
  for (const { pictures } of DEMO_LOOKS.slice(0, 1)) await step(pictures[0][0]);
  await step('sheets');
  const [looks, cast] = [await em.fork().count(LookEntity), await em.fork().count(CharacterEntity)];
  expect([looks, cast]).toEqual([DEMO_LOOKS.length, DEMO_CAST.length]);
  await step('sheets');
  expect([await em.fork().count(LookEntity), await em.fork().count(CharacterEntity)]).toEqual([looks, cast]);
  const first = await em.fork().findOneOrFail(LookEntity, { id: DEMO_LOOKS[0].id });
  expect(first.items.length).toBeGreaterThan(0);
  expect(first.sampleTakeId).toBeTruthy();
  await studio.jobs.idle();
});

test('where somebody has begun already it is not drawn, however much it is wanted', async () => {
  await bringIn(studio, 91);
  const wanted = { ...studio.app.get<Config>(CONFIG), demo: true };
  const config = (demo as unknown as { config: Config }).config;
  Object.assign(demo, { config: wanted });
  await RequestContext.create(em, () => demo.begin());
  Object.assign(demo, { config });
  expect(await em.fork().count(JobEntity, { kind: 'demo' })).toBe(0);
});

test('two projects stand on one library: each with its look, its pictures and its mixes, made once', async () => {
  for (const key of DEMO_CARDS.pictures.slice(0, 2)) await step(key);
  await step('cards');
  await step('cards');
  const fresh = em.fork();
  const [book, cards] = [DEMO_BOOK, DEMO_CARDS].map(({ id }) => fresh.findOneOrFail(ProjectEntity, { id }));
  expect(await book).toMatchObject({ name: 'The Tidepost', lookId: 'demo-look-chalk', pictures: [] });
  const { pictures, looks, lookId, settings } = await cards;
  expect({ looks, lookId, settings }).toEqual({
    looks: DEMO_CARDS.looks,
    lookId: DEMO_CARDS.lookId,
    settings: { aspect: '1:1', ornateness: 0.2 },
  });
  // one of the two was drawn for the looks already
  expect(pictures.length).toBeGreaterThanOrEqual(2);
  expect((await fresh.findOneOrFail(MixEntity, { id: 'demo-mix' })).projectId).toBe(DEMO_BOOK.id);
  const mix = await fresh.findOneOrFail(MixEntity, { id: 'demo-cards-mix' });
  expect(mix).toMatchObject({ projectId: DEMO_CARDS.id, settings: { aspect: '1:1' } });
  expect(mix.influences.map((i) => i.referenceId)).toEqual(['demo-look-carved']);
  expect(await fresh.count(ShotEntity, { seriesId: 'demo-cards-series' })).toBe(12);
  expect(await fresh.count(TakeEntity, { mixId: 'demo-cards-mix', shotId: null, isControl: false })).toBe(1);
  expect(new Set(DEMO_CARDS_SERIES.shots.map((s) => s.prompt)).size).toBe(12);
  await studio.jobs.idle();
});

describe('in an empty studio', () => {
  test('its steps stand in line: what the mix needs, the mix, the rest', async () => {
    const empty = await openStudio();
    try {
      const service = empty.app.get(DemoService);
      // nothing is begun: the line alone is looked at
      const enqueue = jest.spyOn(empty.jobs, 'enqueue').mockResolvedValue(undefined as never);
      Object.assign(service, { config: { ...empty.app.get<Config>(CONFIG), demo: true } });
      await service.begin();
      const subjects = (enqueue.mock.calls[0] as unknown as { subject: string }[]).slice(1).map((j) => j.subject);
      expect(subjects).toHaveLength(DEMO_PICTURES.length + 4);
      expect(subjects.indexOf('mix')).toBe(MIX_NEEDS);
      expect(subjects.slice(-2)).toEqual(['series', 'cards']);
      expect(subjects.at(-3)).toBe('sheets');
      expect(await service.progress(empty.app.get(EntityManager).fork())).toEqual({ done: 0, total: 0 });
    } finally {
      await empty.close();
    }
  });
});

test('the studio says who it is, what its engine takes and what waits', async () => {
  const { body } = await studio.ask.get('/api/v1/studio').expect(200);
  expect(body).toMatchObject({ name: 'The Tidepost', engine: { name: 'urbild' }, queue: [], waitsForRoom: false });
  expect((body as { engine: { gives: string[] } }).engine.gives).toContain('look');
});
