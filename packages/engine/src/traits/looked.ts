import { smoothstep, type Lab, type Picture } from '@urbild/core';
import type { Matte } from '../understand/matte/matte';
import type { FaceFrame } from './frame';

/** A face as it is read: in an evened picture. */
export interface Looked {
  readonly picture: Picture;
  /** The picture as it came: what is fine is read in it. */
  readonly source: Picture;
  /** Points of the face mesh, parts of width and height. */
  readonly mesh?: readonly (readonly [number, number])[];
  readonly frame: FaceFrame;
  readonly exact: boolean;
  readonly matte?: Matte;
  /** How far its colours are those of things, 0 a drawing in one ink .. 1. */
  readonly tinted: number;
  /** See lightStats; empty where everything is known exactly. */
  readonly light: readonly number[];
}

/** The lightness around a head from which on it is no night any more, and up to which it is: OKLab. */
const NIGHT: readonly [number, number] = [0.34, 0.6];

/** Before a dark ground it may be night, which has colours of its own and hides forms: what is read is half believed. */
export const lightAround = ([L]: Lab): number => 0.5 + 0.5 * smoothstep(...NIGHT, L);

/** A turned face shows less of what was learnt from faces seen from the front. */
export const sightOf = ({ yaw }: FaceFrame): number =>
  Math.max(0.25, Math.cos((Math.min(70, Math.abs(yaw)) * Math.PI) / 180));
