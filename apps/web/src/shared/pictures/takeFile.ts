import type { DragEvent } from 'react';
import type { Take } from '../../api/client';

type Named = Pick<Take, 'prompt' | 'seed'>;

/** Characters of a name that are enough to know a picture by. */
const LONGEST = 60;

/** The name that the file of a take gets: the first whole words of its prompt, and its seed. */
export function fileNameOf({ prompt, seed }: Named): string {
  const words = prompt
    .normalize('NFKC')
    .replace(/[^\p{L}\p{N}' -]+/gu, ' ')
    .trim()
    .split(/\s+/);
  let name = '';
  for (const word of words) {
    if (name.length + word.length >= LONGEST) break;
    name = name ? `${name} ${word}` : word;
  }
  return `${name || 'picture'} ${seed}.png`;
}

/** Lets a picture that is dragged out of the window become a file with a name. */
export function dragOut(e: DragEvent, url: string, take: Named): void {
  e.dataTransfer.setData('DownloadURL', `image/png:${fileNameOf(take)}:${new URL(url, location.href).href}`);
}

/** Puts a picture on the clipboard. Throws an Error with a sentence where the browser does not let it. */
export async function copyPicture(url: string): Promise<void> {
  if (typeof ClipboardItem === 'undefined' || !navigator.clipboard)
    throw new Error('This browser does not let a page copy pictures. Save the file instead.');
  // asked for within the click: a browser may refuse it later
  const blob = fetch(url).then((answer) => answer.blob());
  await navigator.clipboard.write([new ClipboardItem({ 'image/png': blob })]);
}
