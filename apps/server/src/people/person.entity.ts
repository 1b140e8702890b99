import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Role } from '@urbild/core';
import { NO_BLOB } from '../platform/blobs/blobFields';

/** Somebody who works in the studio. */
export const PersonEntity = defineEntity({
  name: 'Person',
  tableName: 'person',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    /** What they type to come in: lower case, one of its kind among those who are there. */
    login: p.string().unique(),
    /** argon2id with its parameters and salt (PHC string). */
    password: p.text(),
    /** Who they are in the directory; null for those who come in by their password alone. */
    directoryId: p.string().nullable().unique(),
    /** Hue of their mark, degrees 0..359. */
    hue: p.integer(),
    role: p.string().$type<Role>(),
    /** Whether an owner allowed them to hand over, where their role does not. */
    mayExport: p.boolean().default(false),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Person = InferEntity<typeof PersonEntity>;

/** Somebody is in, by one browser. */
export const SessionEntity = defineEntity({
  name: 'Session',
  tableName: 'session',
  properties: {
    id: p.string().primary(),
    /** SHA-256 of what the browser holds: whoever reads the database cannot come in by it. */
    tokenHash: p.string().unique().comment(NO_BLOB),
    personId: p.string().index(),
    /** What the browser says of itself. */
    browser: p.string(),
    createdAt: p.datetime(),
    seenAt: p.datetime(),
    expiresAt: p.datetime(),
  },
});
export type Session = InferEntity<typeof SessionEntity>;

/** A link that lets somebody in once: as a new person, or with a new password. */
export const InvitationEntity = defineEntity({
  name: 'Invitation',
  tableName: 'invitation',
  properties: {
    id: p.string().primary(),
    tokenHash: p.string().unique().comment(NO_BLOB),
    /** Whose password it makes new; null for somebody new. */
    personId: p.string().nullable(),
    /** Whom it is meant for, in the words of who made it. */
    note: p.string(),
    role: p.string().$type<Role>(),
    mayExport: p.boolean().default(false),
    createdAt: p.datetime(),
    expiresAt: p.datetime(),
    usedAt: p.datetime().nullable(),
  },
});
export type Invitation = InferEntity<typeof InvitationEntity>;
