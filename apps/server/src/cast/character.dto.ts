import { ApiProperty } from '@nestjs/swagger';
import {
  SAID_TRAITS,
  COLOUR_TRAITS,
  NUMBER_TRAITS,
  LONGEST_OUTFIT_NAME,
  LONGEST_OUTFIT_WORDS,
  MOST_OUTFIT_PICTURES,
  MOST_OUTFITS,
  OUTFIT_NAME,
  SLOTS,
  colourName,
  srgbToLab,
  type Slot,
  type Trait,
  type TraitName,
  type TraitSheet,
  hexOf,
} from '@urbild/core';
import { usualHeight } from '@urbild/engine';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
} from 'class-validator';
import { descriptionOf, type Character } from './character.entity';
import { IsId, NestedList, Optional } from '../platform/input/decorators';

const TRAITS = SAID_TRAITS;

export class SheetItemDto {
  @ApiProperty() @IsId() referenceId!: string;
  @ApiProperty({
    enum: SLOTS,
    enumName: 'Slot',
    required: false,
    description: 'what it shows, as a person says; by what is seen of it when absent',
  })
  @Optional()
  @IsIn(SLOTS)
  slot?: Slot;
}

/** What a trait of a name is said by. */
const saidBy = (name: TraitName): 'colour' | 'number' | 'choice' =>
  COLOUR_TRAITS.some((t) => t === name) ? 'colour' : NUMBER_TRAITS.some((t) => t === name) ? 'number' : 'choice';

/** The trait has just the value that its name asks for. */
const SaysWhatItIs = () =>
  ValidateBy({
    name: 'saysWhatItIs',
    validator: {
      validate: (name: TraitName, context) => {
        const trait = context!.object as TraitDto;
        return (['colour', 'number', 'choice'] as const).every(
          (kind) => (trait[kind] !== undefined) === (kind === saidBy(name)),
        );
      },
      defaultMessage: (context) =>
        `${context!.value}: give its ${saidBy(context!.value as TraitName)} and nothing else`,
    },
  });

/** One trait. Exactly one of colour, number and choice is there. */
export class TraitDto {
  @ApiProperty({ enum: TRAITS, enumName: 'TraitName' }) @IsIn(TRAITS) @SaysWhatItIs() name!: TraitName;
  @ApiProperty({ required: false, example: '#b5653a' }) @Optional() @Matches(/^#[0-9a-f]{6}$/) colour?: string;
  @ApiProperty({ required: false, description: '1 is usual' })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(4)
  number?: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 60) choice?: string;
  @ApiProperty({ required: false, description: 'the colour in a word' }) @Optional() @IsString() word?: string;
  @ApiProperty({ required: false, description: '0..1' }) @Optional() @IsNumber() @Min(0) @Max(1) confidence?: number;
  @ApiProperty({ required: false, description: 'set by a person: new pictures do not change it' })
  @Optional()
  @IsBoolean()
  locked?: boolean;
}

/** Clothes that words call by their name: "Ilse in her winter coat". */
export class OutfitDto {
  @ApiProperty({ description: 'chosen by whoever adds it; stays while its name changes' }) @IsId() id!: string;
  @ApiProperty({ example: 'winter coat' })
  @IsString()
  @Length(1, LONGEST_OUTFIT_NAME)
  @Matches(OUTFIT_NAME, { message: 'name: letters, as prompts will say it' })
  name!: string;
  @ApiProperty({ description: 'what it is, in words; empty where pictures tell it all' })
  @IsString()
  @MaxLength(LONGEST_OUTFIT_WORDS)
  wears!: string;
  @ApiProperty({ type: [String], description: 'references that show it' })
  @IsArray()
  @ArrayMaxSize(MOST_OUTFIT_PICTURES)
  @IsId({ each: true })
  pictures!: string[];
}

/** A named person or creature. */
export class CharacterDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ example: 'person' }) species!: string;
  @ApiProperty() description!: string;
  @ApiProperty({ type: [SheetItemDto] }) items!: SheetItemDto[];
  @ApiProperty({ minimum: 0, maximum: 2 }) usualWeight!: number;
  @ApiProperty({ type: [TraitDto], description: 'what a person corrected' }) corrected!: TraitDto[];
  @ApiProperty({ type: [OutfitDto] }) outfits!: OutfitDto[];
  @ApiProperty({ description: "against a grown person's, 1" }) height!: number;
  @ApiProperty() updatedAt!: string;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

const DECIDED_BY = ['words', 'reference', 'neither'] as const;

class TraitTallyDto {
  @ApiProperty({ enum: TRAITS, enumName: 'TraitName' }) trait!: TraitName;
  @ApiProperty({ description: 'takes in which it can be seen' }) seen!: number;
  @ApiProperty({ description: 'of these, takes in which it is the same' }) kept!: number;
  @ApiProperty({ enum: DECIDED_BY, description: 'who decided it in most' }) by!: (typeof DECIDED_BY)[number];
}

/** How the traits of a character fared over its takes. */
export class TraitTalliesDto {
  @ApiProperty({ description: 'takes that show it, at most the newest 60' }) takes!: number;
  @ApiProperty({ type: [TraitTallyDto] }) traits!: TraitTallyDto[];
}

