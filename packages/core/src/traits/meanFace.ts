import type { FaceShape } from './faceShape';

/**
 * The usual face: the mean of what the mesh sees of people of three foreign families (the medians of ray-marched heads, flat people and
 * painted busts, 148 pictures). What a face has of its own is how far it is from this one.
 */
export const MEAN_FACE: FaceShape = {
  outline: [
    [1.097, 0.223],
    [1.074, 0.427],
    [1.038, 0.648],
    [0.967, 0.878],
    [0.871, 1.063],
    [0.607, 1.305],
    [0.349, 1.464],
    [0, 1.542],
  ],
  brow: [
    [0.322, -0.323],
    [0.502, -0.337],
    [0.759, -0.29],
    [0.813, -0.209],
    [0.779, -0.17],
    [0.722, -0.237],
    [0.483, -0.266],
    [0.285, -0.208],
  ],
  eye: [
    [0.303, 0.016],
    [0.383, -0.058],
    [0.535, -0.095],
    [0.643, -0.042],
    [0.671, 0.005],
    [0.61, 0.058],
    [0.49, 0.075],
    [0.362, 0.039],
  ],
  nose: [
    [0.2, -0.066],
    [0.291, 0.507],
    [0, 0.635],
  ],
  lips: [
    [0, 0.824],
    [0.124, 0.81],
    [0.422, 0.898],
    [0, 1.063],
    [0, 0.899],
  ],
};
