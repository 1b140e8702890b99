import { ApiProperty } from '@nestjs/swagger';
import { blobUrl } from '../platform/blobs/blobUrl';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { approvedOf, ApprovedDto } from '../takes/approved';
import { arrivalsOf, wordsKeptIn } from '../takes/arrivals';
import type { Take, TakeStatus } from '../takes/take.entity';
import { byOlderEngine, engineName, type EngineVersion } from '../takes/takeEngine';
import { ControlDto, TAKE_STATUSES } from '../takes/take.dto';

/** How far a take came on the way to one influence. */
export class ShotArrivalDto {
  @ApiProperty() influenceId!: string;
  @ApiProperty({ required: false, description: '0..1' }) overall?: number;
}

/** What is tried for a shot beside its takes. */
export class TrialDto {
  @ApiProperty({ enum: ['remedy', 'swap'] }) kind!: 'remedy' | 'swap';
  @ApiProperty({ description: 'one for all takes that are tried together' }) batch!: string;
  @ApiProperty() label!: string;
  @ApiProperty({ description: 'it was kept and is an ordinary take now' }) kept!: boolean;
}

/** A take of a shot, with as much as a contact sheet shows of it. */
export class ShotTakeDto {
  @ApiProperty() id!: string;
  @ApiProperty({ enum: TAKE_STATUSES, enumName: 'TakeStatus' }) status!: TakeStatus;
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality' }) quality!: Quality;
  @ApiProperty() seed!: number;
  @ApiProperty() width!: number;
  @ApiProperty() height!: number;
  @ApiProperty({ required: false }) pictureUrl?: string;
  @ApiProperty({ required: false }) thumbnailUrl?: string;
  @ApiProperty({ type: ControlDto, required: false }) control?: ControlDto;
  @ApiProperty({ type: [ShotArrivalDto] }) arrivals!: ShotArrivalDto[];
  @ApiProperty({ required: false, description: '0..1' }) wordsKept?: number;
  @ApiProperty({ required: false, description: 'why it failed' }) error?: string;
  @ApiProperty({ description: 'who rendered it: "urbild 0.6.0"' }) engine!: string;
  @ApiProperty({ description: 'the engine would draw it another way today' }) olderEngine!: boolean;
  @ApiProperty() keeper!: boolean;
  @ApiProperty({ type: ApprovedDto, required: false, description: 'of a keeper: it is locked' }) approved?: ApprovedDto;
  @ApiProperty({ description: '0 none .. 5' }) rating!: number;
  @ApiProperty() rejected!: boolean;
  @ApiProperty() note!: string;
  @ApiProperty({ required: false }) fromTakeId?: string;
  @ApiProperty({ type: TrialDto, required: false }) trial?: TrialDto;
  @ApiProperty() createdAt!: string;
  @ApiProperty() version!: number;
}

/** The form in which a take of a shot leaves the server; `present` is the engine of today. */
export function toShotTakeDto(t: Take, control: Take | undefined, present: EngineVersion): ShotTakeDto {
  const { seed, width, height } = t.origin.request;
  const url = (hash: string | null | undefined) => (hash ? blobUrl(hash) : undefined);
  return {
    id: t.id,
    status: t.status,
    quality: t.quality,
    seed,
    width,
    height,
    pictureUrl: url(t.pictureHash),
    thumbnailUrl: url(t.thumbnailHash),
    control: control && {
      id: control.id,
      pictureUrl: url(control.pictureHash),
      thumbnailUrl: url(control.thumbnailHash),
    },
    arrivals: Object.entries(arrivalsOf(t)).map(([influenceId, { overall }]) => ({
      influenceId,
      overall,
    })),
    wordsKept: wordsKeptIn(t),
    error: t.error ?? undefined,
    engine: engineName(t.origin.engine),
    olderEngine: byOlderEngine(t, present),
    keeper: t.keeper,
    approved: approvedOf(t),
    rating: t.rating,
    rejected: t.rejected,
    note: t.note,
    fromTakeId: t.fromTakeId ?? undefined,
    trial: t.trial
      ? { kind: t.trial.kind, batch: t.trial.batch, label: t.trial.label, kept: !!t.trial.kept }
      : undefined,
    createdAt: t.createdAt.toISOString(),
    version: t.version,
  };
}
