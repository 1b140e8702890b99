/** npm run openapi: writes the OpenAPI document to packages/api/openapi.json. */
import 'reflect-metadata';
import { mkdtempSync, rmSync, writeFileSync } from 'fs';
import os from 'os';
import path from 'path';
import { createApplication, openApiDocument } from './application';

async function main(): Promise<void> {
  const dataDir = mkdtempSync(path.join(os.tmpdir(), 'urbild-'));
  const app = await createApplication({
    port: 0,
    host: '127.0.0.1',
    dataDir,
    demo: false,
    renderThreads: 1,
    quiet: true,
    backups: false,
  });
  const file = path.resolve(__dirname, '../../../packages/api/openapi.json');
  writeFileSync(file, `${JSON.stringify(openApiDocument(app), null, 2)}\n`);
  await app.close();
  rmSync(dataDir, { recursive: true, force: true });
}
void main();
