const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

/** When something was said, as one would say it: just now, minutes ago, today's time, or the day. */
export function whenSaid(iso: string, now = new Date()): string {
  const at = new Date(iso);
  const ago = now.getTime() - at.getTime();
  if (ago < MINUTE) return 'just now';
  if (ago < 60 * MINUTE) return `${Math.floor(ago / MINUTE)} min ago`;
  const time = at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (at.toDateString() === now.toDateString()) return time;
  if (ago < 6 * DAY) return `${at.toLocaleDateString('en-GB', { weekday: 'short' })} ${time}`;
  const year = at.getFullYear() === now.getFullYear() ? undefined : 'numeric';
  return at.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year });
}
