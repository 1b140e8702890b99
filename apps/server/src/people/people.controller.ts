import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { May } from '../platform/access/may';
import { CONFIG, type Config } from '../platform/config';
import { Problem } from '../platform/problems/problem';
import { InvitationsService } from './invitations.service';
import { PeopleService } from './people.service';
import {
  ChangePersonDto,
  InvitationDto,
  NewInvitationDto,
  NewPersonDto,
  PersonDto,
  toInvitationDto,
  toPersonDto,
} from './person.dto';

/** The people of the studio, and the links that let others in. */
@ApiTags('people')
@Controller()
export class PeopleController {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly people: PeopleService,
    private readonly invitations: InvitationsService,
  ) {}

  /** Everybody, in the order in which they came. */
  @May('see')
  @Get('people')
  @ApiOkResponse({ type: [PersonDto] })
  async list(): Promise<PersonDto[]> {
    return (await this.people.list()).map(toPersonDto);
  }

  /** Makes the one who may let others in: on this machine, before the studio is shared. */
  @May('manage')
  @Post('people/owner')
  @ApiCreatedResponse({ type: PersonDto })
  async owner(@Body() fields: NewPersonDto): Promise<PersonDto> {
    if (this.config.share) throw Problem.conflict('This studio has an owner already, who can invite you.');
    return toPersonDto(await this.people.makeFirstOwner(fields));
  }

  @May('manage')
  @Patch('people/:id')
  @ApiOkResponse({ type: PersonDto })
  async change(@Param('id') id: string, @Body() change: ChangePersonDto): Promise<PersonDto> {
    return toPersonDto(await this.people.change(id, change));
  }

  /** Takes somebody out of the studio: they are out at once, and what they made stays. */
  @May('manage')
  @Delete('people/:id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.people.remove(id);
  }

  /** A link by which somebody gives themselves a new password. */
  @May('manage')
  @Post('people/:id/reset')
  @ApiCreatedResponse({ type: InvitationDto })
  async reset(@Param('id') id: string): Promise<InvitationDto> {
    const { invitation, token } = await this.invitations.reset(id);
    return toInvitationDto(invitation, token);
  }

  /** Links that can still be used, the newest first. */
  @May('manage')
  @Get('invitations')
  @ApiOkResponse({ type: [InvitationDto] })
  async open(): Promise<InvitationDto[]> {
    return (await this.invitations.open()).map((i) => toInvitationDto(i));
  }

  @May('manage')
  @Post('invitations')
  @ApiCreatedResponse({ type: InvitationDto })
  async invite(@Body() fields: NewInvitationDto): Promise<InvitationDto> {
    const { invitation, token } = await this.invitations.invite(fields);
    return toInvitationDto(invitation, token);
  }

  /** Makes a link useless. */
  @May('manage')
  @Delete('invitations/:id')
  @HttpCode(204)
  takeBack(@Param('id') id: string): Promise<void> {
    return this.invitations.takeBack(id);
  }

  /** What a link is for. */
  @May('anybody')
  @Get('join/:token')
  @ApiOkResponse({ type: InvitationDto })
  async read(@Param('token') token: string): Promise<InvitationDto> {
    return toInvitationDto(await this.invitations.read(token));
  }

  /** Uses a link; then one can come in with what was given. */
  @May('anybody')
  @Post('join/:token')
  @ApiCreatedResponse({ type: PersonDto })
  async join(@Param('token') token: string, @Body() fields: NewPersonDto): Promise<PersonDto> {
    return toPersonDto(await this.invitations.accept(token, fields));
  }
}
