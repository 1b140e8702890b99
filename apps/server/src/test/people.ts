/** A shared studio with somebody of each role, for tests. */
import type { Role } from '@urbild/core';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import request from 'supertest';
import { openStudio, type TestStudio } from './studio';

export const OWNER = { name: 'Petra Wild', login: 'petra', password: 'a long one for petra' };

/** A folder whose studio has an owner: made as one makes it, alone, on the machine. */
export async function folderWithOwner(): Promise<string> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
  const alone = await openStudio(folder);
  await alone.ask.post('/api/v1/people/owner').send(OWNER).expect(201);
  await alone.close();
  return folder;
}

export type Agent = ReturnType<typeof request.agent>;

export interface SharedStudio extends TestStudio {
  /** Requests of somebody who is not in, with cookies of their own. */
  stranger(): Agent;
  /** Requests of somebody who has signed in. */
  signedIn(login: string, password: string): Promise<Agent>;
  owner: Agent;
  /** Somebody new of a role, invited and signed in. */
  newPerson(role: Role, login: string): Promise<{ readonly agent: Agent; readonly id: string }>;
}

/** Opens a studio that is shared, with its owner signed in. */
export async function openShared(): Promise<SharedStudio> {
  const folder = await folderWithOwner();
  const studio = await openStudio(folder, { share: {} });
  const stranger = () => request.agent(studio.url);
  const signedIn = async (login: string, password: string) => {
    const agent = stranger();
    await agent.post('/api/v1/me/session').send({ login, password }).expect(200);
    return agent;
  };
  const owner = await signedIn(OWNER.login, OWNER.password);
  return {
    ...studio,
    stranger,
    signedIn,
    owner,
    newPerson: async (role, login) => {
      const { body } = await owner.post('/api/v1/invitations').send({ role, note: login }).expect(201);
      const password = `a long one for ${login}`;
      const joined = await stranger()
        .post(`/api/v1${(body as { path: string }).path}`)
        .send({ name: login, login, password })
        .expect(201);
      return { agent: await signedIn(login, password), id: (joined.body as { id: string }).id };
    },
    close: async () => {
      await studio.close();
      await rm(folder, { recursive: true, force: true });
    },
  };
}
