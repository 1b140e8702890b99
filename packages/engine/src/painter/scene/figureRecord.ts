import type { Action, Expression } from '@urbild/core';
import type { Person } from '../people/person';

/** A joint or landmark by name, px; those that cannot be seen are missing. */
export type Points = Readonly<Record<string, readonly [number, number]>>;

/** How somebody was drawn, whatever the words say. */
export interface DrawnPerson {
  readonly person: Person;
  readonly action: Action;
  readonly expression: Expression;
  readonly asleep: boolean;
  /** Head and shoulders only. */
  readonly portrait: boolean;
}

/** What is known of a painted figure: ground truth for everything that reads pictures. */
export interface FigureRecord {
  /** Index of the brief's entity. */
  readonly entity: number;
  readonly kind: 'person' | 'creature';
  /** Left, top, right, bottom, px. */
  readonly box: readonly [number, number, number, number];
  readonly joints: Points;
  /** Of the face: eyes, nose, mouth, chin, crown. */
  readonly landmarks: Points;
  /** Turn of the head in degrees; negative to the left. */
  readonly yaw: number;
  /** Height of the head, px. */
  readonly head: number;
  readonly depth: number;
  /** As what it was drawn. */
  readonly drawn?: DrawnPerson;
}
