import { applyDecorators } from '@nestjs/common';
import { ApiProperty, type ApiPropertyOptions } from '@nestjs/swagger';
import type { AnySetting, Form } from '@urbild/core';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { IsId, Optional } from './decorators';

/** What a declared setting is called in the API where its values have a name of their own. */
const ENUMS: Readonly<Record<string, string>> = {
  aspect: 'Aspect',
  medium: 'Medium',
  gives: 'Gives',
  reading: 'Reading',
  parts: 'IdentityPart',
};

/** The checks and the description of values of a form. */
function fieldOf(name: string, form: Form): { checks: PropertyDecorator[]; api: ApiPropertyOptions } {
  const enumName = ENUMS[name] ? { enumName: ENUMS[name] } : {};
  switch (form.kind) {
    case 'number':
    case 'whole':
      return {
        checks: [form.kind === 'number' ? IsNumber() : IsInt(), Min(form.low), Max(form.high)],
        api: { type: Number, minimum: form.low, maximum: form.high },
      };
    case 'choice':
      return { checks: [IsIn(form.values)], api: { enum: [...form.values], ...enumName } as ApiPropertyOptions };
    case 'choices':
      return {
        checks: [IsArray(), ArrayMaxSize(form.values.length), IsIn(form.values, { each: true })],
        api: { enum: [...form.values], isArray: true, ...enumName } as ApiPropertyOptions,
      };
    case 'flag':
      return { checks: [IsBoolean()], api: { type: Boolean } };
    case 'text':
      return { checks: [IsString(), Length(1, form.longest)], api: { type: String } };
    case 'ids':
      return { checks: [IsArray(), ArrayMaxSize(form.most), IsId({ each: true })], api: { type: [String] } };
    case 'parts':
      throw new TypeError(`${name} is made of parts: its field is written out`);
  }
}

/** What `usual` means to somebody who reads the API. */
const whenAbsent = ({ usual, form }: AnySetting): string =>
  usual === undefined || form.kind === 'ids' ? '' : `; ${String(usual)} when absent`;

/** A field for a declared setting: range, sentence and whether it may be left out all come from its declaration. */
export function SettingField(name: string, setting: AnySetting, optional = !setting.needed): PropertyDecorator {
  const { checks, api } = fieldOf(name, setting.form);
  const description = setting.says + (optional && !setting.own ? whenAbsent(setting) : '');
  return applyDecorators(
    ApiProperty({ ...api, required: !optional, description } as ApiPropertyOptions),
    ...(optional ? [Optional()] : []),
    ...checks,
  );
}

/**
 * A class to extend, with a field for each of some declared settings: checked and described as they are declared. Those that are made of
 * parts are written out in the class that extends it. `T` are the fields as TypeScript sees them.
 */
export function declaredFields<T extends object>(
  declared: readonly (readonly [string, AnySetting])[],
  options: { readonly optional?: boolean } = {},
): new () => T {
  class Declared {}
  for (const [name, setting] of declared)
    if (setting.form.kind !== 'parts') SettingField(name, setting, options.optional)(Declared.prototype, name);
  return Declared as new () => T;
}
