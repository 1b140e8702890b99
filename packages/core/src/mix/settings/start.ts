import { optional, percentOf } from '../setting';

/** What a mix can start from. */
export const START_KINDS = ['take', 'reference'] as const;

/** A take or reference that a mix starts from. */
export interface Start {
  readonly of: (typeof START_KINDS)[number];
  readonly id: string;
  /** 0 the picture itself .. 1 nothing of it. */
  readonly change: number;
}

export const start = optional<Start>({
  label: 'Start',
  title: 'Start picture',
  says: 'A picture to start from, and how far the take goes from it: 0 the picture itself, 1 nothing of it',
  form: { kind: 'parts' },
  request: 'otherwise',
  stage: true,
  differences: (before, after) => {
    if (!before) return after ? [`start picture, changed ${percentOf(after.change)}`] : [];
    if (!after) return ['start picture taken away'];
    return [
      ...(before.id === after.id ? [] : ['start picture replaced']),
      ...(before.change === after.change ? [] : [`change ${percentOf(before.change)} → ${percentOf(after.change)}`]),
    ];
  },
});
