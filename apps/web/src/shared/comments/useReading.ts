import { useEffect, useState, type RefObject } from 'react';
import { useCommentActs, useInbox } from '../../api/comments';

/**
 * Notes that comments were read, as soon as what shows them has been in front of one. Answers which of them were new: that stays known
 * while one looks.
 */
export function useReading(place: RefObject<Element | null>, shown: readonly string[]): ReadonlySet<string> {
  const { data: inbox } = useInbox();
  const { read } = useCommentActs();
  const [fresh, setFresh] = useState<ReadonlySet<string>>(new Set());
  const unread = inbox?.comments.filter((c) => c.unread && shown.includes(c.id)).map((c) => c.id) ?? [];
  if (unread.some((id) => !fresh.has(id))) setFresh(new Set([...fresh, ...unread]));
  const key = unread.join();
  useEffect(() => {
    if (!key || !place.current) return;
    const watcher = new IntersectionObserver((entries) => {
      if (entries.some((e) => e.isIntersecting)) void read(key.split(','));
    });
    watcher.observe(place.current);
    return () => watcher.disconnect();
    // what is read is the same call at every turn
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return fresh;
}
