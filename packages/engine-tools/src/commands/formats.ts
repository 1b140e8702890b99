/** Writes what docs/formats/ says of render requests from the declarations: npm run formats. */
import { readFileSync, writeFileSync } from 'fs';
import path from 'path';
import { schemaText, withTables } from '@urbild/engine/tools';

const at = (file: string) => path.join(__dirname, '../../../../docs/formats', file);
writeFileSync(at('render-request.schema.json'), schemaText());
writeFileSync(at('render-request.md'), withTables(readFileSync(at('render-request.md'), 'utf8')));
