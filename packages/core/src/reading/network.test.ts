import { Random } from '../maths/random';
import { answerOf, learnNetwork, oddsOf, packNetwork, unpackNetwork, type Lesson } from './network';

const random = new Random(3);
/** Points of a square in which opposite corners belong together: no straight line tells them apart. */
const corners = Array.from({ length: 300 }, (): Lesson & { readonly kind: number } => {
  const [x, y] = [random.range(-1, 1), random.range(-1, 1)];
  const kind = x * y > 0 ? 0 : 1;
  return { features: Float32Array.of(x, y, random.normal()), wanted: kind ? [0, 1] : [1, 0], kind };
});
const LEARNING = { hidden: 8, rounds: 60, rate: 0.02, decay: 0.0005 };
const learnt = learnNetwork(corners.slice(0, 200), ['same', 'other'], 'choices', LEARNING);

test('it tells apart what no straight line can, in points that it has not seen', () => {
  const unseen = corners.slice(200);
  const right = unseen.filter(({ features, kind }) => {
    const [same, other] = answerOf(learnt, features);
    return kind === (other > same ? 1 : 0);
  });
  expect(right.length).toBeGreaterThan(0.85 * unseen.length);
});

test('numbers are learnt as they are, also beside each other', () => {
  const lessons = Array.from({ length: 300 }, (_, i): Lesson => {
    const x = (i / 300) * 4 - 2;
    return { features: Float32Array.of(x), wanted: [Math.sin(2 * x), x * x] };
  });
  const network = learnNetwork(lessons, ['wave', 'bowl'], 'numbers', { ...LEARNING, hidden: 12, rounds: 150 });
  const off = lessons.map(({ features, wanted }) => {
    const answer = answerOf(network, features);
    return Math.max(Math.abs(answer[0] - wanted[0]), Math.abs(answer[1] - wanted[1]));
  });
  expect(off.reduce((a, b) => a + b, 0) / off.length).toBeLessThan(0.15);
});

test('the same lessons give the same network; another seed gives another', () => {
  const some = corners.slice(0, 40);
  const learn = (seed: number) =>
    learnNetwork(some, ['a', 'b'], 'choices', { ...LEARNING, rounds: 3, drop: 0.2, seed }).hidden[0];
  expect(learn(5)).toEqual(learn(5));
  expect(learn(5)).not.toEqual(learn(6));
});

test('packed into 8 bits a weight it says nearly the same', () => {
  const packed = unpackNetwork(JSON.parse(JSON.stringify(packNetwork(learnt))) as ReturnType<typeof packNetwork>);
  expect(packed.names).toEqual(['same', 'other']);
  for (const { features } of corners.slice(0, 30)) {
    const [before, after] = [learnt, packed].map((n) => oddsOf(answerOf(n, features)));
    expect(Math.abs(before[0] - after[0])).toBeLessThan(0.1);
  }
});

test('odds are parts of one, and large numbers do them no harm', () => {
  expect([...oddsOf([1000, 1000])]).toEqual([0.5, 0.5]);
  expect(oddsOf([0, -800])[0]).toBe(1);
});

test('from nothing nothing is learnt', () => {
  expect(() => learnNetwork([], ['a'], 'numbers', LEARNING)).toThrow(RangeError);
});
