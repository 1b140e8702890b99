import { holdStream } from './heldStream';

class Stream {
  static readonly CLOSED = 2;
  static all: Stream[] = [];
  readyState = 0;
  onerror?: () => void;
  onopen?: () => void;
  constructor() {
    Stream.all.push(this);
  }
  close() {
    this.readyState = Stream.CLOSED;
  }
  refuse() {
    this.readyState = Stream.CLOSED;
    this.onerror?.();
  }
}
const heard = { listen: jest.fn(), onMissed: jest.fn(), onRefused: jest.fn() };
let letGo: () => void;
beforeEach(() => {
  jest.useFakeTimers();
  jest.clearAllMocks();
  Stream.all = [];
  Object.assign(globalThis, { EventSource: Stream });
  letGo = holdStream(heard);
});
afterEach(() => {
  letGo();
  jest.useRealTimers();
});

test('what was refused is told of and asked for again a little later, until it is open', () => {
  Stream.all[0].refuse();
  expect(heard.onRefused).toHaveBeenCalledTimes(1);
  expect(Stream.all).toHaveLength(1);
  jest.advanceTimersByTime(3_000);
  expect(Stream.all).toHaveLength(2);
  Stream.all[1].onopen?.();
  expect(heard.onMissed).toHaveBeenCalledTimes(1);
  jest.advanceTimersByTime(60_000);
  expect(Stream.all).toHaveLength(2);
  expect(heard.listen).toHaveBeenCalledTimes(2);
});

test('a stream that broke is the browser’s to mend', () => {
  Stream.all[0].onerror?.();
  jest.advanceTimersByTime(60_000);
  expect(heard.onRefused).not.toHaveBeenCalled();
  expect(Stream.all).toHaveLength(1);
  Stream.all[0].onopen?.();
  expect(heard.onMissed).toHaveBeenCalledTimes(1);
});

test('nothing was missed when it opens for the first time, and nothing is asked for after it was let go', () => {
  Stream.all[0].onopen?.();
  expect(heard.onMissed).not.toHaveBeenCalled();
  Stream.all[0].refuse();
  letGo();
  jest.advanceTimersByTime(60_000);
  expect(Stream.all).toHaveLength(1);
});
