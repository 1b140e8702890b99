import type { INestApplication } from '@nestjs/common';
import { ModulesContainer } from '@nestjs/core';
import type { OpenAPIObject } from '@nestjs/swagger';
import { getMetadataStorage } from 'class-validator';

type Schema = Record<string, unknown> & { items?: Schema; properties?: Record<string, Schema> };
type Checked = abstract new (...args: never[]) => object;

/** What a check of class-validator is in JSON Schema (2020-12, validation). */
const BOUNDS: Readonly<Record<string, (limits: readonly number[]) => Schema>> = {
  maxLength: ([most]) => ({ maxLength: most }),
  minLength: ([least]) => ({ minLength: least }),
  isLength: ([least, most]) => ({ minLength: least, maxLength: most }),
  min: ([least]) => ({ minimum: least }),
  max: ([most]) => ({ maximum: most }),
  arrayMinSize: ([least]) => ({ minItems: least }),
  arrayMaxSize: ([most]) => ({ maxItems: most }),
};
/** Of these a list of texts or numbers says what holds of each. */
const OF_EACH = new Set(['maxLength', 'minLength', 'isLength', 'min', 'max']);

/** Writes into the schemas of a document what the checks of its inputs allow: what is refused can be read before it is sent. */
export function tellBounds(app: INestApplication, document: OpenAPIObject): OpenAPIObject {
  const schemas = (document.components?.schemas ?? {}) as Record<string, Schema>;
  for (const checked of inputsOf(app)) {
    const { properties } = schemas[checked.name] ?? {};
    if (!properties) continue;
    for (const { name, propertyName, constraints, each } of checksOf(checked)) {
      const schema = properties[propertyName];
      const bounds = BOUNDS[name ?? '']?.(constraints as number[]);
      if (!schema || !bounds) continue;
      Object.assign(each && OF_EACH.has(name!) && schema.items ? schema.items : schema, bounds);
    }
  }
  return document;
}

const checksOf = (checked: Checked) =>
  getMetadataStorage().getTargetValidationMetadatas(checked, '', false, false, undefined);

/** All classes by which what comes in is checked: those of parameters, and those within them. */
function inputsOf(app: INestApplication): Set<Checked> {
  const found = new Set<Checked>();
  const { validationMetadatas } = getMetadataStorage() as unknown as {
    readonly validationMetadatas: ReadonlyMap<Checked, unknown>;
  };
  for (const checked of validationMetadatas.keys()) if (typeof checked === 'function') found.add(checked);
  for (const module of app.get(ModulesContainer).values())
    for (const { metatype } of module.controllers.values()) {
      const prototype = (metatype as { prototype: object }).prototype;
      for (const method of Object.getOwnPropertyNames(prototype)) {
        const types = Reflect.getMetadata('design:paramtypes', prototype, method) as unknown[] | undefined;
        for (const type of types ?? []) if (typeof type === 'function') found.add(type as Checked);
      }
    }
  return found;
}
