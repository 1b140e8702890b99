const KEY = 'urbild.begun';

/** Whether somebody at this browser has taken the first steps, or passed them over. */
export function hasBegun(): boolean {
  try {
    return localStorage.getItem(KEY) !== null;
  } catch {
    // a browser that keeps nothing would be asked every time
    return true;
  }
}

/** The first steps are not offered again at this browser. */
export function begun(): void {
  try {
    localStorage.setItem(KEY, new Date().toISOString());
  } catch {
    // then they are offered never, see above
  }
}
