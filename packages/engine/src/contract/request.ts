import {
  GIVES,
  IDENTITY_PARTS,
  MAX_EMPHASES,
  MEDIA,
  READINGS,
  TYPED_MAX_WEIGHT,
  type Emphasis,
  type Gives,
  type IdentityPart,
  type Joints,
  type KnownName,
  type LayoutMap,
  type Medium,
  type Reading,
  type TraitSheet,
} from '@urbild/core';
import { readFrame, readHold, type RequestFrame, type RequestHold } from './frames/frame';
import type { FaceFrame } from './traits/frame';
import { readFace, readJoints, readLayoutMap, readTraitSheet } from './requestFacts';
import { asObject, flag, number, oneOf, RequestError, text, whole } from './requestFields';

export { RequestError } from './requestFields';
export type { FrameMove, FrameView, RequestFrame, RequestHold } from './frames/frame';
export { readMove } from './frames/frame';

/** One picture of an influence: its content hash (or a path, for the command line) and its part of the weight. */
export interface RequestPicture {
  readonly content: string;
  readonly weight: number;
  /** Where a person put its horizon, 0 top .. 1 bottom; read from the picture when absent. */
  readonly horizon?: number;
  /** Where its face lies, found by a model or drawn by a person; without it a picture tells colours of a subject only. */
  readonly face?: FaceFrame;
  /** Joints of its main figure; without them a picture gives no pose. */
  readonly joints?: Joints;
  /** How it is drawn when it is a map of an arrangement, not a picture of it. */
  readonly layout?: LayoutMap;
  /** Traits of whoever it shows; read from the picture when absent. */
  readonly traits?: TraitSheet;
}

/** Where something acts: a grey picture, white where it does. */
export interface RequestMask {
  readonly content: string;
  readonly invert: boolean;
  /** Width of the soft edge in parts of the longer side, 0..0.1. */
  readonly feather: number;
}

/** One influence of a request; numbers as in core's Influence. */
export interface RequestInfluence {
  readonly id: string;
  readonly gives: Gives;
  readonly weight: number;
  readonly from: number;
  readonly to: number;
  readonly on: boolean;
  readonly reading: Reading;
  readonly subject?: string;
  /** Which parts of a character it carries; all when absent. */
  readonly parts?: readonly IdentityPart[];
  /** What is known of the character that it shows; goes before what its pictures say. */
  readonly traits?: TraitSheet;
  /** Of a shape: whether the picture fills it (usual) or what is around it. */
  readonly fill?: 'inside' | 'around';
  /** How large its strokes and motifs come out, .5..1.5; 1 (usual) as they are against the whole of the picture. */
  readonly motif?: number;
  /** Where in the picture it acts; everywhere when absent. */
  readonly region?: RequestMask;
  readonly pictures: readonly RequestPicture[];
}

/** A picture to start from. */
export interface RequestStart {
  readonly content: string;
  /** 0 the picture itself .. 1 nothing of it. */
  readonly change: number;
}

/** What is to be rendered: plain JSON; docs/formats/render-request.md describes it field by field. */
export interface RenderRequest {
  readonly prompt: string;
  readonly avoid: string;
  readonly width: number;
  readonly height: number;
  readonly seed: number;
  readonly balance: number;
  /** How freely the seed composes: 0 the same composition for every seed .. 1 a free one. */
  readonly spread: number;
  /** How strictly the words hold against references, 0..1; .5 usual. */
  readonly strictness?: number;
  /** How ornate the painter draws, 0 plain .. 1 ornate; .5 usual. */
  readonly ornateness?: number;
  /** Words of the prompt that count more or less than the others. */
  readonly emphases?: readonly Emphasis[];
  /** The medium of the stage; the words' own, or the one nearest to the looks, when absent. */
  readonly medium?: Medium;
  /** People and creatures whom the studio knows by name. */
  readonly names?: readonly KnownName[];
  readonly start?: RequestStart;
  /** Only there the start picture changes. */
  readonly mask?: RequestMask;
  /** Which frame of a sequence it is; a picture of its own when absent. */
  readonly frame?: RequestFrame;
  /** A finished frame of the same sequence that this one is held by. */
  readonly hold?: RequestHold;
  readonly influences: readonly RequestInfluence[];
}

/** The sides that the engine renders, in px. */
export const MIN_SIDE = 64;
export const MAX_SIDE = 2048;
export const MAX_INFLUENCES = 24;
/** How large the motifs of a reference may come out. */
export const MIN_MOTIF = 0.5;
export const MAX_MOTIF = 1.5;

/**
 * Checks plain JSON against docs/formats/render-request.schema.json and fills in the defaults. Throws
 * {@link RequestError}.
 */
