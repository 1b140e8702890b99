import { CharacterEntity } from './cast/character.entity';
import { ImportFileEntity } from './library/imports/importFile.entity';
import { ReferenceEntity, VectorEntity } from './library/reference.entity';
import { CollectionEntity } from './library/collections/collection.entity';
import { ShelfItemEntity } from './library/shelf/shelf.entity';
import { LookEntity } from './looks/look.entity';
import { MemberEntity, ProjectEntity } from './projects/project.entity';
import { MixEntity, MixVersionEntity } from './mixes/mix.entity';
import { InvitationEntity, PersonEntity, SessionEntity } from './people/person.entity';
import { JobEntity } from './platform/jobs/job.entity';
import { SequenceEntity } from './series/sequences/sequence.entity';
import { SeriesEntity, ShotEntity } from './series/series.entity';
import { TakeEntity } from './takes/take.entity';
import { CommentEntity, ThreadReadEntity } from './comments/comment.entity';
import { SolveEntity, StripEntity } from './trials/trial.entity';

/** Every entity of the studio, in the order of the capabilities. */
export const ENTITIES = [
  JobEntity,
  PersonEntity,
  SessionEntity,
  InvitationEntity,
  ReferenceEntity,
  VectorEntity,
  ImportFileEntity,
  ShelfItemEntity,
  CollectionEntity,
  LookEntity,
  CharacterEntity,
  ProjectEntity,
  MemberEntity,
  MixEntity,
  MixVersionEntity,
  TakeEntity,
  SequenceEntity,
  SeriesEntity,
  ShotEntity,
  CommentEntity,
  ThreadReadEntity,
  StripEntity,
  SolveEntity,
];
