import { useQueryClient } from '@tanstack/react-query';
import { useNotice } from '../parts/notices';

/** Does something that the server may refuse. */
export type TellingAct = <T>(doing: Promise<T>, ...touched: readonly (readonly string[])[]) => Promise<T | undefined>;

/** What is refused is told, and answers nothing; either way what was touched, named by its keys, is read again. */
export function useTellingAct(): TellingAct {
  const client = useQueryClient();
  const tell = useNotice();
  return async (doing, ...touched) => {
    try {
      return await doing;
    } catch (error) {
      tell((error as Error).message, { grave: true });
      return undefined;
    } finally {
      await Promise.all(touched.map((queryKey) => client.invalidateQueries({ queryKey })));
    }
  };
}
