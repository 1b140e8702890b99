import { horizonOf } from '../understand/horizon';
import type { GiveAction } from './action';

export const everything: GiveAction = { horizon: horizonOf };
