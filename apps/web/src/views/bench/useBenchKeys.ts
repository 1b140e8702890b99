import { useKeys } from '../../shared/keys/useKeys';

interface Acts {
  readonly render: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** The keys of the bench: Ctrl+Enter renders, wherever one is; Ctrl+Z undoes, with Shift it does it again. */
export function useBenchKeys({ render, undo, redo }: Acts): void {
  useKeys(
    ({ key, mod }) => {
      if (!mod || key !== 'Enter') return false;
      render();
      return true;
    },
    { everywhere: true },
  );
  useKeys(({ key, mod, shift }) => {
    if (!mod || key !== 'z') return false;
    (shift ? redo : undo)();
    return true;
  });
}
