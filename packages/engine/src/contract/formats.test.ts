import { readFileSync } from 'fs';
import path from 'path';
import { schemaText, withTables } from './formats';
import { readRequest } from './readRequest';

const read = (file: string) => readFileSync(path.join(__dirname, '../../../../docs/formats', file), 'utf8');
/** Tables as they mean, however wide their columns are. */
const plain = (text: string) => text.replace(/ +/g, ' ').replace(/-{3,}/g, '---');

test('the documents say what is declared: npm run formats', () => {
  expect(JSON.parse(read('render-request.schema.json'))).toEqual(JSON.parse(schemaText()));
  const document = read('render-request.md');
  expect(plain(withTables(document))).toBe(plain(document));
});

test('the example of the document is a request', () => {
  const [, example] = /```json\n([^]*?)```/.exec(read('render-request.md'))!;
  expect(readRequest(JSON.parse(example)).influences).toHaveLength(2);
});

test('a document without a place for a table is not written', () => {
  expect(() => withTables('# Render request')).toThrow(/no place for the table of settings/);
});
