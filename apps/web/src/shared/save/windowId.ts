const NAME = 'urbild-window';

let own: Promise<string> | undefined;

/** Holds a lock for as long as this window is open; false when another window holds it. */
function hold(id: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks
      .request(`${NAME}-${id}`, { ifAvailable: true }, (lock) => {
        resolve(!!lock);
        // never released: the browser does it when the window closes
        return lock ? new Promise(() => undefined) : undefined;
      })
      .catch(() => resolve(true));
  });
}

/**
 * An id of this window that a reload keeps. A window that was made as a copy of another one has the other's id in its storage: it gets one
 * of its own, for the other holds the lock.
 */
export function windowId(): Promise<string> {
  own ??= (async () => {
    const before = sessionStorage.getItem(NAME);
    if (before && (await hold(before))) return before;
    const id = crypto.randomUUID();
    sessionStorage.setItem(NAME, id);
    await hold(id);
    return id;
  })();
  return own;
}

/** True while a window with this id is open. */
export async function windowIsOpen(id: string): Promise<boolean> {
  const { held = [] } = await navigator.locks.query();
  return held.some((lock) => lock.name === `${NAME}-${id}`);
}
