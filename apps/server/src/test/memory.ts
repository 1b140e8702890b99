/** A database in memory with the present tables, and rows to put into it, for services that are tried without a server. */
import { MikroORM, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { randomUUID } from 'crypto';
import { CharacterEntity, type Character } from '../cast/character.entity';
import { ENTITIES } from '../entities';
import { ReferenceEntity, type Reference } from '../library/reference.entity';
import { LookEntity, type Look } from '../looks/look.entity';
import { MixEntity, type Mix } from '../mixes/mix.entity';
import { databaseOptions } from '../platform/database/options';
import { TakeEntity, type Take } from '../takes/take.entity';

export interface Memory {
  readonly orm: MikroORM;
  /** A fresh one, as each request has. */
  em(): SqlEntityManager;
  close(): Promise<void>;
}

/** Opens an empty studio's database. */
export async function openMemory(): Promise<Memory> {
  const orm = await MikroORM.init(databaseOptions(':memory:', ENTITIES));
  await orm.getMigrator().up();
  return { orm, em: () => orm.em.fork() as SqlEntityManager, close: () => orm.close() };
}

const hash = (seed: string) => Buffer.from(seed).toString('hex').padEnd(64, '0').slice(0, 64);
const NOW = new Date('2026-01-02T00:00:00Z');

/** A style of which nothing is read; its hashes follow from its id. */
export function putReference(em: SqlEntityManager, id: string, fields: Partial<Reference> = {}): Reference {
  return em.create(ReferenceEntity, {
    id,
    kind: 'style',
    title: id,
    tags: [],
    notes: '',
    rating: 0,
    favourite: false,
    rights: { kind: 'own work' },
    originalHash: hash(`o${id}`),
    sourceHash: hash(`s${id}`),
    pictureHash: hash(`p${id}`),
    thumbnailHash: hash(`t${id}`),
    descriptorsHash: hash(`d${id}`),
    preparation: { rotate: 0, mirror: false, sharpen: 0, flatten: false, cutOut: false },
    history: [],
    corrections: {},
    format: 'png',
    width: 30,
    height: 20,
    transparent: 0,
    swatches: [],
    perceptualHash: '0',
    metadata: {},
    checks: [],
    checkState: 'fine',
    reading: null,
    vision: null,
    visionState: 'done',
    faceHash: null,
    derivedWords: '',
    createdAt: NOW,
    version: 1,
    ...fields,
  } as never) as Reference;
}

export const putLook = (em: SqlEntityManager, id: string, items: Look['items'], fields: Partial<Look> = {}): Look =>
  em.create(LookEntity, {
    id,
    name: id,
    notes: '',
    items,
    isDefault: false,
    createdAt: NOW,
    updatedAt: NOW,
    version: 1,
    ...fields,
  } as never) as Look;

export const putCharacter = (em: SqlEntityManager, id: string, fields: Partial<Character> = {}): Character =>
  em.create(CharacterEntity, {
    id,
    name: id,
    species: 'person',
    description: '',
    items: [],
    usualWeight: 1,
    corrected: {},
    outfits: [],
    createdAt: NOW,
    updatedAt: NOW,
    version: 1,
    ...fields,
  } as never) as Character;

export const putMix = (em: SqlEntityManager, id: string, fields: Partial<Mix> = {}): Mix =>
  em.create(MixEntity, {
    id,
    name: id,
    prompt: 'a mill',
    avoid: '',
    settings: { aspect: '3:2', seed: 1, balance: 1 },
    influences: [],
    createdAt: NOW,
    updatedAt: NOW,
    version: 1,
    ...fields,
  } as never) as Mix;

/** A finished draft. */
export const putTake = (em: SqlEntityManager, fields: Partial<Take> = {}): Take =>
  em.create(TakeEntity, {
    id: randomUUID(),
    isControl: false,
    controlled: false,
    quality: 'draft',
    status: 'done',
    requestHash: 'x',
    origin: {
      request: { prompt: 'a mill', avoid: '', width: 96, height: 64, seed: 1, balance: 1, spread: 1, influences: [] },
      engine: { name: 'urbild', version: '0.6.0' },
      influences: [],
    },
    keeper: false,
    approvedAt: null,
    approvedBy: null,
    rating: 0,
    rejected: false,
    note: '',
    createdAt: NOW,
    finishedAt: NOW,
    version: 1,
    ...fields,
  } as never) as Take;
