import { createHash } from 'crypto';
import { createReadStream } from 'fs';

/** SHA-256 of a file, as hexadecimal digits. */
export async function hashFile(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(file)) hash.update(chunk as Buffer);
  return hash.digest('hex');
}
