import { Zip, ZipPassThrough } from 'fflate';
import { createWriteStream } from 'fs';
import { readFile } from 'fs/promises';

/** What goes into an archive: a file, or text. */
export type ZipEntry =
  { readonly name: string; readonly file: string } | { readonly name: string; readonly text: string };

/** Writes an archive. Pictures are packed already: everything is stored as it is, one after the other. */
export function zipTo(to: string, entries: readonly ZipEntry[]): Promise<void> {
  return new Promise((resolve, reject) => {
    const out = createWriteStream(to);
    out.on('error', reject).on('finish', () => resolve());
    const archive = new Zip((error, chunk, final) => {
      if (error) return void reject(error);
      out.write(chunk);
      if (final) out.end();
    });
    void (async () => {
      for (const entry of entries) {
        const stored = new ZipPassThrough(entry.name);
        archive.add(stored);
        stored.push('file' in entry ? await readFile(entry.file) : new TextEncoder().encode(entry.text), true);
      }
      archive.end();
    })().catch(reject);
  });
}
