import type { Consistency, Shot, ShotTake } from '../../api/client';
import { marked } from '../../api/marked';
import {
  arrivalAt,
  clock,
  fallOf,
  filtered,
  lead,
  ownTakes,
  rowsOf,
  touchedShots,
  tries,
  underWay,
  usualBand,
} from './shots';

const take = (id: string, fields: Partial<ShotTake> = {}): ShotTake => ({
  id,
  status: 'done',
  quality: 'draft',
  seed: 1,
  width: 3,
  height: 2,
  arrivals: [],
  keeper: false,
  rating: 0,
  rejected: false,
  note: '',
  engine: 'urbild 0.6.0',
  olderEngine: false,
  createdAt: '',
  version: 1,
  ...fields,
});
const tried = (kept: boolean) => ({ kind: 'remedy' as const, batch: 'b', label: 'Another seed', kept });
const shot = (id: string, takes: ShotTake[], fields: Partial<Shot> = {}): Shot => ({
  id,
  position: 0,
  title: id,
  prompt: '',
  notes: '',
  seed: 1,
  skipped: false,
  own: { influences: [], added: [] },
  acting: [],
  differs: [],
  stale: [],
  leadId: takes[0]?.id,
  takes,
  version: 1,
  ...fields,
});

test('tries are no takes of a shot until they are kept', () => {
  const s = shot('a', [
    take('try', { trial: tried(false) }),
    take('kept', { trial: tried(true) }),
    take('gone', { status: 'cancelled' }),
    take('own'),
  ]);
  expect(ownTakes(s).map((t) => t.id)).toEqual(['kept', 'own']);
  expect(tries(s).map((t) => t.id)).toEqual(['try']);
});

test('what is under way is the take that comes first, not one that was only tried', () => {
  const s = shot('a', [
    take('later', { status: 'queued' }),
    take('try', { status: 'rendering', trial: tried(false) }),
    take('first', { status: 'rendering' }),
    take('done'),
  ]);
  expect(underWay(s)!.id).toBe('first');
  expect(underWay(shot('b', [take('done')]))).toBeUndefined();
});

test('a finding belongs to the take that it was made of', () => {
  const s = shot('a', [take('new'), take('old')]);
  const about = (takeId: string) => ({ falls: [{ shotId: 'a', takeId }] }) as unknown as Consistency;
  expect(fallOf(s, about('new'))).toBeTruthy();
  expect(fallOf(s, about('old'))).toBeUndefined();
  expect(fallOf(s, undefined)).toBeUndefined();
  expect(lead(s)!.id).toBe('new');
});

test('filters', () => {
  const shots = [
    shot('kept', [take('1', { keeper: true })]),
    shot('changed', [take('2')], { stale: ['seed'] }),
    shot('skipped', [], { skipped: true }),
    shot('falls', [take('4')]),
  ];
  const consistency = { falls: [{ shotId: 'falls', takeId: '4' }] } as unknown as Consistency;
  const ids = (f: Parameters<typeof filtered>[1]) => filtered(shots, f, consistency).map((s) => s.id);
  expect(ids('all')).toHaveLength(4);
  expect(ids('falls out')).toEqual(['falls']);
  expect(ids('changed')).toEqual(['changed']);
  expect(ids('no keeper')).toEqual(['changed', 'falls']);
  expect(ids('skipped')).toEqual(['skipped']);
});

test('arrivals below nothing are nothing, and those that were not measured are none', () => {
  const t = take('a', {
    arrivals: [{ influenceId: 'look', overall: -0.1 }, { influenceId: 'who', overall: 0.6 }, { influenceId: 'pose' }],
  });
  expect(['look', 'who', 'pose', 'other'].map((id) => arrivalAt(t, id))).toEqual([0, 0.6, null, null]);
});

test('the usual band leaves out what is far from most, and needs four values', () => {
  expect(usualBand([0.1, 0.2, null, 0.3])).toBeUndefined();
  const { low, high } = usualBand([0, 0.5, 0.52, 0.54, 0.56, 0.58, 1])!;
  expect(low).toBeGreaterThan(0.4);
  expect(high).toBeLessThan(0.9);
});

test('times and rows', () => {
  expect([0, 6000, 61_001].map(clock)).toEqual(['0:00', '0:06', '1:02']);
  expect(rowsOf([1, 2, 3, 4, 5], 2)).toEqual([[1, 2], [3, 4], [5]]);
  expect(rowsOf([], 3)).toEqual([]);
});

test('a shot has one keeper; a keeper is not rejected, a rejected take no keeper', () => {
  const s = shot('a', [take('1', { keeper: true }), take('2', { rejected: true })]);
  const kept = marked(s, s.takes[1], { keeper: true });
  expect(kept.takes.map((t) => [t.keeper, t.rejected])).toEqual([
    [false, false],
    [true, false],
  ]);
  expect(kept.leadId).toBe('2');
  const rejected = marked(kept, kept.takes[1], { rejected: true });
  expect(rejected.takes[1]).toMatchObject({ keeper: false, rejected: true });
  expect(marked(s, take('strange'), { keeper: true })).toBe(s);
});

describe('a frame over the sheet', () => {
  const shots = Array.from({ length: 7 }, (_, k) => ({ id: String(k) }));
  // rows of three, each 200 high, its pictures under a chart of 60
  const lie = { columns: 3, cell: 100, gap: 8, row: 200, chart: 60, left: 16, top: 8 };
  const over = (left: number, top: number, width: number, height: number) =>
    touchedShots(shots, { left, top, width, height }, lie).join('');
  test('picks what it touches, in rows that are out of sight as well', () => {
    expect(over(120, 100, 20, 20)).toBe('1');
    expect(over(100, 100, 40, 300)).toBe('0134');
    expect(over(0, 0, 1000, 1000)).toBe('0123456');
  });
  test('picks nothing in gaps, over charts and beside the last shot', () => {
    expect(over(117, 80, 6, 50)).toBe('');
    expect(over(20, 10, 200, 60)).toBe('');
    expect(over(130, 480, 300, 100)).toBe('');
  });
});
