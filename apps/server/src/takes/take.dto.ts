import { ApiProperty } from '@nestjs/swagger';
import {
  CHANNELS,
  REMARKS,
  settingsIn,
  type Channel,
  UNASKED_KINDS,
  type MixSettings,
  type RemarkKind,
  type UnaskedKind,
} from '@urbild/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, Max, MaxLength, Min } from 'class-validator';
import type { FaceFrame } from '@urbild/engine';
import { blobUrl } from '../platform/blobs/blobUrl';
import { MixInfluenceDto, MixSettingsDto } from '../mixes/mix.dto';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { arrivalsOf, wordsKeptIn } from './arrivals';
import { aspectOf } from './renderPlan';
import { approvedOf, ApprovedDto } from './approved';
import { byOlderEngine, engineName, type EngineVersion } from './takeEngine';
import type { Take, TakeStatus } from './take.entity';
import { IsId, Optional } from '../platform/input/decorators';

export class TextSpanDto {
  @ApiProperty() start!: number;
  @ApiProperty() end!: number;
  @ApiProperty() text!: string;
}

export class UnderstoodSpanDto extends TextSpanDto {
  @ApiProperty({ example: 'time: dusk' }) means!: string;
}

/** A word whose meaning the stage does not show. */
export class NotDrawnDto extends UnderstoodSpanDto {
  @ApiProperty({ example: 'Drawn as somebody who kneels, not more.' }) why!: string;
}

/** Somebody or something of the words, looked for in the finished picture. */
export class FoundWordDto extends UnderstoodSpanDto {
  @ApiProperty({ description: '0 not at all .. 1 as well as without references' }) found!: number;
  @ApiProperty({ type: [Number], required: false, description: 'where: left, top, right, bottom, 0..1' })
  box?: number[];
}

/** Something that a render found out about an influence. */
export class RemarkDto {
  @ApiProperty() influenceId!: string;
  @ApiProperty({ enum: REMARKS, enumName: 'RemarkKind' }) kind!: RemarkKind;
}

/** A channel of an influence that cannot be told in a take. */
export class UntoldDto {
  @ApiProperty({ enum: CHANNELS, enumName: 'Channel' }) channel!: Channel;
  @ApiProperty({ example: 'The head is too small or turned away: a half figure or a portrait can be told.' })
  why!: string;
}

/** A channel that was judged on a part of the picture. */
export class JudgedDto {
  @ApiProperty({ enum: CHANNELS, enumName: 'Channel' }) channel!: Channel;
  @ApiProperty({ description: 'of the picture, 0..1' }) part!: number;
}

export class ArrivalDto {
  @ApiProperty() influenceId!: string;
  @ApiProperty({ required: false, description: '0..1; absent where it cannot be measured' }) overall?: number;
  @ApiProperty({ required: false }) colour?: number;
  @ApiProperty({ required: false }) surface?: number;
  @ApiProperty({ required: false }) layout?: number;
  @ApiProperty({ required: false }) pose?: number;
  @ApiProperty({ required: false }) identity?: number;
  @ApiProperty({ type: [String], description: 'what of somebody is as it is known of them, in words' }) same!: string[];
  @ApiProperty({ type: [String], description: 'what of somebody is not, in words' }) unlike!: string[];
  @ApiProperty({ type: [JudgedDto], description: 'channels that were not judged on the whole picture' })
  judged!: JudgedDto[];
  @ApiProperty({ type: [UntoldDto], description: 'channels that cannot be told here' }) untold!: UntoldDto[];
}

export class ControlDto {
  @ApiProperty() id!: string;
  @ApiProperty({ required: false }) pictureUrl?: string;
  @ApiProperty({ required: false }) thumbnailUrl?: string;
}

/** Somebody in a take. */
export class TakeFigureDto {
  @ApiProperty({ required: false, description: 'as the words call them' }) name?: string;
  @ApiProperty({ type: [Number], description: 'left, top, right, bottom, 0..1' }) box!: number[];
  @ApiProperty({ type: [Number], required: false, description: 'the face: left, top, right, bottom, 0..1' })
  face?: number[];
}

/** Something in a take that nobody asked for. */
export class UnaskedDto {
  @ApiProperty({ enum: UNASKED_KINDS }) kind!: UnaskedKind;
  @ApiProperty({ type: [Number], description: 'left, top, right, bottom, 0..1' }) box!: number[];
  @ApiProperty({ required: false, description: 'who it is about, as the words call them' }) who?: string;
}

