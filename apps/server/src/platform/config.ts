import { mkdtempSync } from 'fs';
import os from 'os';
import path from 'path';
import { parseArgs } from 'util';

/** How this server was started. */
export interface Config {
  readonly port: number;
  /** The address to listen on; only this machine unless told otherwise. */
  readonly host: string;
  /** Where database, pictures and temporary files live. */
  readonly dataDir: string;
  /** Draw the demo studio into an empty data folder. */
  readonly demo: boolean;
  /** Where the built interface lies; none in tests. */
  readonly webDir?: string;
  /** How many pictures are rendered at once. */
  readonly renderThreads: number;
  readonly quiet: boolean;
  /** Let the vision models look at pictures; on when absent. */
  readonly vision?: boolean;
}

/** The injection token of {@link Config}. */
export const CONFIG = Symbol('config');

/** Upper limits of what comes in from outside. */
export const LIMITS = {
  uploadBytes: 40 * 1024 * 1024,
  pixels: 100_000_000,
  jsonBytes: 512 * 1024,
} as const;

export const USAGE = `Urbild: a studio for weighing references

  --port N      listen on port N (4310)
  --data DIR    keep database and pictures in DIR (data/ beside the program)
  --no-demo     do not draw the demo studio into an empty data folder
  --empty       a fresh, empty studio in a temporary folder
  --help        this page`;

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** A start that cannot be done; the message says why. */
export class StartError extends Error {}

/**
 * Reads the command line. Throws {@link StartError} for options that make no sense, or that would open the studio to a
 * network without accounts.
 */
export function readConfig(args: readonly string[], root: string): Config | 'help' {
  let values;
  try {
    ({ values } = parseArgs({
      args: [...args],
      options: {
        port: { type: 'string', default: '4310' },
        host: { type: 'string', default: '127.0.0.1' },
        data: { type: 'string' },
        'no-demo': { type: 'boolean', default: false },
        empty: { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
      },
    }));
  } catch (error) {
    throw new StartError(`${(error as Error).message}\n\n${USAGE}`);
  }
  if (values.help) return 'help';
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new StartError(`--port: a number from 0 to 65535, not "${values.port}"`);
  if (!LOOPBACK.includes(values.host)) {
    throw new StartError(
      `--host ${values.host}: this studio has no accounts yet, so it listens on this machine only (127.0.0.1)`,
    );
  }
  const dataDir = values.empty
    ? mkdtempSync(path.join(os.tmpdir(), 'urbild-'))
    : path.resolve(process.env.INIT_CWD ?? process.cwd(), values.data ?? path.join(root, 'data'));
  return {
    port,
    host: values.host,
    dataDir,
    demo: !values.empty && !values['no-demo'],
    webDir: path.join(root, 'apps/web/dist'),
    renderThreads: renderThreadsFor(os.availableParallelism()),
    quiet: false,
  };
}

/** Two cores render two pictures side by side; of more, one is left to everything else. */
const renderThreadsFor = (cores: number): number => (cores <= 2 ? cores : Math.min(4, cores - 1));
