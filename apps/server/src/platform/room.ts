const CODES = /^(ENOSPC|EDQUOT|SQLITE_FULL|SQLITE_IOERR)/;
const SENTENCES = /database or disk is full|no space left on device|disk quota exceeded|SQLITE_FULL/i;

/**
 * True for an error that says that a disk is full, wherever in its chain of causes it says so: Node's ENOSPC and EDQUOT, SQLite's
 * SQLITE_FULL (and SQLITE_IOERR, by which SQLite says it of its log), or their sentences where a library kept only those.
 */
export function isNoRoom(error: unknown): boolean {
  for (let e = error, depth = 0; e && depth < 6; depth++) {
    const { code, message, cause, previous } = e as {
      code?: unknown;
      message?: unknown;
      cause?: unknown;
      previous?: unknown;
    };
    if (typeof code === 'string' && CODES.test(code)) return true;
    if (typeof message === 'string' && SENTENCES.test(message)) return true;
    e = cause ?? previous;
  }
  return false;
}
