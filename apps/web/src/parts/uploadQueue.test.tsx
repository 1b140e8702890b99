import { waitFor } from '@testing-library/react';
import { UploadQueue } from './uploadQueue';
import { dropFile, keepFiles, waitingFiles, type WaitingFile } from './waitingFiles';

jest.mock('./waitingFiles', () => ({ keepFiles: jest.fn(), dropFile: jest.fn(), waitingFiles: jest.fn() }));

/** A request that a test answers itself. */
class Request {
  static made: Request[] = [];
  status = 0;
  responseText = '';
  upload: { onprogress?: (e: Partial<ProgressEvent>) => void } = {};
  onload?: () => void;
  onerror?: () => void;
  body?: FormData;
  open = jest.fn();
  send(body: FormData) {
    this.body = body;
    Request.made.push(this);
  }
  answer(status: number, responseText = '') {
    Object.assign(this, { status, responseText });
    this.onload!();
  }
}

const kept = new Map<string, WaitingFile>();
const file = (name: string) => new File(['x'], name, { type: 'image/png' });
const nth = async (n: number) => {
  await waitFor(() => expect(Request.made.length).toBeGreaterThan(n));
  return Request.made[n];
};

beforeEach(() => {
  kept.clear();
  Request.made = [];
  Object.assign(globalThis, { XMLHttpRequest: Request });
  jest.mocked(keepFiles).mockImplementation((files) => {
    files.forEach((f) => kept.set(f.id, f));
    return Promise.resolve();
  });
  jest.mocked(dropFile).mockImplementation((id) => Promise.resolve(void kept.delete(id)));
  jest.mocked(waitingFiles).mockImplementation(() => Promise.resolve([...kept.values()]));
});

function aQueue() {
  const queue = new UploadQueue();
  const told = { arrived: jest.fn(), refused: jest.fn() };
  Object.assign(queue, { onArrived: told.arrived, onRefused: told.refused });
  return { queue, ...told };
}
const names = (queue: UploadQueue) => queue.snapshot().map((s) => s.name);

describe('the queue of files to the studio', () => {
  test('three go at once, the next when one is there; what is there is kept no more', async () => {
    const { queue, arrived } = aQueue();
    await queue.add(['a', 'b', 'c', 'd', 'e'].map(file));
    await nth(2);
    expect(Request.made).toHaveLength(3);
    expect(kept.size).toBe(5);
    Request.made[1].answer(202);
    expect((await nth(3)).body!.get('file')).toMatchObject({ name: 'd' });
    expect(names(queue)).toEqual(['a', 'c', 'd', 'e']);
    expect([...kept.values()].map((f) => f.name)).toEqual(['a', 'c', 'd', 'e']);
    expect(arrived).toHaveBeenCalledTimes(1);
  });

  test('ids sort as the files were chosen', async () => {
    const { queue } = aQueue();
    await queue.add(['a', 'b', 'c'].map(file));
    const ids = queue.snapshot().map((s) => s.id);
    expect([...ids].sort()).toEqual(ids);
    expect(ids.every((id) => /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-/.test(id))).toBe(true);
  });

  test('says how much of a file is sent', async () => {
    const { queue } = aQueue();
    await queue.add([file('a')]);
    const request = await nth(0);
    request.upload.onprogress!({ lengthComputable: true, loaded: 1, total: 4 });
    expect(queue.snapshot()[0].sent).toBe(0.25);
    request.upload.onprogress!({ lengthComputable: false, loaded: 3, total: 0 });
    expect(queue.snapshot()[0].sent).toBe(0.25);
  });

  test.each([
    [JSON.stringify({ detail: 'It is no picture.' }), 'a: It is no picture.'],
    ['<html>', 'a: The studio refused it.'],
  ])('one that is refused says why and leaves the queue', async (text, says) => {
    const { queue, refused } = aQueue();
    await queue.add([file('a')]);
    (await nth(0)).answer(415, text);
    await waitFor(() => expect(names(queue)).toEqual([]));
    expect(refused).toHaveBeenCalledWith(says);
    expect(kept.size).toBe(0);
  });

  test.each([
    ['does not answer', (r: Request) => r.onerror!()],
    ['has a fault', (r: Request) => r.answer(503)],
  ])('while the studio %s nothing is lost, and it is sent again', async (_, fails) => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask'] });
    try {
      const { queue, refused } = aQueue();
      await queue.add([file('a')]);
      fails(Request.made[0]);
      await jest.advanceTimersByTimeAsync(2900);
      expect(names(queue)).toEqual(['a']);
      expect(Request.made).toHaveLength(1);
      await jest.advanceTimersByTimeAsync(200);
      expect(Request.made).toHaveLength(2);
      Request.made[1].answer(202);
      await jest.advanceTimersByTimeAsync(0);
      expect(names(queue)).toEqual([]);
      expect(refused).not.toHaveBeenCalled();
    } finally {
      jest.useRealTimers();
    }
  });

  test('goes on with what an earlier page left, but not with what it sends already', async () => {
    const { queue } = aQueue();
    await queue.add([file('a')]);
    kept.set('old', { id: 'old', name: 'left', file: file('left') });
    await queue.resume();
    expect(names(queue)).toEqual(['a', 'left']);
    await queue.resume();
    expect(names(queue)).toEqual(['a', 'left']);
  });

  test('a browser without room sends all the same', async () => {
    jest.mocked(keepFiles).mockRejectedValue(new Error('no room'));
    const { queue } = aQueue();
    await queue.add([file('a')]);
    await nth(0);
    expect(names(queue)).toEqual(['a']);
  });
});
