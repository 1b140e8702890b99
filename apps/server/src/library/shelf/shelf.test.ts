import { openMemory, type Memory } from '../../test/memory';
import { EventsService } from '../../platform/events/events.service';
import { ShelfController } from './shelf.controller';
import { ShelfItemEntity } from './shelf.entity';

let memory: Memory;
let told: string[];
beforeEach(async () => {
  memory = await openMemory();
  told = [];
});
afterEach(() => memory.close());
const shelf = () => {
  const events = new EventsService();
  events.stream.subscribe((e) => told.push(e.type));
  return new ShelfController(memory.em(), events);
};

test('what is put on it is there, by name, and is told of', async () => {
  const made = await shelf().add({ kind: 'phrase', name: 'Reeds', text: 'tall reeds in the wind' });
  await shelf().add({ kind: 'phrase', name: 'Dusk', text: 'soft evening light' });
  expect((await shelf().list()).map((i) => i.name)).toEqual(['Dusk', 'Reeds']);
  expect((await shelf().list())[1]).toEqual({
    id: made.id,
    kind: 'phrase',
    name: 'Reeds',
    text: 'tall reeds in the wind',
  });
  expect(told).toEqual(['shelf', 'shelf']);
});

test('what is taken away is gone; what is not there says so', async () => {
  const { id } = await shelf().add({ kind: 'phrase', name: 'Dusk', text: 'soft evening light' });
  await shelf().remove(id);
  expect(await shelf().list()).toEqual([]);
  await expect(shelf().remove(id)).rejects.toThrow(/This phrase is not here/);
  expect(told).toEqual(['shelf', 'shelf']);
});

test('a full shelf takes nothing more', async () => {
  const em = memory.em();
  for (let k = 0; k < 500; k++)
    em.create(ShelfItemEntity, { id: `${k}`, kind: 'phrase', name: 'x', text: 'x', createdAt: new Date() });
  await em.flush();
  await expect(shelf().add({ kind: 'phrase', name: 'one more', text: 'x' })).rejects.toThrow(
    /500 things lie on the shelf/,
  );
  expect(await memory.em().count(ShelfItemEntity)).toBe(500);
});
