import 'reflect-metadata';
import path from 'path';
import { createApplication } from './application';
import { readConfig, StartError, USAGE } from './platform/config';

const ROOT = path.resolve(__dirname, '../../..');

async function main(): Promise<void> {
  const config = readConfig(process.argv.slice(2), ROOT);
  if (config === 'help') {
    console.log(USAGE);
    return;
  }
  const app = await createApplication(config);
  const server = await app.listen(config.port, config.host);
  const { port } = server.address() as { port: number };
  console.log(`Urbild is at http://${config.host}:${port}  (data in ${config.dataDir}; Ctrl-C stops)`);
}

main().catch((error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    console.error('That port is in use already. Stop the other program, or choose another one with --port.');
  else console.error(error instanceof StartError ? error.message : error);
  process.exit(1);
});
