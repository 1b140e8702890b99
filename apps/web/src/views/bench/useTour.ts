import { useSearchParams } from 'react-router';

/** Whether the parts of the bench are being pointed at: the address says so. */
export function useTour(): { readonly on: boolean; readonly end: () => void } {
  const [search, setSearch] = useSearchParams();
  return {
    on: search.get('tour') === 'on',
    end: () =>
      setSearch(
        (before) => {
          before.delete('tour');
          return before;
        },
        { replace: true },
      ),
  };
}
