import { useEffect, useState } from 'react';

/** Plays frames: which one is shown, and whether it runs. Frames that are not there yet are passed over. */
export function usePlayer(pictures: readonly (string | undefined)[], rate: number) {
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const count = pictures.length;
  const there = pictures.filter(Boolean).length;
  useEffect(() => {
    // a frame that has to be fetched while it plays would stutter
    const kept = pictures.flatMap((url) => {
      if (!url) return [];
      const image = new Image();
      image.src = url;
      return [image];
    });
    return () => kept.splice(0).forEach((image) => (image.src = ''));
  }, [pictures]);
  useEffect(() => {
    if (!playing || there < 2) return;
    const timer = window.setInterval(
      () =>
        setAt((k) => {
          for (let step = 1; step <= count; step++) if (pictures[(k + step) % count]) return (k + step) % count;
          return k;
        }),
      1000 / rate,
    );
    return () => window.clearInterval(timer);
  }, [playing, rate, count, there, pictures]);
  const show = (k: number) => setAt(Math.min(count - 1, Math.max(0, k)));
  return { at: Math.min(at, count - 1), show, playing: playing && there > 1, setPlaying };
}
