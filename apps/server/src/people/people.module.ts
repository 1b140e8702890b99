import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { CONFIG, type Config } from '../platform/config';
import { AccessGuard } from './access.guard';
import { DIRECTORY } from './directory/directory';
import { DirectoryController } from './directory/directory.controller';
import { DirectoryService } from './directory/directory.service';
import { OpenIdDirectory } from './directory/openIdDirectory';
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
  controllers: [DirectoryController, SessionController, PeopleController, PresenceController],
  providers: [
    DirectoryService,
    InvitationsService,
    PeopleService,
    PresenceService,
    SessionsService,
    SignInService,
    {
      provide: DIRECTORY,
      inject: [CONFIG],
      useFactory: ({ share }: Config) => share?.directory && new OpenIdDirectory(share.directory),
    },
    { provide: APP_GUARD, useClass: AccessGuard },
  ],
  exports: [PeopleService],
})
export class PeopleModule {}
