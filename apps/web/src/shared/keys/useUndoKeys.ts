import { stepBack } from '../../api/undo';
import { useNotice } from '../../parts/notices';
import { useKeys } from './useKeys';

/** Ctrl+Z undoes the last change, with Shift it does it again; in a text field the keys belong to the text. */
export function useUndoKeys(): void {
  const tell = useNotice();
  useKeys(({ key, mod, shift }) => {
    if (!mod || key !== 'z') return false;
    void stepBack(shift).catch((error: Error) => tell(error.message, { grave: true }));
    return true;
  });
}
