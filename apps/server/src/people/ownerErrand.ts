import { MikroORM } from '@mikro-orm/better-sqlite';
import { existsSync } from 'fs';
import { createInterface } from 'readline';
import { Writable } from 'stream';
import { Reaches } from '../platform/access/reaches';
import { Endings } from '../platform/access/endings';
import { prepareDatabase } from '../platform/database/prepareDatabase';
import { databaseFile, type databaseOptions } from '../platform/database/options';
import { EventsService } from '../platform/events/events.service';
import { StartError } from '../platform/folder/startError';
import { Problem } from '../platform/problems/problem';
import { asLogin, PeopleService } from './people.service';
import { PASSWORD } from './person.dto';
import { PersonEntity } from './person.entity';
import { SessionsService } from './sessions.service';

/** What {@link makeOwner} is told. */
export interface OwnerErrand {
  readonly dataDir: string;
  readonly name: string;
  readonly options: ReturnType<typeof databaseOptions>;
  readonly password: string;
}

/**
 * Makes the first owner of a studio that nobody holds, or gives an owner of that name a new password; returns what to say. Throws
 * {@link StartError} where somebody else is the owner already.
 */
export async function makeOwner({ dataDir, name, options, password }: OwnerErrand): Promise<string> {
  if (password.length < PASSWORD.least || password.length > PASSWORD.most)
    throw new StartError(`A password has ${PASSWORD.least} to ${PASSWORD.most} characters; nothing was changed.`);
  if (!existsSync(databaseFile(dataDir)))
    throw new StartError(`There is no studio in ${dataDir} yet. Start it once, then make its owner.`);
  const orm = await MikroORM.init(options);
  try {
    await prepareDatabase(orm, databaseFile(dataDir));
    const sessions = new SessionsService(orm.em, new Endings());
    const people = new PeopleService(orm.em, new EventsService(), sessions, new Reaches());
    const known = await orm.em.fork().findOne(PersonEntity, { login: asLogin(name), role: 'owner', deletedAt: null });
    if (known) {
      await people.setPassword(known.id, password);
      await sessions.endOthers(known.id);
      return `${known.name} has a new password, and is signed out everywhere.`;
    }
    await people.makeFirstOwner({ name: name.trim(), login: name.trim().replace(/\s+/g, '.'), password });
    return `${name.trim()} is the owner of the studio in ${dataDir}. Let others in with ./start --share`;
  } catch (error) {
    throw error instanceof Problem ? new StartError(error.message) : error;
  } finally {
    await orm.close();
  }
}

/** Asks for a password at the terminal, without showing it; from anything else the first line is taken. */
export async function askPassword(input: NodeJS.ReadableStream & { isTTY?: boolean } = process.stdin): Promise<string> {
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  if (input.isTTY) process.stderr.write(`Password (${PASSWORD.least} characters or more): `);
  const lines = createInterface({ input, output: silent, terminal: input.isTTY === true });
  for await (const line of lines) {
    lines.close();
    if (input.isTTY) process.stderr.write('\n');
    return line;
  }
  throw new StartError('No password was given; nothing was changed.');
}
