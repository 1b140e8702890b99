import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { AccessGuard } from './access.guard';
import { InvitationsService } from './invitations.service';
import { PeopleController } from './people.controller';
import { PeopleService } from './people.service';
import { PresenceController } from './presence.controller';
import { PresenceService } from './presence.service';
import { SessionController } from './session.controller';
import { SessionsService } from './sessions.service';
import { SignInService } from './signIn.service';

/** Who works in the studio, how they come in, and the guard that every request passes. */
@Module({
  controllers: [SessionController, PeopleController, PresenceController],
  providers: [
    InvitationsService,
    PeopleService,
    PresenceService,
    SessionsService,
    SignInService,
    { provide: APP_GUARD, useClass: AccessGuard },
  ],
  exports: [PeopleService],
})
export class PeopleModule {}
