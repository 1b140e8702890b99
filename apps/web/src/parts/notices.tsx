import { X } from 'lucide-react';
import { Toast } from 'radix-ui';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';

interface Notice {
  readonly id: number;
  readonly text: string;
  readonly grave: boolean;
  readonly action?: { readonly label: string; readonly run: () => void };
}

type Tell = (text: string, options?: { grave?: boolean; action?: Notice['action'] }) => void;

const NoticeContext = createContext<Tell>(() => {});
/** How long what went well is told of, ms; pointing at it or a focus in it holds it. */
const LASTS = 7000;
/** The most notices at once; an alert gives way to nothing but newer alerts. */
const MOST = 4;

/** Tells the person something at the foot of the screen; an action (undo) may go with it. What is grave stays until it is closed. */
export const useNotice = (): Tell => useContext(NoticeContext);

let nextId = 1;

/** The newest notices, alerts before all else where there are too many; an alert that is told again stands once. */
const withNew = (all: readonly Notice[], notice: Notice): readonly Notice[] => {
  const next = [...all.filter((n) => !(n.grave && notice.grave && n.text === notice.text)), notice];
  while (next.length > MOST) {
    const plain = next.findIndex((n) => !n.grave && n !== notice);
    next.splice(plain < 0 ? 0 : plain, 1);
  }
  return next;
};

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([]);
  const drop = (id: number) => setNotices((all) => all.filter((n) => n.id !== id));
  const tell = useCallback<Tell>((text, options = {}) => {
    const notice: Notice = { id: nextId++, text, grave: options.grave ?? false, action: options.action };
    setNotices((all) => withNew(all, notice));
  }, []);
  return (
    <NoticeContext.Provider value={tell}>
      <Toast.Provider label="Notice" duration={LASTS} swipeDirection="down">
        {children}
        {notices.map((n) => (
          <NoticeCard key={n.id} notice={n} onGone={() => drop(n.id)} />
        ))}
        <Toast.Viewport
          label="Notices ({hotkey})"
          className="pointer-events-none fixed inset-x-0 bottom-4 z-50 flex flex-col items-center gap-2"
        />
      </Toast.Provider>
    </NoticeContext.Provider>
  );
}

function NoticeCard({ notice: { text, grave, action }, onGone }: { notice: Notice; onGone: () => void }) {
  return (
    <Toast.Root
      type={grave ? 'foreground' : 'background'}
      duration={grave ? Infinity : LASTS}
      onOpenChange={(open) => !open && onGone()}
      className={`arrive pointer-events-auto flex max-w-xl items-center gap-3 rounded-lg border px-4 py-2 shadow-lg ${grave ? 'border-cinnabar bg-blush' : 'border-line bg-card'}`}
    >
      <Toast.Description>{text}</Toast.Description>
      {action && (
        <Toast.Action
          altText={`${action.label}, also by Ctrl + Z`}
          className="text-ink underline decoration-edge underline-offset-2 hover:decoration-ink"
          onClick={action.run}
        >
          {action.label}
        </Toast.Action>
      )}
      {grave && (
        <Toast.Close aria-label="Close the alert" className="-mr-2 rounded p-1 text-muted hover:text-ink">
          <X size={16} aria-hidden />
        </Toast.Close>
      )}
    </Toast.Root>
  );
}
