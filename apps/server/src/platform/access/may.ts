import { applyDecorators, SetMetadata, type ExecutionContext } from '@nestjs/common';
import { ApiExtension } from '@nestjs/swagger';
import type { Permission } from '@urbild/core';

/** What is needed to use an operation: a permission of the studio's table, or nothing, for whoever is not in yet. */
export type Needed = Permission | 'anybody';

const NEEDED = Symbol('what an operation needs');

/**
 * Says what is needed to use an operation: the guard asks for it, and the OpenAPI document tells it as `x-permission`. Every operation
 * says so; one that does not is refused to everybody, and a test names it.
 */
export const May = (needed: Needed): MethodDecorator =>
  applyDecorators(SetMetadata(NEEDED, needed), ApiExtension('x-permission', needed));

/** What the operation of a request needs; undefined where it does not say so. */
export const neededBy = (context: ExecutionContext): Needed | undefined =>
  Reflect.getMetadata(NEEDED, context.getHandler()) as Needed | undefined;
