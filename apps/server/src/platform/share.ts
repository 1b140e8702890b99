import { readFileSync } from 'fs';
import { StartError } from './folder/startError';

/** How a studio is reached by others. */
export interface Share {
  /** Where browsers find it, when that is not the address it listens on: behind a proxy. Without a path or a slash at the end. */
  readonly publicUrl?: string;
  /** Its own certificate and key, PEM. */
  readonly tls?: { readonly cert: Buffer; readonly key: Buffer };
  /** Where people are known already. */
  readonly directory?: DirectoryOptions;
}

/** A directory that speaks OpenID Connect, and the name under which it knows this studio. */
export interface DirectoryOptions {
  readonly issuer: string;
  readonly clientId: string;
  /** Absent for a client without one. */
  readonly secret?: string;
  /** What people call it. */
  readonly name: string;
}

/** What the command line says of sharing. */
export interface ShareOptions {
  readonly share?: boolean;
  readonly 'public-url'?: string;
  readonly 'tls-cert'?: string;
  readonly 'tls-key'?: string;
  readonly 'oidc-issuer'?: string;
  readonly 'oidc-client'?: string;
  readonly 'oidc-secret-file'?: string;
  readonly 'oidc-name'?: string;
}

/** What makes sense only where others come in. */
const OF_SHARING = [
  ...(['public-url', 'tls-cert', 'tls-key'] as const),
  ...(['oidc-issuer', 'oidc-client', 'oidc-secret-file', 'oidc-name'] as const),
];

/** Reads it; undefined for a studio of one's own. Throws {@link StartError} for what makes no sense. */
export function shareOf(options: ShareOptions, resolved: (file: string) => string): Share | undefined {
  const { 'public-url': url, 'tls-cert': cert, 'tls-key': key } = options;
  if (!options.share) {
    const given = OF_SHARING.filter((option) => options[option] !== undefined);
    if (given.length)
      throw new StartError(
        `${given.map((option) => `--${option}`).join(', ')} belong to --share: others reach only a shared studio.`,
      );
    return undefined;
  }
  if ((cert === undefined) !== (key === undefined))
    throw new StartError('--tls-cert and --tls-key: a certificate and its key, both or neither.');
  const directory = directoryOf(options, resolved);
  return {
    ...(directory && { directory }),
    ...(url !== undefined && { publicUrl: publicUrlOf(url) }),
    ...(cert !== undefined &&
      key !== undefined && {
        tls: { cert: read('--tls-cert', resolved(cert)), key: read('--tls-key', resolved(key)) },
      }),
  };
}

/** Reads who to ask; undefined where nobody is. */
function directoryOf(options: ShareOptions, resolved: (file: string) => string): DirectoryOptions | undefined {
  const { 'oidc-issuer': issuer, 'oidc-client': clientId, 'oidc-secret-file': file, 'oidc-name': name } = options;
  if (issuer === undefined && clientId === undefined) {
    if (file !== undefined || name !== undefined)
      throw new StartError('--oidc-secret-file and --oidc-name belong to --oidc-issuer and --oidc-client.');
    return undefined;
  }
  if (issuer === undefined || clientId === undefined)
    throw new StartError('--oidc-issuer and --oidc-client: where to ask, and the name it knows this studio by, both.');
  const url = URL.canParse(issuer) ? new URL(issuer) : undefined;
  const isLocal = url?.protocol === 'http:' && /^(localhost|127\.0\.0\.1|\[::1\])$/.test(url.hostname);
  if (!url || (url.protocol !== 'https:' && !isLocal))
    throw new StartError(`--oidc-issuer: an address with https, such as https://id.example, not "${issuer}"`);
  return {
    issuer,
    clientId,
    ...(file !== undefined && { secret: read('--oidc-secret-file', resolved(file)).toString('utf8').trim() }),
    name: name?.trim() || url.hostname,
  };
}

function publicUrlOf(text: string): string {
  const url = URL.canParse(text) ? new URL(text) : undefined;
  if (!url || !/^https?:$/.test(url.protocol) || url.pathname !== '/' || url.search || url.username)
    throw new StartError(`--public-url: an address such as https://studio.example, not "${text}"`);
  return url.origin;
}

function read(option: string, file: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new StartError(`${option}: ${file} cannot be read: ${(error as Error).message}`);
  }
}
