import { useEffect, useRef, useState } from 'react';

const KEY = 'urbild.tell';

const isWished = (): boolean => {
  try {
    return localStorage.getItem(KEY) === 'on';
  } catch {
    return false;
  }
};

const able = (): boolean => typeof Notification !== 'undefined';

/** Whether somebody wants to be told when the queue is through, and how that is switched. */
export interface ReadyNotice {
  /** False where the browser knows no notifications. */
  readonly able: boolean;
  readonly on: boolean;
  /** Switches it; asks the browser for leave when it is switched on, and stays off without. */
  readonly toggle: () => Promise<void>;
}

/** Tells by a notification that the queue is through, if that is wished and nobody looks at the page. `waiting` is how many takes are in it. */
export function useReadyNotice(waiting: number): ReadyNotice {
  const [on, setOn] = useState(isWished);
  const most = useRef(0);
  useEffect(() => {
    if (waiting) {
      most.current = Math.max(most.current, waiting);
      return;
    }
    const count = most.current;
    most.current = 0;
    if (!count || !on || !able() || Notification.permission !== 'granted' || !document.hidden) return;
    const notice = new Notification(count === 1 ? 'The take is ready' : `${count} takes are ready`, {
      tag: 'urbild-ready',
    });
    notice.onclick = () => window.focus();
  }, [waiting, on]);
  return {
    able: able(),
    on,
    toggle: async () => {
      const wanted = !on && (await Notification.requestPermission()) === 'granted';
      try {
        localStorage.setItem(KEY, wanted ? 'on' : 'off');
      } catch {
        // it holds as long as this window is open
      }
      setOn(wanted);
    },
  };
}