export function readRequest(json: unknown): RenderRequest {
  const r = asObject(json, 'The request');
  const influences = r.influences ?? [];
  if (!Array.isArray(influences) || influences.length > MAX_INFLUENCES)
    throw new RequestError(`influences: a list of at most ${MAX_INFLUENCES}`);
  return {
    prompt: text(r, 'prompt', undefined),
    avoid: text(r, 'avoid', ''),
    width: whole(r, 'width', MIN_SIDE, MAX_SIDE, 768),
    height: whole(r, 'height', MIN_SIDE, MAX_SIDE, 512),
    seed: whole(r, 'seed', 0, 0xffffffff, 1),
    balance: number(r, 'balance', 0, 2, 1),
    spread: number(r, 'spread', 0, 1, 1),
    ...(r.strictness === undefined ? {} : { strictness: number(r, 'strictness', 0, 1, 0.5) }),
    ...(r.ornateness === undefined ? {} : { ornateness: number(r, 'ornateness', 0, 1, 0.5) }),
    ...(r.emphases === undefined ? {} : { emphases: readEmphases(r.emphases) }),
    ...(r.medium === undefined ? {} : { medium: oneOf(r, 'medium', MEDIA, 'gouache') }),
    ...(r.names === undefined ? {} : { names: readNames(r.names) }),
    ...(r.start === undefined ? {} : { start: readStart(r.start) }),
    ...(r.mask === undefined ? {} : { mask: readMask(r.mask, 'mask') }),
    ...(r.frame === undefined ? {} : { frame: readFrame(r.frame) }),
    ...(r.hold === undefined ? {} : { hold: readHold(r.hold) }),
    influences: influences.map((i, k) => readInfluence(i, `influences[${k}]`)),
  };
}

function readNames(json: unknown): KnownName[] {
  if (!Array.isArray(json) || json.length > 200) throw new RequestError('names: a list of at most 200');
  return json.map((one, k) => {
    const n = asObject(one, `names[${k}]`);
    const description = text(n, 'description', '', `names[${k}]`);
    return { name: text(n, 'name', undefined, `names[${k}]`), ...(description ? { description } : {}) };
  });
}

function readEmphases(json: unknown): Emphasis[] {
  if (!Array.isArray(json) || json.length > MAX_EMPHASES)
    throw new RequestError(`emphases: a list of at most ${MAX_EMPHASES}`);
  return json.map((one, k) => {
    const at = `emphases[${k}]`;
    const e = asObject(one, at);
    return { words: text(e, 'words', undefined, at), weight: number(e, 'weight', 0, 2, 1, at) };
  });
}

function readStart(json: unknown): RequestStart {
  const o = asObject(json, 'start');
  return { content: text(o, 'content', undefined, 'start'), change: number(o, 'change', 0, 1, 0.6, 'start') };
}

function readMask(json: unknown, at: string): RequestMask {
  const o = asObject(json, at);
  return {
    content: text(o, 'content', undefined, at),
    invert: flag(o, 'invert', false, at),
    feather: number(o, 'feather', 0, 0.1, 0.008, at),
  };
}

function readPicture(json: unknown, at: string): RequestPicture {
  const p = asObject(json, at);
  return {
    content: text(p, 'content', undefined, at),
    weight: number(p, 'weight', 0, 4, 1, at),
    ...(p.horizon === undefined ? {} : { horizon: number(p, 'horizon', 0, 1, 0.5, at) }),
    ...(p.face === undefined ? {} : { face: readFace(p.face, `${at}.face`) }),
    ...(p.joints === undefined ? {} : { joints: readJoints(p.joints, `${at}.joints`) }),
    ...(p.layout === undefined ? {} : { layout: readLayoutMap(p.layout, `${at}.layout`) }),
    ...(p.traits === undefined ? {} : { traits: readTraitSheet(p.traits, `${at}.traits`) }),
  };
}

function readParts(json: unknown, at: string): IdentityPart[] {
  if (!Array.isArray(json) || !json.every((p) => (IDENTITY_PARTS as readonly unknown[]).includes(p)))
    throw new RequestError(`${at}.parts: a list of ${IDENTITY_PARTS.join(', ')}`);
  return json as IdentityPart[];
}

function readInfluence(json: unknown, at: string): RequestInfluence {
  const i = asObject(json, at);
  const pictures = i.pictures;
  if (!Array.isArray(pictures) || !pictures.length || pictures.length > 64)
    throw new RequestError(`${at}.pictures: a list of 1 to 64 pictures`);
  const from = number(i, 'from', 0, 1, 0, at);
  const to = number(i, 'to', 0, 1, 1, at);
  if (to < from) throw new RequestError(`${at}.to: not before from (${from}), but it is ${to}`);
  return {
    id: text(i, 'id', at, at),
    gives: oneOf(i, 'gives', GIVES, 'look', at),
    weight: number(i, 'weight', 0, TYPED_MAX_WEIGHT, 1, at),
    from,
    to,
    on: flag(i, 'on', true, at),
    reading: oneOf(i, 'reading', READINGS, 'normal', at),
    subject: i.subject === undefined ? undefined : text(i, 'subject', undefined, at),
    ...(i.parts === undefined ? {} : { parts: readParts(i.parts, at) }),
    ...(i.traits === undefined ? {} : { traits: readTraitSheet(i.traits, `${at}.traits`) }),
    ...(i.fill === undefined ? {} : { fill: oneOf(i, 'fill', ['inside', 'around'] as const, 'inside', at) }),
    ...(i.motif === undefined ? {} : { motif: number(i, 'motif', MIN_MOTIF, MAX_MOTIF, 1, at) }),
    ...(i.region === undefined ? {} : { region: readMask(i.region, `${at}.region`) }),
    pictures: pictures.map((p, k) => readPicture(p, `${at}.pictures[${k}]`)),
  };
}
