/** After so long, ms, a stream that was refused is asked for again. */
const REFUSED_AGAIN = 3_000;

interface Heard {
  /** Says what is to be done at which event; called for each stream that is opened. */
  readonly listen: (stream: EventSource) => void;
  /** The stream is open again after a pause, in which anything may have happened. */
  readonly onMissed: () => void;
  /** The studio refuses it: perhaps it no longer knows who listens. */
  readonly onRefused: () => void;
}

/**
 * Holds the studio's stream of events open while the window is in sight, for browsers allow few connections to one address; asks for it
 * again when it was refused, as it is to whoever has to sign in first. Returns how to let it go.
 */
export function holdStream({ listen, onMissed, onRefused }: Heard): () => void {
  let source: EventSource | undefined;
  let missed = false;
  let again = 0;
  const open = () => {
    window.clearTimeout(again);
    if (source) return;
    const stream = new EventSource('/api/v1/events');
    source = stream;
    listen(stream);
    stream.onerror = () => {
      missed = true;
      // refused, not broken: the browser does not try again by itself
      if (stream.readyState !== EventSource.CLOSED || source !== stream) return;
      source = undefined;
      onRefused();
      again = window.setTimeout(onSight, REFUSED_AGAIN);
    };
    stream.onopen = () => {
      if (missed) onMissed();
      missed = false;
    };
  };
  const close = () => {
    window.clearTimeout(again);
    source?.close();
    source = undefined;
    missed = true;
  };
  const onSight = () => (document.visibilityState === 'visible' ? open() : close());
  onSight();
  document.addEventListener('visibilitychange', onSight);
  window.addEventListener('pagehide', close);
  window.addEventListener('pageshow', onSight);
  return () => {
    close();
    document.removeEventListener('visibilitychange', onSight);
    window.removeEventListener('pagehide', close);
    window.removeEventListener('pageshow', onSight);
  };
}
