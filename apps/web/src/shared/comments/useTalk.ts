import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useComments, type Point, type Thing } from '../../api/comments';
import { threadsOf, type Thread } from './threads';

/** What is said about something, and what one is doing with it. */
export interface Talk {
  readonly thing: Thing;
  /** Undefined while it is not known. */
  readonly threads: readonly Thread[] | undefined;
  /** The thread that is shown on the picture and in the list. */
  readonly chosen: string | undefined;
  readonly choose: (id: string | undefined) => void;
  /** Whether one is choosing a point of the picture. */
  readonly pointing: boolean;
  readonly setPointing: (on: boolean) => void;
  /** The point that the next comment is about. */
  readonly point: Point | undefined;
  readonly setPoint: (point: Point | undefined) => void;
}

/** Reads what is said about something. */
export function useTalk(thing: Thing): Talk {
  const { data: comments } = useComments(thing);
  const [search] = useSearchParams();
  const threads = useMemo(() => comments && threadsOf(comments), [comments]);
  const [own, choose] = useState<string>();
  const [pointing, setPointing] = useState(false);
  const [point, setPoint] = useState<Point>();
  const asked = comments?.find((c) => c.id === search.get('comment'))?.threadId;
  return {
    thing,
    threads,
    chosen: own ?? asked,
    choose,
    pointing,
    setPointing,
    point,
    setPoint: (to) => {
      setPoint(to);
      setPointing(false);
    },
  };
}
