import { spawn, type ChildProcess } from 'child_process';
import { writeFile } from 'fs/promises';
import { createServer, type AddressInfo } from 'net';
import path from 'path';
import { Browser } from './browser';
import { faultsOfAccess } from './page';
import { askStudio, mustAsk } from './sharedStudio';
import { ROOT, RunningStudio } from './studio';

const PETRA = { login: 'petra', password: 'a sentence for petra' };

let studio: RunningStudio;
let directory: ChildProcess;
let hanne: Browser;

const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

async function standIn(port: number, back: string): Promise<ChildProcess> {
  const args = [path.join(ROOT, 'e2e/stand-in/directory.mjs'), String(port), back];
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'ignore'] });
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => chunk.toString().includes('listens on') && resolve());
    child.on('exit', (code) => reject(new Error(`the directory ended with ${code}`)));
  });
  return child;
}

beforeAll(async () => {
  const alone = await RunningStudio.start();
  await mustAsk(alone, 'POST /people/owner', { body: { name: 'Petra Wild', ...PETRA } });
  await alone.stop();
  const port = await freePort();
  directory = await standIn(port, `${alone.url}/api/v1/me/directory/answer`);
  const secret = path.join(alone.dataDir, 'secret');
  await writeFile(secret, 'a secret of the two\n');
  const asked = ['--oidc-issuer', `http://127.0.0.1:${port}`, '--oidc-client', 'urbild'];
  studio = await RunningStudio.start({
    dataDir: alone.dataDir,
    port: Number(new URL(alone.url).port),
    share: true,
    options: [...asked, '--oidc-secret-file', secret, '--oidc-name', 'The guild'],
  });
  hanne = await Browser.open();
});
afterAll(async () => {
  await hanne.close();
  directory.kill();
  await studio.remove();
});

const way = () => hanne.find('a[href^="/api/v1/me/directory"]');

test('whom the directory knows and nobody has invited is told so where one signs in', async () => {
  await hanne.driver.get(`${studio.url}/looks`);
  expect(await (await way()).getText()).toBe('Sign in through The guild');
  expect(await faultsOfAccess(hanne)).toEqual([]);
  await (await way()).click();
  await (await hanne.find('#yes')).click();
  const told = await hanne.find('[role=alert]');
  expect(await told.getText()).toContain('not in this studio');
  expect(await hanne.driver.getCurrentUrl()).toBe(`${studio.url}/`);
  expect(await faultsOfAccess(hanne)).toEqual([]);
});

test('by a link one comes in through the directory, and from then on without a link, where one was going', async () => {
  const petra = await askStudio(studio, 'POST /me/session', { body: PETRA });
  const { path: link } = await mustAsk<{ path: string }>(studio, 'POST /invitations', {
    body: { role: 'editor', note: 'Hanne' },
    as: { cookie: petra.setCookie },
  });
  await hanne.driver.get(`${studio.url}${link}`);
  expect(await (await way()).getText()).toBe('Come in through The guild');
  await (await way()).click();
  await hanne.find('button[aria-label="You: Hanne Lund"]');
  await hanne.driver.manage().deleteAllCookies();
  await hanne.driver.get(`${studio.url}/looks`);
  await (await way()).click();
  // the directory's own cookie is gone as well, if it was among them
  if (!(await hanne.driver.getCurrentUrl()).startsWith(studio.url)) await (await hanne.find('#yes')).click();
  await hanne.find('button[aria-label="You: Hanne Lund"]');
  expect(await hanne.driver.getCurrentUrl()).toBe(`${studio.url}/looks`);
});
