import { backdropOf, setBefore } from '../staging/backdrop';
import { holdOf } from '../staging/ground';
import { horizonOf } from '../understand/horizon';
import { subjectOf } from '../understand/subject';
import type { ChangedStage, GiveAction, Pull, StageChange } from './action';

/** Sets what is held of the stage before the place of the picture, at the stage's horizon. */
const changes = (pulls: readonly Pull[], { request, labels, figures, hints }: ChangedStage): StageChange[] =>
  pulls.map(({ told, picture: reference, share }) => {
    const { width: w, height: h } = request;
    const person = told.joints ? subjectOf(reference, told) : undefined;
    const hold = holdOf(labels, figures, w, h);
    const backdrop = backdropOf(reference, w, h, hints.horizon?.at ?? 0.5, person);
    return (picture) => setBefore(picture, hold, backdrop, share());
  });

export const place: GiveAction = { horizon: horizonOf, changesBy: 'layout', changes };
