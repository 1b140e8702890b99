import type { Schemas } from '@urbild/api';
import type { Take } from '../../api/client';

/** Something of a picture that a mask can be filled with at once. */
export interface Filling {
  /** As on its button: "Ilse, the head". */
  readonly name: string;
  /** Hash of a grey mask, white where it is. */
  readonly content: string;
}

const PARTS = { figure: '', head: ', the head', clothes: ', the clothes' } as const;

/** What the outlines of a take are called: its figures by their names or numbers, the grounds by what they are. */
export const fillingsOf = (
  outlines: readonly Schemas['OutlineDto'][],
  figures: Pick<Take['figures'][number], 'name'>[],
): Filling[] =>
  outlines.map(({ of, figure, content }) => {
    if (of !== 'figure' && of !== 'head' && of !== 'clothes') return { name: `The ${of}`, content };
    const name = figures[figure ?? 0]?.name ?? `figure ${(figure ?? 0) + 1}`;
    return { name: `${name}${PARTS[of]}`, content };
  });

/** A mask as a picture that can be drawn. */
export const maskImage = (content: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('The outline could not be loaded. Try again, or paint it by brush.'));
    image.src = `/api/v1/blobs/${content}`;
  });
