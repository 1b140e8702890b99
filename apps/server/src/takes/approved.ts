import { ApiProperty } from '@nestjs/swagger';
import { Problem } from '../platform/problems/problem';
import type { Take } from './take.entity';

/** That somebody who may approve it has approved a keeper. */
export class ApprovedDto {
  @ApiProperty() at!: string;
  @ApiProperty({ required: false, description: 'the id of who did; absent for whoever worked alone' }) by?: string;
}

/** The approval of a take, as it leaves the server; undefined where there is none. */
export const approvedOf = ({ approvedAt, approvedBy }: Take): ApprovedDto | undefined =>
  approvedAt ? { at: approvedAt.toISOString(), by: approvedBy ?? undefined } : undefined;

/** Throws a conflict {@link Problem} for an approved take: it is a keeper until its approval is taken back. */
export function requireOpen({ approvedAt }: Pick<Take, 'approvedAt'>): void {
  if (approvedAt)
    throw Problem.conflict(
      'This keeper is approved. Take the approval back first; whoever approves in this project can.',
    );
}
