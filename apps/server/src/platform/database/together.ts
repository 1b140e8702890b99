import { TransactionPropagation, type EntityManager } from '@mikro-orm/core';
import type { SqlEntityManager } from '@mikro-orm/better-sqlite';

/**
 * Does what belongs together in one transaction: all of it is kept, or nothing. Inside another transaction it becomes a part of that
 * one. There is one connection to the database, so transactions also exclude each other: what is looked up inside stays true until the
 * end. Never wait inside for anything but the database, and create entities inside: what was created before is not part of it.
 */
export const together = <T>(em: EntityManager, act: (em: SqlEntityManager) => Promise<T>): Promise<T> =>
  em.transactional((tx) => act(tx as SqlEntityManager), { propagation: TransactionPropagation.REQUIRED });
