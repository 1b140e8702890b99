import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Req, Res } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { askerOf, type Asker } from '../platform/access/asker';
import { May } from '../platform/access/may';
import { CONFIG, type Config } from '../platform/config';
import { Problem } from '../platform/problems/problem';
import { clearToken, setToken } from './cookie';
import { DirectoryService } from './directory/directory.service';
import { PeopleService } from './people.service';
import { ChangePasswordDto, MeDto, SessionDto, SignInDto, toPersonDto, toSessionDto } from './person.dto';
import { SessionsService } from './sessions.service';
import { SignInService } from './signIn.service';

/** Who asks: coming in, going out, one's own browsers and password. */
@ApiTags('people')
@Controller('me')
export class SessionController {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly people: PeopleService,
    private readonly sessions: SessionsService,
    private readonly signing: SignInService,
    private readonly directory: DirectoryService,
  ) {}

  /** Who this is, as far as it is known. */
  @May('anybody')
  @Get()
  @ApiOkResponse({ type: MeDto })
  async me(@Req() request: Request): Promise<MeDto> {
    return this.told(askerOf(request));
  }

  /** Comes in by name and password. */
  @May('anybody')
  @Post('session')
  @HttpCode(200)
  @ApiOkResponse({ type: MeDto })
  async signIn(
    @Body() input: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<MeDto> {
    if (!this.config.share) throw Problem.conflict('Nobody has to sign in here: this studio is not shared.');
    const from = { address: request.ip ?? '', browser: request.headers['user-agent'] ?? '' };
    const token = await this.signing.signIn(input, from);
    setToken(this.config, response, token);
    return this.told(await this.sessions.find(token));
  }

  private async told(asker: Asker | undefined): Promise<MeDto> {
    const { share } = this.config;
    return {
      alone: !share,
      hasOwner: await this.people.hasOwner(),
      ...(share?.publicUrl && { publicUrl: share.publicUrl }),
      ...(this.directory.name && { directory: this.directory.name }),
      ...(asker?.person && (await this.own(asker.person, asker.session))),
    };
  }

  private async own(id: string, session: string | undefined): Promise<Pick<MeDto, 'person' | 'session' | 'listed'>> {
    const person = await this.people.get(id);
    return { person: toPersonDto(person), session, listed: person.directoryId !== null };
  }

  /** Goes out, in this browser. */
  @May('see')
  @Delete('session')
  @HttpCode(204)
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<void> {
    const { person, session } = askerOf(request) ?? {};
    if (person && session) await this.sessions.end(person, session);
    clearToken(this.config, response);
  }

  /** The browsers by which one is in, the one seen last first. */
  @May('see')
  @Get('sessions')
  @ApiOkResponse({ type: [SessionDto] })
  async list(@Req() request: Request): Promise<SessionDto[]> {
    const { person, session } = askerOf(request)!;
    return person ? (await this.sessions.of(person)).map((s) => toSessionDto(s, session)) : [];
  }

  /** Goes out, in some other browser of one's own. */
  @May('see')
  @Delete('sessions/:id')
  @HttpCode(204)
  async end(@Param('id') id: string, @Req() request: Request): Promise<void> {
    await this.sessions.end(askerOf(request)?.person ?? '', id);
  }

  /** Changes one's own password; all other sessions of one's own end. */
  @May('see')
  @Post('password')
  @HttpCode(204)
  async password(@Body() { now, then }: ChangePasswordDto, @Req() request: Request): Promise<void> {
    const { person, session } = askerOf(request)!;
    if (!person) throw Problem.conflict('Whoever works alone has no password.');
    await this.people.changePassword({ id: person, session, now, then });
  }
}
