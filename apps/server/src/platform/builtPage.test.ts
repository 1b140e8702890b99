import { mkdir, mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { gzipSync } from 'zlib';
import { openStudio, type TestStudio } from '../test/studio';

describe('the built page', () => {
  const script = 'export const words = "a mill, a harbour, a heron";'.repeat(40);
  let web: string;
  let studio: TestStudio;
  beforeAll(async () => {
    web = await mkdtemp(path.join(os.tmpdir(), 'urbild-page-'));
    await mkdir(path.join(web, 'assets'));
    await writeFile(path.join(web, 'index.html'), '<!doctype html><title>page</title>');
    await writeFile(path.join(web, 'assets', 'view-1.js'), script);
    await writeFile(path.join(web, 'assets', 'view-1.js.gz'), gzipSync(script));
    await writeFile(path.join(web, 'assets', 'view-2.js'), script);
    studio = await openStudio(undefined, { webDir: web });
  });
  afterAll(async () => {
    await studio.close();
    await rm(web, { recursive: true });
  });

  test('a script that has a compressed copy travels as that, to whoever can read it', async () => {
    const packed = await studio.ask
      .get('/assets/view-1.js')
      .set('accept-encoding', 'gzip')
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => done(null, Buffer.concat(parts)));
      })
      .expect(200);
    expect(packed.headers['content-encoding']).toBe('gzip');
    expect(packed.headers['content-type']).toMatch(/javascript/);
    expect(packed.headers.vary).toMatch(/accept-encoding/i);
    expect(Number(packed.headers['content-length'])).toBeLessThan(script.length / 4);
    const plain = await studio.ask.get('/assets/view-1.js').set('accept-encoding', 'identity').expect(200);
    expect(plain.headers['content-encoding']).toBeUndefined();
    expect(plain.text).toBe(script);
  });

  test('what has none comes as it is; both are kept by the browser, the page itself is asked for each time', async () => {
    const script2 = await studio.ask.get('/assets/view-2.js').set('accept-encoding', 'gzip').expect(200);
    expect(script2.headers['content-encoding']).toBeUndefined();
    expect(script2.headers['cache-control']).toMatch(/immutable/);
    const page = await studio.ask.get('/library').expect(200);
    expect(page.headers['cache-control']).toBe('no-cache');
    expect(page.text).toContain('<title>page</title>');
  });

  test('a script that is not there is not the page', async () => {
    await studio.ask.get('/assets/view-3.js').expect(404);
    await studio.ask.get('/assets/').expect(404);
  });
});
