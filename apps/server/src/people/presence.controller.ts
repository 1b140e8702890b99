import { Body, Controller, Delete, Get, HttpCode, Param, Put, Req } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { ALONE, askerOf } from '../platform/access/asker';
import { May } from '../platform/access/may';
import { Problem } from '../platform/problems/problem';
import { HereDto, PlaceDto } from './presence.dto';
import { PresenceService } from './presence.service';

const WINDOW = /^[\w-]{1,64}$/;
const named = (window: string): string => {
  if (!WINDOW.test(window))
    throw Problem.invalid([{ field: 'window', message: 'window: up to 64 letters and digits' }]);
  return window;
};

/** Who is where in the studio just now. */
@ApiTags('people')
@Controller()
export class PresenceController {
  constructor(private readonly presence: PresenceService) {}

  /** Where everybody is, each window by itself. Nobody in a studio that is not shared. */
  @May('see')
  @Get('presence')
  @ApiOkResponse({ type: [PlaceDto] })
  list(): Promise<PlaceDto[]> {
    return this.presence.list();
  }

  /** Says where one is, in one window; to be said again within half a minute. */
  @May('see')
  @Put('me/places/:window')
  @HttpCode(204)
  be(@Param('window') window: string, @Body() here: HereDto, @Req() request: Request): void {
    this.presence.be(askerOf(request) ?? ALONE, named(window), here);
  }

  /** Says that a window is closed. */
  @May('see')
  @Delete('me/places/:window')
  @HttpCode(204)
  leave(@Param('window') window: string, @Req() request: Request): void {
    this.presence.leave(askerOf(request) ?? ALONE, named(window));
  }
}