class CharacterFieldsDto {
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 60) species?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(1000) description?: string;
  @ApiProperty({ type: [SheetItemDto], required: false })
  @Optional()
  @NestedList(() => SheetItemDto, { most: 40 })
  items?: SheetItemDto[];
  @ApiProperty({ required: false, minimum: 0, maximum: 2 })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(2)
  usualWeight?: number;
  @ApiProperty({ type: [TraitDto], required: false })
  @Optional()
  @NestedList(() => TraitDto, { most: 40 })
  corrected?: TraitDto[];
  @ApiProperty({ type: [OutfitDto], required: false })
  @Optional()
  @NestedList(() => OutfitDto, { most: MOST_OUTFITS })
  @ArrayUnique(({ name }: OutfitDto) => name.toLowerCase(), { message: 'outfits: two have the same name' })
  @ArrayUnique(({ id }: OutfitDto) => id, { message: 'outfits: two have the same id' })
  outfits?: OutfitDto[];
}

const NAME = /^[\p{L}][\p{L}\p{N} .'-]*$/u;

export class NewCharacterDto extends CharacterFieldsDto {
  @ApiProperty()
  @IsString()
  @Length(1, 60)
  @Matches(NAME, { message: 'name: letters, as it is written in prompts' })
  name!: string;
}

/** Changes to a character; what is absent stays. */
export class ChangeCharacterDto extends CharacterFieldsDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false })
  @Optional()
  @IsString()
  @Length(1, 60)
  @Matches(NAME, { message: 'name: letters, as it is written in prompts' })
  name?: string;
}

/** How one picture of a sheet was read. */
class SheetReadingDto {
  @ApiProperty() referenceId!: string;
  @ApiProperty({ type: [TraitDto] }) traits!: TraitDto[];
}

/** What was read of a character from all its pictures. */
export class CharacterReadingDto {
  @ApiProperty({ type: [TraitDto] }) traits!: TraitDto[];
  @ApiProperty({
    type: [Number],
    required: false,
    description:
      'the contours of the face from the front: x and y of every point of half a face, in distances between the eyes',
  })
  face?: number[];
  @ApiProperty({ type: [SheetReadingDto] }) pictures!: SheetReadingDto[];
  @ApiProperty({ description: '0..1' }) agreement!: number;
  @ApiProperty({ required: false, description: 'the picture that falls out' }) odd?: string;
  @ApiProperty({ type: [String] }) advice!: string[];
  @ApiProperty({ description: 'pictures that nobody has looked at yet' }) waiting!: number;
}

export class DescribeDto {
  @ApiProperty({ description: 'who it is, in words' }) @IsString() @Length(2, 400) description!: string;
}

/** A picture painted from a description. */
export class CandidateDto {
  @ApiProperty() hash!: string;
  @ApiProperty() pictureUrl!: string;
}

export class PickDto {
  @ApiProperty() @Matches(/^[0-9a-f]{64}$/) hash!: string;
  @ApiProperty()
  @IsString()
  @Length(1, 60)
  @Matches(NAME, { message: 'name: letters, as it is written in prompts' })
  name!: string;
  @ApiProperty() @IsString() @Length(2, 400) description!: string;
}

/** A trait sheet as a list. */
export const traitList = (sheet: TraitSheet): TraitDto[] =>
  TRAITS.flatMap((name) => {
    const t = sheet[name];
    if (!t) return [];
    const { colour, number, choice, confidence, locked } = t;
    return [
      {
        name,
        ...(colour ? { colour: hexOf(colour), word: colourName(colour) } : {}),
        ...(number === undefined ? {} : { number: Math.round(number * 1000) / 1000 }),
        ...(choice === undefined ? {} : { choice }),
        // where its contours are known, the form of a face is drawn from those
        ...(number !== undefined && sheet['face shape'] && !locked
          ? {}
          : { confidence: Math.round(confidence * 100) / 100 }),
        ...(locked ? { locked } : {}),
      },
    ];
  });

/** The inverse of {@link traitList}, for what a person corrected: all of it locked. */
export const sheetOf = (list: readonly TraitDto[]): TraitSheet =>
  Object.fromEntries(
    list.map(({ name, colour, number, choice }): [TraitName, Trait] => [
      name,
      {
        ...(colour
          ? {
              colour: srgbToLab(
                ...([1, 3, 5].map((k) => parseInt(colour.slice(k, k + 2), 16)) as [number, number, number]),
              ),
            }
          : {}),
        ...(number === undefined ? {} : { number }),
        ...(choice === undefined ? {} : { choice }),
        confidence: 1,
        locked: true,
      },
    ]),
  );

/** How tall somebody is: as a person said, else as words tell. */
const heightOf = ({ name, species, description, corrected }: Character): number =>
  Math.round(
    100 * (corrected.height?.number ?? usualHeight({ name, description: descriptionOf({ species, description }) })),
  ) / 100;

/** The form in which a character leaves the server. */
export const toCharacterDto = (c: Character): CharacterDto => ({
  id: c.id,
  name: c.name,
  species: c.species,
  description: c.description,
  items: c.items,
  usualWeight: c.usualWeight,
  corrected: traitList(c.corrected),
  outfits: c.outfits.map(({ pictures, ...outfit }) => ({ ...outfit, pictures: [...pictures] })),
  height: heightOf(c),
  updatedAt: c.updatedAt.toISOString(),
  version: c.version,
});
