import { setThing } from '../staging/setThing';
import { subjectAlpha, subjectOf } from '../understand/subject';
import type { ChangedStage, GiveAction, Pull, StageChange } from './action';

/** Cuts the thing out of its picture and sets it beside the figures. */
const changes = (pulls: readonly Pull[], { labels, figures }: ChangedStage): StageChange[] =>
  pulls.flatMap(({ told, picture: reference, share }): StageChange[] => {
    const found = subjectOf(reference, told);
    if (!found) return [];
    const cut = { picture: reference, alpha: subjectAlpha(reference, found.box), box: found.box };
    return [(picture) => setThing(picture, labels, cut, share(), figures)];
  });

export const thing: GiveAction = {
  nothingIn: (pictures) => !pictures.some((p) => subjectOf(p.picture, p.told)),
  changesBy: 'identity',
  changes,
};
