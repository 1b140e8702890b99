import { mkdtempSync } from 'fs';
import os from 'os';
import path from 'path';
import { parseArgs } from 'util';
import { StartError } from './folder/startError';
import { shareOf, type Share } from './share';

export { StartError };

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
  /** How others reach it; absent for a studio of one's own, in which nobody is asked who they are. */
  readonly share?: Share;
  /** Let the vision models look at pictures; on when absent. */
  readonly vision?: boolean;
  /** Make a backup a day; on when absent. */
  readonly backups?: boolean;
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
  --backup FILE   write a backup of the studio into one file and end; people may go on working meanwhile
  --restore FILE  bring a backup back into the new folder given by --data, verify it, and end
  --make-owner NAME  make the first owner, or give one a new password (asked for), and end
  --share       let others in, with their name and password; needs an owner
  --host ADDRESS     with --share: listen on this address (127.0.0.1), 0.0.0.0 for all
  --public-url URL   with --share: where browsers find it, behind a proxy
  --tls-cert FILE --tls-key FILE   with --share: its own certificate and key
  --oidc-issuer URL --oidc-client ID   with --share: people may come in through this directory (OpenID Connect)
  --oidc-secret-file FILE --oidc-name NAME   its secret for this studio, and what people call it
  --help        this page`;

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** Something to be done instead of serving a studio. */
export type Errand =
  | {
      readonly kind: 'backup' | 'restore';
      /** The backup's file, or a folder below backups/ to restore from. */
      readonly file: string;
      readonly dataDir: string;
    }
  | { readonly kind: 'owner'; readonly name: string; readonly dataDir: string };

/**
 * Reads the command line. Throws {@link StartError} for options that make no sense, or that would open the studio to a
 * network without accounts.
 */
export function readConfig(args: readonly string[], root: string): Config | Errand | 'help' {
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
        backup: { type: 'string' },
        restore: { type: 'string' },
        'make-owner': { type: 'string' },
        share: { type: 'boolean', default: false },
        'public-url': { type: 'string' },
        'tls-cert': { type: 'string' },
        'tls-key': { type: 'string' },
        'oidc-issuer': { type: 'string' },
        'oidc-client': { type: 'string' },
        'oidc-secret-file': { type: 'string' },
        'oidc-name': { type: 'string' },
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
  if (!LOOPBACK.includes(values.host) && !values.share)
    throw new StartError(
      `--host ${values.host}: others would come in without being asked who they are. Say --share as well: then everybody signs in.`,
    );
  if (values.empty && values.data !== undefined)
    throw new StartError('--empty begins in a temporary folder, --data in one of yours: give one of them.');
  const resolved = (file: string) => path.resolve(process.env.INIT_CWD ?? process.cwd(), file);
  const errand = errandOf(values, resolved, root);
  if (errand) return errand;
  const share = shareOf(values, resolved);
  const dataDir = values.empty
    ? mkdtempSync(path.join(os.tmpdir(), 'urbild-'))
    : resolved(values.data ?? path.join(root, 'data'));
  return {
    port,
    host: values.host,
    dataDir,
    demo: !values.empty && !values['no-demo'],
    webDir: path.join(root, 'apps/web/dist'),
    renderThreads: renderThreadsFor(os.availableParallelism()),
    quiet: false,
    ...(share && { share }),
  };
}

interface ErrandOptions {
  readonly backup?: string;
  readonly restore?: string;
  readonly data?: string;
  readonly 'make-owner'?: string;
}

function errandOf(
  { backup, restore, data, 'make-owner': owner }: ErrandOptions,
  resolved: (file: string) => string,
  root: string,
): Errand | undefined {
  if ([backup, restore, owner].filter((v) => v !== undefined).length > 1)
    throw new StartError('--backup, --restore and --make-owner: one of them at a time.');
  if (owner !== undefined) return { kind: 'owner', name: owner, dataDir: resolved(data ?? path.join(root, 'data')) };
  if (backup !== undefined)
    return { kind: 'backup', file: resolved(backup), dataDir: resolved(data ?? path.join(root, 'data')) };
  if (restore === undefined) return undefined;
  if (data === undefined)
    throw new StartError('--restore FILE --data NEW-FOLDER: say into which new folder the backup is to be brought.');
  return { kind: 'restore', file: resolved(restore), dataDir: resolved(data) };
}

/** The address under which a browser reaches a host and port; IPv6 addresses stand in brackets (RFC 3986, 3.2.2). */
export const addressOf = (host: string, port: number, secure = false): string =>
  `${secure ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;

/** Two cores render two pictures side by side; of more, one is left to everything else. */
const renderThreadsFor = (cores: number): number => (cores <= 2 ? cores : Math.min(4, cores - 1));