/** The picture that stands for a mix. */
export class CoverDto {
  @ApiProperty() mixId!: string;
  @ApiProperty() thumbnailUrl!: string;
}

/** All states of a take. */
export const TAKE_STATUSES: readonly TakeStatus[] = ['queued', 'rendering', 'done', 'failed', 'cancelled'];

/** One rendered picture with everything that made it. */
export class TakeDto {
  @ApiProperty() id!: string;
  @ApiProperty({ required: false }) mixId?: string;
  @ApiProperty({ required: false }) shotId?: string;
  @ApiProperty({ enum: TAKE_STATUSES, enumName: 'TakeStatus' }) status!: TakeStatus;
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality' }) quality!: Quality;
  @ApiProperty() prompt!: string;
  @ApiProperty() seed!: number;
  @ApiProperty() width!: number;
  @ApiProperty() height!: number;
  @ApiProperty({ type: [MixInfluenceDto] }) influences!: MixInfluenceDto[];
  @ApiProperty({ required: false }) pictureUrl?: string;
  @ApiProperty({ required: false }) thumbnailUrl?: string;
  @ApiProperty({ type: ControlDto, required: false }) control?: ControlDto;
  @ApiProperty({ type: [ArrivalDto] }) arrivals!: ArrivalDto[];
  @ApiProperty({ required: false, description: '0..1' }) wordsKept?: number;
  @ApiProperty({ type: [TakeFigureDto], description: 'who is in the picture' }) figures!: TakeFigureDto[];
  @ApiProperty({ type: [RemarkDto], description: 'what was found out about influences' }) remarks!: RemarkDto[];
  @ApiProperty({ type: [UnaskedDto], description: 'what came unasked, and faults' }) unasked!: UnaskedDto[];
  @ApiProperty({ type: [FoundWordDto], description: 'who and what of the words was looked for' })
  words!: FoundWordDto[];
  @ApiProperty({ type: [NotDrawnDto], description: 'what of the words the stage does not show' })
  notDrawn!: NotDrawnDto[];
  @ApiProperty({ type: [UnderstoodSpanDto] }) understood!: UnderstoodSpanDto[];
  @ApiProperty({ type: [TextSpanDto] }) unheard!: TextSpanDto[];
  @ApiProperty({ required: false, description: 'why it failed' }) error?: string;
  @ApiProperty({ description: 'who rendered it: "urbild 0.6.0"' }) engine!: string;
  @ApiProperty({ description: 'the engine would draw it another way today' }) olderEngine!: boolean;
  @ApiProperty() keeper!: boolean;
  @ApiProperty({ type: ApprovedDto, required: false, description: 'of a keeper: it is locked' }) approved?: ApprovedDto;
  @ApiProperty({ description: '0 none .. 5' }) rating!: number;
  @ApiProperty() rejected!: boolean;
  @ApiProperty() note!: string;
  @ApiProperty({ required: false, description: 'the take that somebody went on from' }) fromTakeId?: string;
  @ApiProperty() avoid!: string;
  @ApiProperty({ type: MixSettingsDto }) settings!: MixSettingsDto;
  @ApiProperty({ required: false, description: 'milliseconds of rendering' }) took?: number;
  @ApiProperty() createdAt!: string;
  @ApiProperty() version!: number;
}

const byChannel = <T>(of: Partial<Record<Channel, T>> = {}): [Channel, T][] => Object.entries(of) as [Channel, T][];

/** A take that is asked for. */
export class NewTakeDto {
  @ApiProperty() @IsId() mixId!: string;
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @Optional()
  @IsIn(QUALITIES)
  quality?: Quality;
  @ApiProperty({ required: false, description: "the mix's own when absent" })
  @Optional()
  @IsInt()
  @Min(0)
  @Max(0xffffffff)
  seed?: number;
  @ApiProperty({ required: false, description: "the mix's own when absent" })
  @Optional()
  @IsString()
  @MaxLength(2000)
  prompt?: string;
  @ApiProperty({ required: false, description: 'leave this influence out' })
  @Optional()
  @IsId()
  without?: string;
  @ApiProperty({ required: false, description: 'the take that this one goes on from' })
  @Optional()
  @IsId()
  from?: string;
}

/** A take that is to be made again, larger. */
export class EnlargeDto {
  @ApiProperty({ minimum: 1, maximum: 4, description: 'how many times as large' })
  @IsNumber()
  @Min(1)
  @Max(4)
  times!: number;
}

