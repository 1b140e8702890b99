import { openApiDocument } from '../../application';
import { openStudio, type TestStudio } from '../../test/studio';

interface Field {
  readonly items?: Field;
  readonly [bound: string]: unknown;
}

let studio: TestStudio;
let schemas: Record<string, { properties: Record<string, Field> }>;
beforeAll(async () => {
  studio = await openStudio();
  schemas = openApiDocument(studio.app).components!.schemas as never;
});
afterAll(() => studio.close());

test.each([
  ['NewLookDto', 'items', { maxItems: 40 }],
  ['NewLookDto', 'name', { minLength: 1, maxLength: 120 }],
  ['NewMixDto', 'prompt', { maxLength: 2000 }],
  ['ChangeMixDto', 'influences', { maxItems: 24 }],
  ['ChangeMixDto', 'version', { minimum: 1 }],
  ['DecideDto', 'ids', { minItems: 1, maxItems: 500 }],
  ['JointDto', 'x', { minimum: -1, maximum: 2 }],
] as const)('%s tells the bounds of %s', (schema, field, bounds) => {
  expect(schemas[schema].properties[field]).toMatchObject(bounds);
});

test('a list of texts tells how many, and how long each may be', () => {
  const { tags } = schemas.ChangeReferenceDto.properties;
  expect(tags).toMatchObject({ maxItems: 40, items: { minLength: 1, maxLength: 60 } });
  expect(tags).not.toHaveProperty('maxLength');
});

test('what is told is what is refused', async () => {
  const items = (count: number) => Array.from({ length: count }, (_, k) => ({ referenceId: `r${k}`, weight: 1 }));
  const answer = (count: number) => studio.ask.post('/api/v1/looks').send({ name: 'Many', items: items(count) });
  const detail = ({ body }: { body: unknown }) => (body as { detail: string }).detail;
  expect(detail(await answer(41).expect(400))).toMatch(/at most 40/);
  expect(detail(await answer(40))).not.toMatch(/at most 40/);
});
