import 'reflect-metadata';
import path from 'path';
import { createApplication } from './application';
import { runErrand } from './errands';
import { addressOf, readConfig, StartError, USAGE } from './platform/config';
import { FOLDER_HOLD } from './platform/folder/folderRelease';
import type { Hold } from './platform/folder/lock';
import { isNoRoom } from './platform/room';

const ROOT = path.resolve(__dirname, '../../..');

async function main(): Promise<void> {
  const config = readConfig(process.argv.slice(2), ROOT);
  if (config === 'help') return console.log(USAGE);
  if ('kind' in config) return console.log(await runErrand(config));
  const app = await createApplication(config);
  const server = await app.listen(config.port, config.host);
  const { port } = server.address() as { port: number };
  const url = config.share?.publicUrl ?? addressOf(config.host, port, config.share?.tls !== undefined);
  app.get<Hold>(FOLDER_HOLD).answersAt(addressOf(config.host, port, config.share?.tls !== undefined));
  console.log(`Urbild is at ${url}  (data in ${config.dataDir}; Ctrl-C stops)`);
}

main().catch((error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    console.error('That port is in use already. Stop the other program, or choose another one with --port.');
  else if (isNoRoom(error))
    console.error('The disk is full: the studio cannot start. What was saved is safe; make room and start again.');
  else console.error(error instanceof StartError ? error.message : error);
  process.exit(1);
});
