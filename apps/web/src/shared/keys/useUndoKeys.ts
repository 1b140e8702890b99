import { useEffect } from 'react';
import { stepBack } from '../../api/undo';
import { inField } from '../../parts/inField';
import { useNotice } from '../../parts/notices';

/** Ctrl+Z undoes the last change, with Shift it does it again; in a text field the keys belong to the text. */
export function useUndoKeys(): void {
  const tell = useNotice();
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z' || inField(e.target)) return;
      e.preventDefault();
      void stepBack(e.shiftKey).catch((error: Error) => tell(error.message, { grave: true }));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [tell]);
}
