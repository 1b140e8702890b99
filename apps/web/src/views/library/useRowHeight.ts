import { useState } from 'react';

/** Heights that rows of pictures may have, px; the one in the middle is usual. */
export const ROW_HEIGHTS = [104, 152, 212, 300, 420] as const;
const USUAL = 2;
const KEY = 'urbild.library.size';

/** The size that was chosen in this browser, as its place in {@link ROW_HEIGHTS}; the usual one where nothing can be kept. */
function keptSize(): number {
  try {
    const kept = Number(localStorage.getItem(KEY) ?? USUAL);
    return kept in ROW_HEIGHTS ? kept : USUAL;
  } catch {
    return USUAL;
  }
}

/** How large the pictures of the library are shown, kept for this browser. */
export function useRowHeight(): {
  readonly size: number;
  readonly height: number;
  readonly setSize: (to: number) => void;
} {
  const [size, setSize] = useState(keptSize);
  return {
    size,
    height: ROW_HEIGHTS[size],
    setSize: (to) => {
      setSize(to);
      try {
        localStorage.setItem(KEY, String(to));
      } catch {
        // it holds until the page is left
      }
    },
  };
}
