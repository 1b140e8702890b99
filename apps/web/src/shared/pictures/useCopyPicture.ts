import { useNotice } from '../../parts/notices';
import { copyPicture } from './takeFile';

/** Copies a picture and tells how it went. */
export function useCopyPicture(): (url: string) => void {
  const tell = useNotice();
  return (url) =>
    void copyPicture(url)
      .then(() => tell('The picture is on the clipboard.'))
      .catch((error: Error) => tell(error.message, { grave: true }));
}
