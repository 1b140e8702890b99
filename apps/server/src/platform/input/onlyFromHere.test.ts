import type { Request, Response } from 'express';
import type { Share } from '../share';
import { onlyFromHere } from './onlyFromHere';

/** 200 for a request that goes on, else the status of the refusal. */
function answer(share: Share | undefined, headers: Record<string, string>, path = '/api/v1/mixes'): number {
  let status = 200;
  const response = { status: (s: number) => ((status = s), response), type: () => response, send: () => response };
  onlyFromHere(share)({ headers, path } as unknown as Request, response as unknown as Response, () => undefined);
  return status;
}
const HERE = { host: '127.0.0.1:4310' };

describe('a studio of one’s own', () => {
  test.each([
    [HERE, 200],
    [{ host: 'localhost:1', origin: 'http://localhost:1' }, 200],
    [{ host: '[::1]:4310', 'sec-fetch-site': 'same-origin' }, 200],
    [{ host: 'studio.example' }, 403],
    [{ ...HERE, origin: 'http://evil.example' }, 403],
    [{ ...HERE, origin: 'https://127.0.0.1:4310' }, 403],
    [{ ...HERE, origin: 'null' }, 403],
    [{ ...HERE, 'sec-fetch-site': 'cross-site' }, 403],
    [{}, 403],
  ])('%j: %d', (headers, status) => expect(answer(undefined, headers as Record<string, string>)).toBe(status));

  test('a link from elsewhere may open the page, not what is below /api', () => {
    expect(answer(undefined, { ...HERE, 'sec-fetch-site': 'cross-site' }, '/library')).toBe(200);
  });
});

describe('a shared studio', () => {
  const found = { publicUrl: 'https://studio.example' };
  test.each<[Share, Record<string, string>, number]>([
    [{}, { host: '192.168.0.7:4310', origin: 'http://192.168.0.7:4310' }, 200],
    [{}, { host: '192.168.0.7:4310', origin: 'http://evil.example' }, 403],
    [found, { host: 'studio.example', origin: 'https://studio.example' }, 200],
    [found, { host: 'localhost:4310' }, 200],
    [found, { host: 'other.example' }, 403],
    [found, { host: 'studio.example', origin: 'https://studio.example:8443' }, 403],
    [found, { host: 'studio.example', 'sec-fetch-site': 'same-site' }, 403],
  ])('%j %j: %d', (share, headers, status) => expect(answer(share, headers)).toBe(status));
});
