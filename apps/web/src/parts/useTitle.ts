import { useEffect } from 'react';

/** Names the window after what it shows: "Series: Harbour book · Urbild". Until something is known of it, after the view. */
export function useTitle(view: string, of?: string): void {
  const title = of ? `${view}: ${of} · Urbild` : `${view} · Urbild`;
  useEffect(() => {
    document.title = title;
  }, [title]);
}
