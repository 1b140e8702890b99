import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type {
  Arrival,
  FoundWord,
  MixInfluence,
  MixSettings,
  NotDrawn,
  ShotPlan,
  SourceKind,
  TextSpan,
  Unasked,
  UnderstoodSpan,
} from '@urbild/core';
import type { InfluenceRemark, RenderedFigure, RenderRequest, ShareRecord } from '@urbild/engine';
import type { Quality } from '../mixes/mix.entity';
import { belongsToProjects, ofItsSeries } from '../platform/access/belonging';
import { NAMES_BLOB, NAMES_BLOBS_INSIDE, NO_BLOB } from '../platform/blobs/blobFields';

export type TakeStatus = 'queued' | 'rendering' | 'done' | 'failed' | 'cancelled';

/** What was measured of a finished take. */
export interface Measurements {
  /** By influence id. */
  readonly arrivals: Readonly<Record<string, Arrival>>;
  /** Who and what of the words was looked for in it; absent in takes of older versions. */
  readonly words?: readonly FoundWord[];
  /** Words that its stage does not show, and why; absent in takes of older versions. */
  readonly notDrawn?: readonly NotDrawn[];
  /** 0..1. In takes of older versions, without `words`, it was a distance of layouts and tells nothing. */
  readonly wordsKept?: number;
  /** Milliseconds per step of the engine. */
  readonly timings: Readonly<Record<string, number>>;
  /** Who is in the picture; absent in takes of older versions. */
  readonly figures?: readonly RenderedFigure[];
  /** What was found out about influences. */
  readonly remarks?: readonly InfluenceRemark[];
  /** What came unasked, and faults; absent in takes of older versions. */
  readonly unasked?: readonly Unasked[];
}

/** What a take was made of: enough to make it again, and to speak of it. */
export interface TakeOrigin {
  readonly request: RenderRequest;
  readonly engine: { readonly name: string; readonly version: string };
  readonly influences: readonly MixInfluence[];
  /** The settings of the mix; absent in takes of older versions. */
  readonly settings?: MixSettings;
}

/** What a take tries out for its shot: it counts among the shot's takes only when it is kept. */
export interface TakeTrial {
  readonly kind: 'remedy' | 'swap';
  /** One for all takes that are tried together. */
  readonly batch: string;
  /** What is tried, in words. */
  readonly label: string;
  /** Tried by itself, to find out whether it helps: shown only when somebody asks for it. */
  readonly quiet?: true;
  /** Of a remedy: the shot as it would be. */
  readonly plan?: ShotPlan<MixInfluence>;
  /** Of a swap: which influence of the mix would come from what. */
  readonly swap?: { readonly influence: string; readonly of: SourceKind; readonly referenceId: string };
  /** When kept: what was before, so that it can be taken back. */
  readonly kept?: {
    readonly plan?: ShotPlan<MixInfluence>;
    readonly swap?: { readonly of: SourceKind; readonly referenceId: string };
    /** The take that was the keeper. */
    readonly keeper?: string;
  };
}

/** The project of a take: that of its mix, of the mix for which it was tried, or of its shot. */
export const ofItsMixOrShot = (take: string): string =>
  `coalesce((select m.project_id from mix m where m.id = coalesce(${take}.mix_id, ${take}.beside_mix_id)), (select ${ofItsSeries('h')} from shot h where h.id = ${take}.shot_id))`;

/** A control is shown to whoever is shown a take that is measured by it. */
const shownByIts = (take: string, seen: (project: string) => string): string =>
  `(${take}.is_control = 0 or exists (select 1 from take u where u.control_id = ${take}.id and ${seen(ofItsMixOrShot('u'))}))`;

/** One rendered picture with everything that made it. A control is a take without influences, shared by many. */
export const TakeEntity = defineEntity({
  name: 'Take',
  tableName: 'take',
  filters: belongsToProjects({
    table: 'take',
    path: 'takes',
    called: 'This take',
    project: ofItsMixOrShot,
    shown: shownByIts,
  }),
  properties: {
    id: p.string().primary(),
    mixId: p.string().nullable().index(),
    shotId: p.string().nullable().index(),
    /** The mix for which it was tried, among whose takes it is not: of cells of strips, drafts of searches and frames of sequences. */
    besideMixId: p.string().nullable().index(),
    isControl: p.boolean(),
    controlId: p.string().nullable().index(),
    /** False for takes that are not measured against a control, as frames of sequences. */
    controlled: p.boolean(),
    quality: p.string().$type<Quality>(),
    status: p.string().$type<TakeStatus>().index(),
    /** SHA-256 of request and engine: equal hashes are equal pictures. */
    requestHash: p.string().index().comment(NO_BLOB),
    origin: p.json<TakeOrigin>().comment(NAMES_BLOBS_INSIDE),
    pictureHash: p.string().nullable().index().comment(NAMES_BLOB),
    thumbnailHash: p.string().nullable().index().comment(NAMES_BLOB),
    descriptorsHash: p.string().nullable().index().comment(NAMES_BLOB),
    shares: p.json<readonly ShareRecord[]>().nullable(),
    understood: p.json<readonly UnderstoodSpan[]>().nullable(),
    unheard: p.json<readonly TextSpan[]>().nullable(),
    measurements: p.json<Measurements>().nullable(),
    error: p.text().nullable(),
    keeper: p.boolean(),
    /** When somebody approved it as a keeper, and who; null also for whoever worked alone. */
    approvedAt: p.datetime().nullable(),
    approvedBy: p.string().nullable(),
    /** 0 none .. 5. */
    rating: p.integer(),
    rejected: p.boolean(),
    note: p.text(),
    /** The take that somebody went on from. */
    fromTakeId: p.string().nullable(),
    /** A try for its shot; absent for ordinary takes. */
    trial: p.json<TakeTrial>().nullable().comment(NAMES_BLOBS_INSIDE),
    createdAt: p.datetime().index(),
    finishedAt: p.datetime().nullable(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Take = InferEntity<typeof TakeEntity>;
