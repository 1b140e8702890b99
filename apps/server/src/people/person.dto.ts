import { ApiProperty } from '@nestjs/swagger';
import { ROLES, type Role } from '@urbild/core';
import { IsBoolean, IsIn, IsInt, IsString, Length, Matches, Min } from 'class-validator';
import { Optional } from '../platform/input/decorators';
import type { Invitation, Person, Session } from './person.entity';

/** A password: long rather than odd (NIST SP 800-63B, 5.1.1). */
export const PASSWORD = { least: 10, most: 200 } as const;
const MOST_NAME = 60;
const HANDLE = /^\s*[\p{L}\p{N}][\p{L}\p{N}._@+-]*\s*$/u;
const HANDLE_IS = 'login: letters, digits and . _ - @ +, without spaces';

const isPassword = () => Length(PASSWORD.least, PASSWORD.most);

/** Somebody who works in the studio. */
export class PersonDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ description: 'hue of their mark, degrees' }) hue!: number;
  @ApiProperty({ enum: ROLES, enumName: 'Role' }) role!: Role;
  @ApiProperty({ description: 'may hand over although their role alone does not let them' }) mayExport!: boolean;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

/** Who asks, and whether anybody has to say who they are. */
export class MeDto {
  @ApiProperty({ description: 'nobody else can reach this studio: nobody is asked who they are' }) alone!: boolean;
  @ApiProperty({ description: 'somebody can let others in' }) hasOwner!: boolean;
  @ApiProperty({ required: false, description: 'where others find it, when that is not the address of this page' })
  publicUrl?: string;
  @ApiProperty({ required: false, type: PersonDto, description: 'absent for somebody who is not in' })
  person?: PersonDto;
  @ApiProperty({ required: false, description: 'the session that this is' }) session?: string;
  @ApiProperty({ required: false, description: 'a directory through which one can come in: what people call it' })
  directory?: string;
  @ApiProperty({ required: false, description: 'the directory knows that this is the person' }) listed?: boolean;
}

/** Somebody who comes in with a name and a password. */
export class SignInDto {
  @ApiProperty() @IsString() @Length(1, MOST_NAME) login!: string;
  @ApiProperty() @IsString() @Length(1, PASSWORD.most) password!: string;
}

/** Somebody new. */
export class NewPersonDto {
  @ApiProperty({ description: 'as others read it' }) @IsString() @Length(1, MOST_NAME) name!: string;
  @ApiProperty({ description: 'what they type to come in; capitals make no difference' })
  @IsString()
  @Length(1, MOST_NAME)
  @Matches(HANDLE, { message: HANDLE_IS })
  login!: string;
  @ApiProperty() @IsString() @isPassword() password!: string;
}

/** Changes to a person; what is absent stays. */
export class ChangePersonDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, MOST_NAME) name?: string;
  @ApiProperty({ required: false, enum: ROLES, enumName: 'Role' }) @Optional() @IsIn(ROLES) role?: Role;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() mayExport?: boolean;
}

export class ChangePasswordDto {
  @ApiProperty({ description: 'the present one' }) @IsString() @Length(1, PASSWORD.most) now!: string;
  @ApiProperty({ description: 'the new one' }) @IsString() @isPassword() then!: string;
}

export class NewInvitationDto {
  @ApiProperty({ enum: ROLES, enumName: 'Role' }) @IsIn(ROLES) role!: Role;
  @ApiProperty({ required: false, description: 'whom it is meant for' })
  @Optional()
  @IsString()
  @Length(0, MOST_NAME)
  note?: string;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() mayExport?: boolean;
}

/** A link that lets somebody in once. */
export class InvitationDto {
  @ApiProperty() id!: string;
  @ApiProperty({ description: 'whom it is meant for' }) note!: string;
  @ApiProperty({ enum: ROLES, enumName: 'Role' }) role!: Role;
  @ApiProperty() mayExport!: boolean;
  @ApiProperty({ description: 'it lets somebody give themselves a new password' }) reset!: boolean;
  @ApiProperty() expiresAt!: string;
  @ApiProperty({ required: false, description: 'where it leads, below the address of the studio; told once' })
  path?: string;
}

/** A browser by which somebody is in. */
export class SessionDto {
  @ApiProperty() id!: string;
  @ApiProperty({ description: 'what the browser says of itself' }) browser!: string;
  @ApiProperty() createdAt!: string;
  @ApiProperty() seenAt!: string;
  @ApiProperty({ description: 'the one that asks' }) own!: boolean;
}

/** The form in which a person leaves the server: neither what they type to come in nor anything of their password. */
export const toPersonDto = ({ id, name, hue, role, mayExport, version }: Person): PersonDto => ({
  id,
  name,
  hue,
  role,
  mayExport,
  version,
});

/** The form in which a link leaves the server; with its token only when it was just made. */
export const toInvitationDto = (i: Invitation, token?: string): InvitationDto => ({
  id: i.id,
  note: i.note,
  role: i.role,
  mayExport: i.mayExport,
  reset: i.personId !== null,
  expiresAt: i.expiresAt.toISOString(),
  ...(token && { path: `/join/${token}` }),
});

export const toSessionDto = (s: Session, own: string | undefined): SessionDto => ({
  id: s.id,
  browser: s.browser,
  createdAt: s.createdAt.toISOString(),
  seenAt: s.seenAt.toISOString(),
  own: s.id === own,
});
