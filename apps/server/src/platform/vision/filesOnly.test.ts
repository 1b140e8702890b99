import { mkdtemp, writeFile } from 'fs/promises';
import { createServer } from 'http';
import type { AddressInfo } from 'net';
import os from 'os';
import path from 'path';
import { pathToFileURL } from 'url';
import { filesOnly } from './filesOnly';

test('files are read, with the type that their name says', async () => {
  const file = path.join(await mkdtemp(path.join(os.tmpdir(), 'urbild-test-')), 'model.json');
  await writeFile(file, '{"layers":3}');
  const answer = await filesOnly(pathToFileURL(file));
  expect(answer.headers.get('content-type')).toBe('application/json');
  expect(await answer.json()).toEqual({ layers: 3 });
});

test('no address of a network is reached, not even on this machine', async () => {
  let asked = 0;
  const server = createServer((_, response) => response.end(String(++asked)));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/model.json`;
  for (const what of [address, new URL(address), new Request(address), 'data:application/json,{}', 'model.json'])
    await expect(filesOnly(what)).rejects.toThrow(/read files only/);
  await new Promise((done) => server.close(done));
  expect(asked).toBe(0);
});
