import { readFileSync } from 'fs';
import { StartError } from './folder/startError';

/** How a studio is reached by others. */
export interface Share {
  /** Where browsers find it, when that is not the address it listens on: behind a proxy. Without a path or a slash at the end. */
  readonly publicUrl?: string;
  /** Its own certificate and key, PEM. */
  readonly tls?: { readonly cert: Buffer; readonly key: Buffer };
}

/** What the command line says of sharing. */
export interface ShareOptions {
  readonly share?: boolean;
  readonly 'public-url'?: string;
  readonly 'tls-cert'?: string;
  readonly 'tls-key'?: string;
}

/** Reads it; undefined for a studio of one's own. Throws {@link StartError} for what makes no sense. */
export function shareOf(options: ShareOptions, resolved: (file: string) => string): Share | undefined {
  const { 'public-url': url, 'tls-cert': cert, 'tls-key': key } = options;
  if (!options.share) {
    if (url !== undefined || cert !== undefined || key !== undefined)
      throw new StartError(
        '--public-url, --tls-cert and --tls-key belong to --share: others reach only a shared studio.',
      );
    return undefined;
  }
  if ((cert === undefined) !== (key === undefined))
    throw new StartError('--tls-cert and --tls-key: a certificate and its key, both or neither.');
  return {
    ...(url !== undefined && { publicUrl: publicUrlOf(url) }),
    ...(cert !== undefined &&
      key !== undefined && {
        tls: { cert: read('--tls-cert', resolved(cert)), key: read('--tls-key', resolved(key)) },
      }),
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
