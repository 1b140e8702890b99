import { readFile } from 'fs/promises';

/**
 * A `fetch` that reads `file:` addresses and refuses all others by rejecting with a sentence: Node's own has no `file:` scheme, the vision
 * models lie in files, and their library must not reach a network.
 */
export const filesOnly = (async (what: string | URL | Request) => {
  const address = what instanceof Request ? what.url : String(what);
  if (!address.startsWith('file:'))
    throw new Error(`The vision models may not ask for ${address}: they read files only`);
  const type = address.endsWith('.json') ? 'application/json' : 'application/octet-stream';
  return new Response(new Uint8Array(await readFile(new URL(address))), { headers: { 'content-type': type } });
}) as typeof fetch;
