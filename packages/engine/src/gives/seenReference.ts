import { LeastRecentlyUsed } from '../synthesis/cache';
import { readPicture, type SeenPicture } from '../understand/readPicture';
import { namedByHand } from '../understand/namedByHand';
import type { LoadedPicture } from './action';

/** What was understood of the references that were used last; one takes about a second to understand, and 5 MB to keep. */
const kept = new LeastRecentlyUsed<SeenPicture>(12);

/** A reference as it was understood; kept by content, so that a weight that is moved costs nothing. */
export const seenReference = ({ told, picture }: Pick<LoadedPicture, 'told' | 'picture'>): SeenPicture =>
  namedByHand(
    kept.get(`${told.content}@${picture.width}x${picture.height}`, () => readPicture(picture)),
    told.areas,
  );
