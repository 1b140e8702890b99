import type { Response } from 'express';
import { rm } from 'fs/promises';

/** A file that was made for somebody: text, or a file that is removed after it was sent. */
export interface MadeFile {
  readonly name: string;
  readonly type: string;
  readonly text?: string;
  readonly file?: string;
}

/** A name that every file system takes. */
export const fileName = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase()
    .slice(0, 60) || 'series';

/** Sends what was made as a download. */
export function sendMade(response: Response, { name, type, text, file }: MadeFile): void {
  response.setHeader('Content-Type', type);
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
  if (text !== undefined) {
    response.send(text);
    return;
  }
  response.sendFile(file!, { dotfiles: 'allow' }, () => void rm(file!, { force: true }));
}
