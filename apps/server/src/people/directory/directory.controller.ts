import { Controller, Get, Inject, Query, Req, Res } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { Matches, MaxLength } from 'class-validator';
import type { Request, Response } from 'express';
import { askerOf } from '../../platform/access/asker';
import { May } from '../../platform/access/may';
import { CONFIG, type Config } from '../../platform/config';
import { Optional } from '../../platform/input/decorators';
import { clearHolder, holderOf, isSecure, setHolder, setToken } from '../cookie';
import { SessionsService } from '../sessions.service';
import { DirectoryService } from './directory.service';

/** Below the address of the studio: where the directory sends people back to. */
export const ANSWER = '/api/v1/me/directory/answer';

class WayInDto {
  @ApiProperty({ required: false, description: 'where in the page one comes back to', example: '/bench' })
  @Optional()
  @MaxLength(500)
  @Matches(/^\/(?![/\\])[^\\\s]*$/, { message: 'to: a path of the page' })
  to?: string;
  @ApiProperty({ required: false, description: 'the link by which one is invited' })
  @Optional()
  @Matches(/^[\w-]{1,200}$/, { message: 'join: the end of a link' })
  join?: string;
}

/** Coming in through a directory (OpenID Connect). Both are for browsers, which are sent on. */
@ApiTags('people')
@Controller('me/directory')
export class DirectoryController {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly directory: DirectoryService,
    private readonly sessions: SessionsService,
  ) {}

  /** Sends the browser to the directory. */
  @May('anybody')
  @Get()
  async begin(
    @Query() { to = '/', join }: WayInDto,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const { share } = this.config;
    const own = `${isSecure(this.config) ? 'https' : 'http'}://${request.headers.host}`;
    const way = { to, join, person: askerOf(request)?.person };
    const begun = await this.directory.begin(way, `${share?.publicUrl ?? own}${ANSWER}`);
    if ('refused' in begun) return response.redirect(303, `/?way=${begun.refused}`);
    setHolder(this.config, response, begun.holder);
    response.redirect(303, begun.url);
  }

  /** Where the directory sends the browser back to: whoever it is is in, and goes on where they wanted to. */
  @May('anybody')
  @Get('answer')
  async arrive(@Req() request: Request, @Res() response: Response): Promise<void> {
    const search = new URLSearchParams(request.originalUrl.split('?')[1] ?? '');
    const arrived = await this.directory.arrive(search, holderOf(request));
    clearHolder(this.config, response);
    const own = askerOf(request)?.person;
    if ('refused' in arrived) return response.redirect(303, `${own ? '/studio' : '/'}?way=${arrived.refused}`);
    if (own !== arrived.person.id)
      setToken(this.config, response, await this.sessions.begin(arrived.person, request.headers['user-agent'] ?? ''));
    response.redirect(303, arrived.to);
  }
}
