import path from 'path';

/** The name of an uploaded file without any folder. Browsers send names as UTF-8. */
export const fileNameOf = (sent: string): string =>
  path.basename(Buffer.from(sent, 'latin1').toString('utf8').replace(/\\/g, '/'));

/** A file name as a title: no folder, no ending, spaces for dashes. */
export function titleFrom(sent: string): string {
  const words = path.parse(fileNameOf(sent)).name.replace(/[_-]+/g, ' ').replace(/\s+/g, ' ').trim();
  return (words || 'Untitled').slice(0, 200);
}