/** More takes like one. */
export class MoreLikeDto {
  @ApiProperty({ minimum: 1, maximum: 12 }) @IsInt() @Min(1) @Max(12) count!: number;
}

/** The weights with which something was in kept takes. */
export class WorkedDto {
  @ApiProperty({ description: 'id of the reference, look or character' }) referenceId!: string;
  @ApiProperty() low!: number;
  @ApiProperty() high!: number;
  @ApiProperty({ description: 'kept takes' }) count!: number;
}

export class ChangeTakeDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() keeper?: boolean;
  @ApiProperty({ required: false, minimum: 0, maximum: 5 }) @Optional() @IsInt() @Min(0) @Max(5) rating?: number;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() rejected?: boolean;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(2000) note?: string;
}

/** The box of a head, from the middle of its eyes to its chin: twice that high, hair included. */
function faceBox({ eyes, chin }: FaceFrame, aspect: number): number[] {
  const length = Math.hypot((chin[0] - eyes[0]) * aspect, chin[1] - eyes[1]);
  const [w, h] = [length / aspect, length];
  return [eyes[0] - 1.2 * w, eyes[1] - 1.5 * h, eyes[0] + 1.2 * w, eyes[1] + 1.25 * h].map((v) =>
    Math.min(1, Math.max(0, v)),
  );
}

/** The form in which a take leaves the server; `present` is the engine of today. */
export function toTakeDto(t: Take, control: Take | undefined, present: EngineVersion): TakeDto {
  const { request, influences, settings } = t.origin;
  const timings = t.measurements?.timings;
  return {
    id: t.id,
    mixId: t.mixId ?? undefined,
    shotId: t.shotId ?? undefined,
    status: t.status,
    quality: t.quality,
    prompt: request.prompt,
    seed: request.seed,
    width: request.width,
    height: request.height,
    influences: [...influences],
    pictureUrl: t.pictureHash ? blobUrl(t.pictureHash) : undefined,
    thumbnailUrl: t.thumbnailHash ? blobUrl(t.thumbnailHash) : undefined,
    control: control && {
      id: control.id,
      pictureUrl: control.pictureHash ? blobUrl(control.pictureHash) : undefined,
      thumbnailUrl: control.thumbnailHash ? blobUrl(control.thumbnailHash) : undefined,
    },
    arrivals: Object.entries(arrivalsOf(t)).map(([influenceId, a]) => ({
      influenceId,
      overall: a.overall,
      ...a.channels,
      same: [...(a.evidence?.same ?? [])],
      unlike: [...(a.evidence?.unlike ?? [])],
      judged: byChannel(a.parts).map(([channel, part]) => ({ channel, part })),
      untold: byChannel(a.untold).map(([channel, why]) => ({ channel, why })),
    })),
    wordsKept: wordsKeptIn(t),
    words: (t.measurements?.words ?? []).map(({ box, ...word }) => ({
      ...word,
      box: box && [box.left, box.top, box.right, box.bottom],
    })),
    notDrawn: [...(t.measurements?.notDrawn ?? [])],
    figures: (t.measurements?.figures ?? []).map(({ name, box, face }) => ({
      name,
      box: [...box],
      face: face && faceBox(face, request.width / request.height),
    })),
    unasked: (t.measurements?.unasked ?? []).map(({ kind, box: { left, top, right, bottom }, who }) => ({
      kind,
      box: [left, top, right, bottom],
      who,
    })),
    remarks: [...(t.measurements?.remarks ?? [])].map(({ influence, kind }) => ({ influenceId: influence, kind })),
    understood: [...(t.understood ?? [])],
    unheard: [...(t.unheard ?? [])],
    error: t.error ?? undefined,
    engine: engineName(t.origin.engine),
    olderEngine: byOlderEngine(t, present),
    keeper: t.keeper,
    approved: approvedOf(t),
    rating: t.rating,
    rejected: t.rejected,
    note: t.note,
    fromTakeId: t.fromTakeId ?? undefined,
    avoid: request.avoid,
    settings: {
      aspect: settings?.aspect ?? aspectOf(request.width, request.height),
      ...settingsIn(request),
      ...(settings?.start ? { start: settings.start } : {}),
      ...(settings?.mask ? { mask: settings.mask } : {}),
    } as MixSettings,
    took: timings && Math.round(Object.values(timings).reduce((a, b) => a + b, 0)),
    createdAt: t.createdAt.toISOString(),
    version: t.version,
  };
}
