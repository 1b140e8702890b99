import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useEffect, useMemo, useRef } from 'react';
import { windowId } from '../shared/save/windowId';
import { api, ask } from './client';
import { keys } from './keys';
import { useMe } from './me';

/** Where somebody is in the studio just now, in one window. */
export type Place = Schemas['PlaceDto'];
type Here = Schemas['HereDto'];

/** Where the others are. Nobody, for whoever works alone. */
export function useOthers(): readonly Place[] {
  const { data: me } = useMe();
  const own = me?.person?.id;
  const { data } = useQuery({
    queryKey: keys.presence,
    queryFn: () => ask(api.GET('/api/v1/presence')),
    enabled: own !== undefined,
  });
  return useMemo(() => data?.filter(({ person }) => person !== own) ?? [], [data, own]);
}

/** Quick steps from one thing to the next are told when they rest, ms. */
const REST = 150;
/** It is told again so often, ms: a studio that hears nothing takes a window for closed. */
const AGAIN = 20_000;

/** Tells the studio where this window is for as long as it is open; whoever works alone tells nobody. */
export function useTellPlace({ at, holds }: Here): void {
  const isIn = useMe().data?.person !== undefined;
  const told = useRef(false);
  useEffect(() => {
    if (!isIn) return;
    const tell = async () => {
      told.current = true;
      const params = { path: { window: await windowId() } };
      // one that is lost is told again
      await api.PUT('/api/v1/me/places/{window}', { params, body: { at, holds } }).catch(() => undefined);
    };
    const soon = setTimeout(() => void tell(), REST);
    const again = setInterval(() => void tell(), AGAIN);
    return () => (clearTimeout(soon), clearInterval(again));
  }, [isIn, at, holds]);
  useEffect(() => {
    const leave = async () => {
      if (!told.current) return;
      const params = { path: { window: await windowId() } };
      await api.DELETE('/api/v1/me/places/{window}', { params, keepalive: true }).catch(() => undefined);
    };
    const onHide = () => void leave();
    window.addEventListener('pagehide', onHide);
    return () => window.removeEventListener('pagehide', onHide);
  }, []);
}
