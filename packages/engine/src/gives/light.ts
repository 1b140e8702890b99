import { environmentLike } from '../staging/light';
import type { GiveAction } from './action';

export const light: GiveAction = { light: (picture, brief) => environmentLike(picture, brief.season) };
