import type { IdentityPart } from '../influence/parts';

/** The separately decided qualities of a picture. */
export const CHANNELS = ['layout', 'pose', 'identity', 'colour', 'surface'] as const;
export type Channel = (typeof CHANNELS)[number];

/** What may be known of a picture besides its pixels. */
export const FACTS = ['horizon', 'face', 'joints', 'layout', 'areas', 'traits'] as const;
export type Fact = (typeof FACTS)[number];

/** How one give is declared. */
export interface Give {
  /** What it carries over, in one sentence without its full stop. */
  readonly says: string;
  /** m(gives, channel): how much of a weight reaches each channel, 0..1; 0 where absent. */
  readonly factors: Readonly<Partial<Record<Channel, number>>>;
  /** The weight and the span of the course with which it begins: what people found to work. */
  readonly usual: { readonly weight: number; readonly from: number; readonly to: number };
  /** The parts of an identity that it carries. */
  readonly parts: readonly IdentityPart[];
  /** Whether an influence may choose among its parts. */
  readonly choosesParts?: boolean;
  /** Facts of a picture that it needs: what it does not need must not make a finished take stale. */
  readonly facts: readonly Fact[];
  /** Whether the painter paints anew for it; else it is laid over the painted stage. */
  readonly stage: boolean;
  /** Whether it is offered as a reference of one shot alone. */
  readonly forShot: boolean;
  /** Why a reference has nothing of it to give. */
  readonly missing?: string;
}
