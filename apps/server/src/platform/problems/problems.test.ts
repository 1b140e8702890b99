import { BadRequestException, NotFoundException, type ArgumentsHost, type ValidationError } from '@nestjs/common';
import { Problem, type ProblemDocument } from './problem';
import { fieldErrors, ProblemFilter } from './problemFilter';

/** What the filter sends for an error. */
function answerTo(error: unknown): { status: number; type: string; document: ProblemDocument } {
  const sent = { status: 0, type: '', body: '' };
  const response = {
    headersSent: false,
    getHeader: (name: string) => (name === 'x-request-id' ? 'seven' : undefined),
    status: (code: number) => ((sent.status = code), response),
    type: (name: string) => ((sent.type = name), response),
    send: (body: string) => ((sent.body = body), response),
  };
  const filter = new ProblemFilter();
  (filter as unknown as { logger: { error: () => void } }).logger = { error: () => {} };
  filter.catch(error, { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost);
  return { status: sent.status, type: sent.type, document: JSON.parse(sent.body) as ProblemDocument };
}

test.each([
  [Problem.notFound('This mix'), 404, /This mix is not here/],
  [Problem.invalid([{ field: 'weight', message: 'weight must be a number' }]), 400, /weight must be a number/],
  [Problem.stale({ version: 3 }), 409, /Nothing was overwritten/],
  [Problem.conflict('Not now.'), 409, /Not now/],
  [Problem.tooLarge('Too big.'), 413, /Too big/],
  [Problem.unreadable('Broken.'), 422, /Broken/],
  [Problem.forbidden('Not you.'), 403, /Not you/],
  [Problem.busy('Wait.'), 429, /Wait/],
  [new NotFoundException(), 404, /This page is not here/],
  [new BadRequestException('odd'), 400, /odd/],
  [Object.assign(new Error('entity too large'), { status: 413 }), 413, /40 MB/],
  [Object.assign(new Error('bad json'), { status: 400 }), 400, /bad json/],
])('%s is answered as a problem document', (error, status, detail) => {
  const answer = answerTo(error);
  expect(answer.status).toBe(status);
  expect(answer.type).toBe('application/problem+json');
  expect(answer.document).toMatchObject({ status, detail: expect.stringMatching(detail) });
  expect(answer.document.type).toMatch(/^urn:urbild:problem:/);
  expect(answer.document.instance).toBe('urn:request:seven');
  expect(answer.document.title.length).toBeGreaterThan(3);
});

test('an unexpected error says nothing of the inside', () => {
  const { status, document } = answerTo(new Error('secret path and password'));
  expect(status).toBe(500);
  expect(JSON.stringify(document)).not.toContain('secret');
  expect(document.detail).toMatch(/What was saved before is safe/);
});

test('errors of nested fields are named by their whole path', () => {
  const errors = [
    { property: 'name', constraints: { length: 'name is too long' } },
    {
      property: 'influences',
      children: [
        {
          property: '2',
          children: [{ property: 'weight', constraints: { max: 'weight must not be greater than 4' } }],
        },
      ],
    },
  ] as unknown as ValidationError[];
  expect(fieldErrors(errors)).toEqual([
    { field: 'name', message: 'name is too long' },
    { field: 'influences.2.weight', message: 'influences.2: weight must not be greater than 4' },
  ]);
});
