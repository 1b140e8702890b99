import { mkdir, open, rename } from 'fs/promises';
import path from 'path';

/**
 * The steps by which a file becomes lasting: its bytes are synced, it is renamed into its place, and the folder that names it is synced
 * (POSIX fsync(2), rename(2)). One object, so that a test can record their order.
 */
export const disk = {
  /** Writes a new file and syncs it. Throws when there is one already. */
  async writeSynced(file: string, bytes: Uint8Array): Promise<void> {
    const handle = await open(file, 'wx');
    try {
      await handle.writeFile(bytes);
      await handle.sync();
    } finally {
      await handle.close();
    }
  },

  /** Syncs a file that somebody else has written. */
  async syncFile(file: string): Promise<void> {
    const handle = await open(file, 'r+');
    try {
      await handle.sync();
    } finally {
      await handle.close();
    }
  },

  /** Moves a file; both have to be on one file system. */
  rename: (from: string, to: string): Promise<void> => rename(from, to),

  /** Syncs a folder: the names in it are lasting then. Systems that cannot sync folders are believed to do it by themselves. */
  async syncFolder(folder: string): Promise<void> {
    let handle;
    try {
      handle = await open(folder, 'r');
      await handle.sync();
    } catch (error) {
      if (!['EISDIR', 'EPERM', 'EINVAL', 'EACCES'].includes((error as NodeJS.ErrnoException).code ?? '')) throw error;
    } finally {
      await handle?.close();
    }
  },

  /** Makes a folder with those above it, and syncs the one that names it. */
  async makeFolder(folder: string): Promise<void> {
    if (await mkdir(folder, { recursive: true })) await disk.syncFolder(path.dirname(folder));
  },
};
