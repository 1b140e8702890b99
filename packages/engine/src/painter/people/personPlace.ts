import type { Action, Expression, Held, SideJoints } from '@urbild/core';
import type { Seat } from './pose/poses';

/** A body found elsewhere, by the sides of its picture, and how far it overrules the pose of the words, 0..1. */
export interface PoseHint {
  readonly left: SideJoints;
  readonly right: SideJoints;
  readonly share: number;
}

/** Where and how a person is painted. */
export interface PersonPlace {
  /** The pit of the neck, px. */
  readonly x: number;
  readonly y: number;
  /** Height of the head, px. */
  readonly head: number;
  readonly depth: number;
  /** Turn of the head, 0 front, 90 profile, 180 back; the body turns a little less. */
  readonly yaw: number;
  /** Faces left. */
  readonly flip?: boolean;
  readonly expression: Expression;
  readonly action: Action;
  readonly holds?: readonly Held[];
  /** Index of the brief's entity, for the record of the picture. */
  readonly entity: number;
  readonly pose?: PoseHint;
  /** What somebody who sits sits on: something raised (usual) or the ground. */
  readonly seat?: Seat;
  /** Of somebody who walks: where in the stride, 0..1; the middle of a step when absent. */
  readonly stride?: number;
  /** Eyes closed. */
  readonly asleep?: boolean;
  /** Head and shoulders only: no legs, no bag. */
  readonly portrait?: boolean;
}
