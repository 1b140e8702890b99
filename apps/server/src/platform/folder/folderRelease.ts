import { Inject, Injectable, OnApplicationShutdown } from '@nestjs/common';
import type { Hold } from './lock';

/** The injection token of the {@link Hold} on the data folder. */
export const FOLDER_HOLD = Symbol('folder hold');

/** Lets the data folder go when the application has ended. */
@Injectable()
export class FolderRelease implements OnApplicationShutdown {
  constructor(@Inject(FOLDER_HOLD) private readonly hold: Hold) {}

  onApplicationShutdown(): void {
    this.hold.release();
  }
}
