import type { JsonSchema } from '@urbild/core';
import Ajv2020, { type ErrorObject } from 'ajv/dist/2020';
import type { RenderRequest, RequestInfluence } from './request';
import { REQUEST_SCHEMA } from './schema';

/** A request that cannot be rendered; the message says which field is wrong and what is allowed. */
export class RequestError extends Error {
  override readonly name = 'RequestError';
}

const validate = new Ajv2020({ useDefaults: true, verbose: true, strictTuples: false, strictTypes: false }).compile(
  REQUEST_SCHEMA,
);

/** What a schema allows, in words. */
function allowed(schema: JsonSchema): string {
  const { description, title, type, enum: among, minimum, maximum, minItems, maxItems, maxLength } = schema;
  if (description) return String(description);
  if (among) return `one of ${(among as string[]).join(', ')}`;
  switch (type) {
    case 'integer':
      return `a whole number from ${minimum as number} to ${maximum as number}`;
    case 'number':
      return `a number from ${minimum as number} to ${maximum as number}`;
    case 'boolean':
      return 'true or false';
    case 'array': {
      const most = minItems ? `${minItems as number} to ${maxItems as number}` : `at most ${maxItems as number}`;
      return `a list of ${most}${title ? ` ${String(title)}` : ''}`;
    }
    case 'object':
      return 'an object is expected';
    default:
      return `a text of at most ${maxLength as number} characters`;
  }
}

/** "/influences/0/weight" as "influences[0].weight". */
const spoken = (pointer: string): string =>
  pointer
    .split('/')
    .slice(1)
    .map((part) => (/^\d+$/.test(part) ? `[${part}]` : `.${part.replaceAll('~1', '/').replaceAll('~0', '~')}`))
    .join('')
    .replace(/^\./, '');

/** The first thing that is wrong, as a sentence that names the field. */
function sentence({ instancePath, keyword, params, parentSchema }: ErrorObject): string {
  const at = spoken(instancePath);
  const schema = parentSchema as JsonSchema;
  if (keyword === 'required') {
    const field = params.missingProperty as string;
    const of = (schema.properties as Record<string, JsonSchema>)[field];
    return `${at ? `${at}.` : ''}${field}: ${allowed(of)}`;
  }
  if (keyword === 'additionalProperties') {
    const name = String(params.additionalProperty).slice(0, 40);
    return `${at || 'The request'}: no ${String(schema.title)} "${name}"`;
  }
  return `${at || 'The request'}: ${allowed(schema)}`;
}

/**
 * Checks plain JSON against {@link REQUEST_SCHEMA} and fills in the defaults; what it is given stays as it is. Throws
 * {@link RequestError}.
 */
export function readRequest(json: unknown): RenderRequest {
  const request: unknown = structuredClone(json);
  if (!validate(request)) throw new RequestError(sentence(validate.errors![0]));
  const { influences, ...rest } = request as unknown as RenderRequest;
  return { ...rest, influences: influences.map(readInfluence) };
}

/** What a schema cannot say: an influence has a name, its span runs forwards, and a map of near and far has one of two senses. */
function readInfluence(influence: RequestInfluence, k: number): RequestInfluence {
  const at = `influences[${k}]`;
  const { from, to, pictures } = influence;
  if (to < from) throw new RequestError(`${at}.to: not before from (${from}), but it is ${to}`);
  return {
    ...influence,
    id: influence.id ?? at,
    pictures: pictures.map((picture) =>
      picture.layout?.read === 'distance'
        ? { ...picture, layout: { ...picture.layout, near: picture.layout.near ?? 'light' } }
        : picture,
    ),
  };
}
