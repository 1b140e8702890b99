import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen, waitFor } from '@testing-library/react';
import { answers, aTake } from '../test/page';
import type { Studio, Take } from './client';
import { EventsProvider, useProgress } from './events';
import { keys } from './keys';

/** A stream that a test speaks for. */
class Stream extends EventTarget {
  static open: Stream[] = [];
  onerror?: () => void;
  onopen?: () => void;
  readonly close = jest.fn(() => (Stream.open = Stream.open.filter((s) => s !== this)));
  constructor(readonly address: string) {
    super();
    Stream.open.push(this);
  }
  say(type: string, data: object) {
    act(() => void this.dispatchEvent(new MessageEvent(type, { data: JSON.stringify({ type, ...data }) })));
  }
}

let client: QueryClient;
beforeEach(() => {
  Stream.open = [];
  Object.assign(globalThis, { EventSource: Stream });
  client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  answers({});
});
const seen = (state: DocumentVisibilityState) => {
  jest.spyOn(document, 'visibilityState', 'get').mockReturnValue(state);
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
};

const Shown = ({ id }: { id: string }) => {
  const progress = useProgress(id);
  return <p>{progress ? `${progress.step} ${progress.fraction}` : 'nothing'}</p>;
};
function listen() {
  const out = render(
    <QueryClientProvider client={client}>
      <EventsProvider>
        <Shown id="t" />
      </EventsProvider>
    </QueryClientProvider>,
  );
  return { ...out, stream: Stream.open[0] };
}
const stale = (key: readonly unknown[]) => client.getQueryState(key)!.isInvalidated;

describe('the events of the studio', () => {
  test('a take shows how far it is until it ends', async () => {
    const { stream } = listen();
    stream.say('progress', { id: 't', fraction: 0.4, step: 'surface' });
    expect(screen.getByText('surface 0.4')).toBeVisible();
    stream.say('take', { id: 't', status: 'rendering', mixId: 'm' });
    expect(screen.getByText('surface 0.4')).toBeVisible();
    stream.say('take', { id: 't', status: 'failed', mixId: 'm' });
    expect(await screen.findByText('nothing')).toBeVisible();
  });

  test('a picture is shown as soon as it is there, before it is measured; the finished take takes its place', async () => {
    const done = aTake({ id: 't', mixId: 'm', pictureUrl: '/new', wordsKept: 0.7 });
    answers({ 'GET /api/v1/takes/{id}': done });
    client.setQueryData(keys.takes('m'), [aTake({ id: 's' }), aTake({ id: 't', status: 'rendering' })]);
    const { stream } = listen();
    stream.say('take', { id: 't', status: 'pictured', mixId: 'm', pictureUrl: '/soon' });
    const takes = () => client.getQueryData<Take[]>(keys.takes('m'))!;
    expect(takes().map((t) => [t.id, t.status, t.pictureUrl])).toEqual([
      ['s', 'done', undefined],
      ['t', 'rendering', '/soon'],
    ]);
    stream.say('take', { id: 't', status: 'done', mixId: 'm' });
    await waitFor(() => expect(takes()[1]).toEqual(done));
    expect(takes()[0].id).toBe('s');
  });

  test('what comes together is read again together, each with all that it concerns', () => {
    jest.useFakeTimers();
    try {
      for (const id of ['a', 'b', 'c']) client.setQueryData(keys.reference(id), { id });
      client.setQueryData(['search', 'x'], {});
      const again = jest.spyOn(client, 'invalidateQueries');
      const { stream } = listen();
      for (const id of ['a', 'b']) stream.say('reference', { id });
      jest.advanceTimersByTime(10);
      expect([stale(keys.reference('a')), stale(keys.reference('b')), stale(keys.reference('c'))]).toEqual([
        true,
        true,
        false,
      ]);
      expect(stale(['search', 'x'])).toBe(false);
      jest.advanceTimersByTime(2000);
      expect(stale(['search', 'x'])).toBe(true);
      expect(again.mock.calls.filter(([f]) => f?.queryKey?.[0] === 'search')).toHaveLength(1);
    } finally {
      jest.useRealTimers();
    }
  });

  test('the demo that is being drawn is counted, and all is read again when it is complete', () => {
    client.setQueryData(keys.studio, { demo: { done: 0, total: 2 }, engine: {} });
    client.setQueryData(['search', 'x'], {});
    const { stream } = listen();
    stream.say('studio', { demo: { done: 1, total: 2 } });
    expect(client.getQueryData<Studio>(keys.studio)!.demo).toEqual({ done: 1, total: 2 });
    expect(stale(['search', 'x'])).toBe(false);
    stream.say('studio', { demo: { done: 2, total: 2 } });
    expect(stale(['search', 'x'])).toBe(true);
  });

  test('only a window in sight holds a connection; after a pause anything may have changed', () => {
    client.setQueryData(keys.looks, []);
    const { stream, unmount } = listen();
    act(() => stream.onopen!());
    expect(stale(keys.looks)).toBe(false);
    seen('hidden');
    expect(stream.close).toHaveBeenCalled();
    expect(Stream.open).toEqual([]);
    seen('visible');
    seen('visible');
    expect(Stream.open).toHaveLength(1);
    act(() => Stream.open[0].onopen!());
    expect(stale(keys.looks)).toBe(true);
    unmount();
    expect(Stream.open).toEqual([]);
  });

  test('a connection that was lost and comes back makes everything be read again', () => {
    client.setQueryData(keys.looks, []);
    const { stream } = listen();
    stream.onerror!();
    act(() => stream.onopen!());
    expect(stale(keys.looks)).toBe(true);
  });
});
