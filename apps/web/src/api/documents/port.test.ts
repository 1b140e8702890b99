import { Refused, Stale, Withheld } from '../../shared/save/saveQueue';
import { ServerProblem } from '../client';
import { meaning, portOf, withEdits } from './port';

interface Note {
  id: string;
  version: number;
  text: string;
  made: string;
}
const note = (fields: Partial<Note> = {}): Note => ({ id: 'n', version: 3, text: 'a', made: 'then', ...fields });
const state = ({ text }: Note) => ({ text });
const stored = (n: Note) => ({ state: state(n), version: n.version });
const problem = (status: number, current?: Note) => new ServerProblem(status, `No: ${status}`, current);

describe('what a failed write means', () => {
  test('overtaken: the newer document comes with it', () => {
    const stale = meaning(problem(409, note({ version: 7, text: 'b' })), stored);
    expect(stale).toBeInstanceOf(Stale);
    expect((stale as Stale<unknown>).current).toEqual({ state: { text: 'b' }, version: 7 });
  });

  test.each([400, 404, 409, 413, 422])('%s without a newer document is refused for good', (status) => {
    const refused = meaning(problem(status), stored);
    expect(refused).toBeInstanceOf(Refused);
    expect((refused as Error).message).toBe(`No: ${status}`);
  });

  test.each([401, 408, 425, 429, 500, 502, 503, 504, 507])('%s may go well later', (status) => {
    const later = problem(status);
    expect(meaning(later, stored)).toBe(later);
  });

  test('what one may not do is withheld, with the reason', () => {
    const withheld = meaning(problem(403), stored);
    expect(withheld).toBeInstanceOf(Withheld);
    expect((withheld as Error).message).toBe('No: 403');
  });

  test('no answer at all may go well later, in words of its own', () => {
    const silent = meaning(problem(0), stored);
    expect(silent).not.toBeInstanceOf(Refused);
    expect((silent as Error).message).toBe('The studio does not answer.');
  });

  test('what is no answer of the server stays what it is', () => {
    const slip = new TypeError('slip');
    expect(meaning(slip, stored)).toBe(slip);
  });
});

describe('the way of a document to the server', () => {
  test('sends what changed with the version, and hands on the whole answer', async () => {
    const arrived = jest.fn();
    const send = jest.fn(() => Promise.resolve(note({ version: 4, text: 'c' })));
    const port = portOf<Note, { text: string }>(state, send, arrived);
    await expect(port.send({ text: 'c' }, 3, true)).resolves.toEqual({ state: { text: 'c' }, version: 4 });
    expect(send).toHaveBeenCalledWith({ text: 'c', version: 3 }, true);
    expect(arrived).toHaveBeenCalledWith(note({ version: 4, text: 'c' }));
  });

  test('a failure says what it means and hands nothing on', async () => {
    const arrived = jest.fn();
    const port = portOf<Note, { text: string }>(state, () => Promise.reject(problem(422)), arrived);
    await expect(port.send({ text: 'c' }, 3, false)).rejects.toBeInstanceOf(Refused);
    expect(arrived).not.toHaveBeenCalled();
  });

  test('a document that nobody edits is shown as the server has it', () => {
    expect(withEdits('note n', note(), state)).toEqual(note());
  });
});
