/** What component tests stand on: the page's providers, answers of a server that is not there, and things to show. */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, type RenderResult } from '@testing-library/react';
import { Tooltip } from 'radix-ui';
import type { ReactElement } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import {
  api,
  type MixInfluence,
  type Reference,
  type Series,
  type Shot,
  type ShotTake,
  type Take,
} from '../api/client';
import type { Comment } from '../api/comments';
import { NoticeProvider } from '../parts/notices';
import { lookupIn, type Lookup } from '../shared/mix/lookup';
import { WeighProvider } from '../shared/mix/WeighProvider';

/** Shows a part of the page within everything that it expects around it; `at` is its address, `path` how a route reads it. */
export function show(part: ReactElement, { at = '/', path = '*' }: { at?: string; path?: string } = {}): RenderResult {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(part, {
    wrapper: ({ children }) => (
      <QueryClientProvider client={client}>
        <NoticeProvider>
          <Tooltip.Provider>
            <MemoryRouter initialEntries={[at]}>
              <WeighProvider>
                <Routes>
                  <Route path={path} element={children} />
                  <Route path="*" element={<Elsewhere />} />
                </Routes>
              </WeighProvider>
            </MemoryRouter>
          </Tooltip.Provider>
        </NoticeProvider>
      </QueryClientProvider>
    ),
  });
}

/** Where the page has gone to from what a test shows. */
const Elsewhere = () => <p data-testid="elsewhere">{useLocation().pathname}</p>;

/** One request that the page made. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
  readonly params: unknown;
}

/**
 * Answers requests by "METHOD /path" as the OpenAPI document names it; a number is an error of that status, a function answers for the
 * body that was sent. What is not answered for is 404. Returns what was asked, in order.
 */
export function answers(by: Readonly<Record<string, unknown>>): Asked[] {
  const asked: Asked[] = [];
  for (const method of ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const)
    jest.spyOn(api, method).mockImplementation(((path: string, options: { body?: unknown; params?: unknown } = {}) => {
      asked.push({ method, path, body: options.body, params: options.params });
      const given = by[`${method} ${path}`] ?? 404;
      const answer: unknown = typeof given === 'function' ? (given as (body: unknown) => unknown)(options.body) : given;
      const status = typeof answer === 'number' ? answer : 200;
      return Promise.resolve(
        typeof answer === 'number'
          ? { error: { detail: `No: ${status}` }, response: { ok: false, status } }
          : { data: answer, response: { ok: true, status } },
      );
    }) as never);
  return asked;
}

/** An influence with the usual numbers. */
export const anInfluence = (fields: Partial<MixInfluence> = {}): MixInfluence => ({
  id: 'a',
  referenceId: 'r',
  gives: 'look',
  weight: 0.8,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
  ...fields,
});

/** A finished proof of one influence. */
export const aTake = (fields: Partial<Take> = {}): Take =>
  ({
    id: 't',
    status: 'done',
    quality: 'proof',
    prompt: 'a mill in the marsh',
    avoid: '',
    seed: 4,
    width: 768,
    height: 512,
    settings: { aspect: '3:2', seed: 4, balance: 1 },
    influences: [anInfluence()],
    arrivals: [anArrival({ overall: 0.62, colour: 0.7, surface: 0.54 })],
    unasked: [],
    remarks: [],
    figures: [],
    words: [],
    notDrawn: [],
    understood: [],
    unheard: [],
    keeper: false,
    rejected: false,
    rating: 0,
    note: '',
    engine: 'urbild 0.6.0',
    olderEngine: false,
    createdAt: '2026-01-02T00:00:00.000Z',
    version: 1,
    ...fields,
  }) as Take;

/** A style of two colours that nothing is wrong with. */
export const aReference = (fields: Partial<Reference> = {}): Reference =>
  ({
    id: 'r',
    kind: 'style',
    title: 'Carved quay',
    tags: ['harbour'],
    notes: '',
    rating: 0,
    favourite: false,
    rights: { kind: 'own work' },
    width: 1200,
    height: 800,
    format: 'png',
    sourceUrl: '/source/r',
    pictureUrl: '/picture/r',
    thumbnailUrl: '/thumb/r',
    alt: 'A quay, carved',
    swatches: [
      { colour: '#203040', weight: 0.7 },
      { colour: '#c0a060', weight: 0.3 },
    ],
    preparation: { rotate: 0, mirror: false, sharpen: 0, flatten: false, cutOut: false },
    corrections: {
      faces: [],
      joints: [],
      horizon: -1,
      swatches: [],
      layout: { read: 'picture' },
      areas: [],
      matte: '',
    },
    checks: [],
    checkState: 'fine',
    visionState: 'done',
    prompts: ['a quay at noon'],
    metadata: {},
    usedIn: 1,
    away: false,
    createdAt: '2026-01-02T00:00:00.000Z',
    version: 3,
    ...fields,
  }) as Reference;

/** Arrival of an influence; judged on the whole picture. */
export const anArrival = (fields: Partial<Take['arrivals'][number]> = {}): Take['arrivals'][number] => ({
  influenceId: 'a',
  same: [],
  unlike: [],
  judged: [],
  untold: [],
  ...fields,
});

/** A finished draft of a shot. */
export const aShotTake = (fields: Partial<ShotTake> = {}): ShotTake => ({
  id: 't',
  status: 'done',
  quality: 'draft',
  seed: 5,
  width: 300,
  height: 200,
  pictureUrl: '/take/t',
  thumbnailUrl: '/small/t',
  arrivals: [{ influenceId: 'a', overall: 0.5 }],
  wordsKept: 0.9,
  keeper: false,
  rating: 0,
  rejected: false,
  note: '',
  engine: 'urbild 0.6.0',
  olderEngine: false,
  createdAt: '2026-01-02T00:00:00.000Z',
  version: 1,
  ...fields,
});

/** A shot that is not rendered yet. */
export const aShot = (fields: Partial<Shot> = {}): Shot => ({
  id: 's',
  position: 0,
  title: 'The pier',
  prompt: 'Ilse on the pier',
  notes: '',
  seed: 5,
  skipped: false,
  own: { influences: [], added: [] },
  acting: [],
  differs: [],
  stale: [],
  takes: [],
  version: 1,
  ...fields,
});

/** A series of one mix, with the shots that are given. */
export const aSeries = (shots: Shot[], fields: Partial<Series> = {}): Series => ({
  id: 'e',
  name: 'Harbour book',
  mixId: 'm',
  influences: [anInfluence()],
  paused: false,
  queue: { waiting: 0, rendering: 0 },
  shots,
  version: 1,
  ...fields,
});

/** Names for the things above: reference r is a style called "Carved quay". */
export const lookup: Lookup = lookupIn(
  new Map([['r', { name: 'Carved quay', hue: 'style' as const, thumbnailUrl: '/thumb/r' }]]),
);

/** Something that was said about a take, just now. */
export const aComment = (id: string, fields: Partial<Comment> = {}): Comment => ({
  id,
  kind: 'take',
  thingId: 't',
  threadId: id,
  person: 'j',
  text: `Text of ${id}`,
  mentioned: [],
  resolved: false,
  createdAt: new Date().toISOString(),
  deleted: false,
  version: 1,
  ...fields,
});
