import { applyDecorators } from '@nestjs/common';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsObject,
  Matches,
  ValidateBy,
  ValidateIf,
  ValidateNested,
  buildMessage,
} from 'class-validator';

/** May be left out. Unlike class-validator's IsOptional, null is not "left out": it is checked like any other value. */
export const Optional = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

type ClassOf = () => new () => object;

/** One object of a class, whose fields are checked too. Neither missing, nor null, nor an array. */
export const Nested = (of: ClassOf): PropertyDecorator => applyDecorators(IsObject(), ValidateNested(), Type(of));

/** A list of objects of a class, whose fields are checked too. */
export const NestedList = (
  of: ClassOf,
  { least = 0, most, message }: { readonly least?: number; readonly most: number; readonly message?: string },
): PropertyDecorator =>
  applyDecorators(
    IsArray(),
    ...(least ? [ArrayMinSize(least)] : []),
    ArrayMaxSize(most, message ? { message } : undefined),
    IsObject({ each: true }),
    ValidateNested({ each: true }),
    Type(of),
  );

/** What an id looks like: letters, digits, - and _, at most 60 of them. */
export const ID_PATTERN = /^[A-Za-z0-9][A-Za-z0-9_-]{0,59}$/;

/** True for a text that may be an id. Names that every object has are none: ids are keys of objects. */
export const isId = (text: unknown): text is string =>
  typeof text === 'string' && ID_PATTERN.test(text) && !(text in Object.prototype);

/** An id; each of a list with `each`. */
export const IsId = (options?: { readonly each: boolean }): PropertyDecorator =>
  applyDecorators(
    ...(options?.each ? [IsArray()] : []),
    ValidateBy(
      {
        name: 'isId',
        validator: {
          validate: isId,
          defaultMessage: buildMessage(
            (each) => `${each}$property must be an id: letters, digits, - and _, at most 60`,
            options,
          ),
        },
      },
      options,
    ),
  );

/** A SHA-256 as 64 lower-case hexadecimal digits. */
export const IsHash = (): PropertyDecorator =>
  Matches(/^[0-9a-f]{64}$/, { message: '$property must be a hash: 64 hexadecimal digits' });
