// Writes src/schema.generated.ts from openapi.json (which `npm run openapi` in apps/server makes).
import { readFile, writeFile } from 'node:fs/promises';
import openapiTS, { astToString } from 'openapi-typescript';

const here = new URL('.', import.meta.url);
const document = JSON.parse(await readFile(new URL('openapi.json', here), 'utf8'));
const source = astToString(await openapiTS(document));
await writeFile(new URL('src/schema.generated.ts', here), `/** Made by npm run api:types; do not edit. */\n${source}`);
