import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { Button } from './Button';

interface Notice {
  readonly id: number;
  readonly text: string;
  readonly grave: boolean;
  readonly action?: { readonly label: string; readonly run: () => void };
}

type Tell = (text: string, options?: { grave?: boolean; action?: Notice['action'] }) => void;

const NoticeContext = createContext<Tell>(() => {});
const LASTS = 7000;

/** Tells the person something at the foot of the screen; an action (undo) may go with it. */
export const useNotice = (): Tell => useContext(NoticeContext);

let nextId = 1;

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([]);
  const drop = useCallback((id: number) => setNotices((all) => all.filter((n) => n.id !== id)), []);
  const tell = useCallback<Tell>(
    (text, options = {}) => {
      const notice: Notice = { id: nextId++, text, grave: options.grave ?? false, action: options.action };
      setNotices((all) => [...all.slice(-3), notice]);
      setTimeout(() => drop(notice.id), LASTS);
    },
    [drop],
  );
  return (
    <NoticeContext.Provider value={useMemo(() => tell, [tell])}>
      {children}
      <div role="status" className="pointer-events-none fixed inset-x-0 bottom-4 z-50 flex flex-col items-center gap-2">
        {notices.map((n) => (
          <div
            key={n.id}
            className={`arrive pointer-events-auto flex max-w-xl items-center gap-3 rounded-lg border px-4 py-2 shadow-lg ${n.grave ? 'border-cinnabar bg-blush' : 'border-line bg-card'}`}
          >
            <span>{n.text}</span>
            {n.action && (
              <Button
                look="plain"
                onClick={() => {
                  n.action!.run();
                  drop(n.id);
                }}
              >
                {n.action.label}
              </Button>
            )}
          </div>
        ))}
      </div>
    </NoticeContext.Provider>
  );
}
