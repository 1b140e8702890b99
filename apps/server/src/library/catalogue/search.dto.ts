import { ApiProperty } from '@nestjs/swagger';
import { srgbToLab } from '@urbild/core';
import { Transform } from 'class-transformer';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, Length, Matches, Max, MaxLength, Min } from 'class-validator';
import { KINDS, RIGHTS, type CheckState, type Kind, type RightsKind } from '../reference.entity';
import { SORTS, type CatalogueQuery, type Sort } from './catalogue';
import { IsId, Optional } from '../../platform/input/decorators';

const STATES: readonly CheckState[] = ['fine', 'warning', 'serious'];
const WAYS = ['content', 'style'] as const;
const USED = ['used', 'unused'] as const;
const flag = () =>
  Transform(({ value }: { value: unknown }) => (value === 'true' ? true : value === 'false' ? false : value));
const numeric = () => Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? Number(value) : value));
const optional = { required: false } as const;

/** What is looked for in the library. */
export class SearchQueryDto {
  @ApiProperty({ ...optional, description: 'all of them must occur in title, tags, notes or what the picture shows' })
  @Optional()
  @IsString()
  @MaxLength(400)
  words?: string;
  @ApiProperty({ ...optional, enum: KINDS, enumName: 'Kind' }) @Optional() @IsIn(KINDS) kind?: Kind;
  @ApiProperty(optional) @Optional() @IsString() @Length(1, 60) tag?: string;
  @ApiProperty({ ...optional, enum: RIGHTS, enumName: 'RightsKind' }) @Optional() @IsIn(RIGHTS) rights?: RightsKind;
  @ApiProperty({ ...optional, enum: STATES, enumName: 'CheckState' }) @Optional() @IsIn(STATES) state?: CheckState;
  @ApiProperty({ ...optional, minimum: 1, maximum: 5 })
  @Optional()
  @numeric()
  @IsInt()
  @Min(1)
  @Max(5)
  rating?: number;
  @ApiProperty(optional) @Optional() @flag() @IsBoolean() favourite?: boolean;
  @ApiProperty(optional) @Optional() @IsId() look?: string;
  @ApiProperty(optional) @Optional() @IsId() character?: string;
  @ApiProperty({ ...optional, description: 'id of a collection that is put together by hand, or of a project' })
  @Optional()
  @IsId()
  collection?: string;
  @ApiProperty({ ...optional, enum: USED }) @Optional() @IsIn(USED) used?: (typeof USED)[number];
  @ApiProperty({ ...optional, description: 'only what was archived' })
  @Optional()
  @flag()
  @IsBoolean()
  away?: boolean;
  @ApiProperty({ ...optional, example: '#3447a8' }) @Optional() @Matches(/^#[0-9a-fA-F]{6}$/) colour?: string;
  @ApiProperty({ ...optional, minimum: 0.01, maximum: 0.5, description: 'how far off in OKLab; 0.08 when absent' })
  @Optional()
  @numeric()
  @IsNumber()
  @Min(0.01)
  @Max(0.5)
  tolerance?: number;
  @ApiProperty({ ...optional, description: 'id of a reference: only what is like it, best first' })
  @Optional()
  @IsId()
  like?: string;
  @ApiProperty({ ...optional, enum: WAYS }) @Optional() @IsIn(WAYS) by?: (typeof WAYS)[number];
  @ApiProperty({ ...optional, enum: SORTS, enumName: 'Sort' }) @Optional() @IsIn(SORTS) sort?: Sort;
}

/** Counts per facet value. */
class FacetsDto {
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) kind!: Record<string, number>;
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) tag!: Record<string, number>;
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) rights!: Record<string, number>;
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) state!: Record<string, number>;
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) look!: Record<string, number>;
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) character!: Record<string, number>;
  @ApiProperty({ type: 'object', additionalProperties: { type: 'number' } }) collection!: Record<string, number>;
  @ApiProperty() favourite!: number;
  @ApiProperty() unused!: number;
  @ApiProperty() away!: number;
}

/** All that was found: ids and aspects in their order; the pictures themselves are asked for as they come into sight. */
export class SearchDto {
  @ApiProperty() total!: number;
  @ApiProperty({ description: 'references in the studio' }) all!: number;
  @ApiProperty({ type: [String] }) ids!: string[];
  @ApiProperty({ type: [Number], description: 'width / height' }) aspects!: number[];
  @ApiProperty({ type: FacetsDto }) facets!: FacetsDto;
  @ApiProperty({ description: 'milliseconds' }) took!: number;
}

/** A checked query as the catalogue takes it. */
export function catalogueQuery(q: SearchQueryDto): CatalogueQuery {
  const { kind, tag, rights, state, rating, favourite, look, character, collection, used, away, sort } = q;
  const byte = (at: number) => parseInt(q.colour!.slice(at, at + 2), 16);
  return {
    kind,
    tag,
    rights,
    state,
    rating,
    favourite,
    look,
    character,
    collection,
    used,
    away,
    sort,
    like: q.like === undefined ? undefined : { id: q.like, by: q.by ?? 'content' },
    colour:
      q.colour === undefined
        ? undefined
        : { lab: srgbToLab(byte(1), byte(3), byte(5)), tolerance: q.tolerance ?? 0.08 },
  };
}
