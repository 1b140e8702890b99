import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { Readable } from 'stream';
import { ENTITIES } from '../entities';
import { runErrand } from '../errands';
import { databaseFile, databaseOptions } from '../platform/database/options';
import { holdFolder } from '../platform/folder/lock';
import { openStudio } from '../test/studio';
import { askPassword, makeOwner } from './ownerErrand';

let folder: string;
beforeEach(async () => (folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'))));
afterEach(() => rm(folder, { recursive: true, force: true }));

const make = (name: string, password: string) =>
  makeOwner({ dataDir: folder, name, password, options: databaseOptions(databaseFile(folder), ENTITIES) });
const signIn = async (login: string, password: string) => {
  const studio = await openStudio(folder, { share: {} });
  const { status } = await studio.ask.post('/api/v1/me/session').send({ login, password });
  await studio.close();
  return status;
};

test('the first owner is made on the machine, who gives themselves another password the same way', async () => {
  await (await openStudio(folder)).close();
  expect(await make('Petra Wild', 'the first password')).toMatch(/^Petra Wild is the owner/);
  expect(await signIn('petra.wild', 'the first password')).toBe(200);
  await expect(make('Somebody', 'another password')).rejects.toThrow(/has an owner already/);
  expect(await make('Petra.Wild', 'the second password')).toMatch(/new password, and is signed out/);
  expect(await signIn('petra.wild', 'the first password')).toBe(401);
  expect(await signIn('petra.wild', 'the second password')).toBe(200);
});

test('nothing is made without a studio, with a short password, or beside a running one', async () => {
  await expect(make('Petra', 'long enough, this')).rejects.toThrow(/no studio in .* yet/);
  await expect(make('Petra', 'short')).rejects.toThrow(/10 to 200 characters/);
  const hold = holdFolder(folder);
  await expect(runErrand({ kind: 'owner', name: 'Petra', dataDir: folder })).rejects.toThrow(/Another Urbild/);
  hold.release();
});

test('the password is the first line that is given', async () => {
  expect(await askPassword(Readable.from(['a long sentence\nand more\n']))).toBe('a long sentence');
  await expect(askPassword(Readable.from([]))).rejects.toThrow(/No password was given/);
});
