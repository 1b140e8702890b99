import { dropFile, keepFiles, waitingFiles, type WaitingFile } from './waitingFiles';

/** A file that is still here, or on its way to the studio. */
export interface Sending {
  readonly id: string;
  readonly name: string;
  /** Part that is sent, 0..1. */
  readonly sent: number;
}

const AT_ONCE = 3;
/** How long to wait before the studio is tried again. */
const PAUSE = 3000;

type Outcome = 'sent' | 'refused' | 'unreachable';

/** Sends one file; XMLHttpRequest because fetch cannot tell how much is sent. */
function send(
  { id, name, file }: WaitingFile,
  onSent: (part: number) => void,
): Promise<{ outcome: Outcome; reason?: string }> {
  return new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('POST', '/api/v1/imports');
    request.upload.onprogress = (e) => e.lengthComputable && onSent(e.loaded / e.total);
    request.onload = () => {
      if (request.status < 300) return resolve({ outcome: 'sent' });
      let reason = 'The studio refused it.';
      try {
        reason = (JSON.parse(request.responseText) as { detail?: string }).detail ?? reason;
      } catch {
        // no problem document: the general words stand
      }
      const later = request.status >= 500 || request.status === 401;
      resolve({ outcome: later ? 'unreachable' : 'refused', reason });
    };
    request.onerror = request.onabort = () => resolve({ outcome: 'unreachable' });
    const form = new FormData();
    form.append('id', id);
    form.append('file', file, name);
    request.send(form);
  });
}

/** Ids that sort in the order in which files were chosen, and are UUIDs. */
function orderedId(k: number): string {
  const time = (Date.now() * 1000 + k).toString(16).padStart(14, '0').slice(-14);
  return `${time.slice(0, 8)}-${time.slice(8, 12)}-4${time.slice(12, 14)}0-${crypto.randomUUID().slice(19)}`;
}

/**
 * The queue of files to the studio: a few at a time, kept by the browser until they are there, so that what is not sent when the
 * page closes is sent the next time. A store for useSyncExternalStore.
 */
export class UploadQueue {
  private readonly queue: WaitingFile[] = [];
  private running = 0;
  private sending: readonly Sending[] = [];
  private readonly listeners = new Set<() => void>();
  /** Called when a file has arrived. */
  onArrived: () => void = () => {};
  /** Called with a sentence when a file was refused before it was stored. */
  onRefused: (text: string) => void = () => {};

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): readonly Sending[] => this.sending;

  /** Enqueues chosen files. */
  async add(chosen: readonly File[]): Promise<void> {
    const waiting = chosen.map((file, k): WaitingFile => ({ id: orderedId(k), name: file.name, file }));
    // without room to keep them they are sent all the same, but a reload would lose them
    await keepFiles(waiting).catch(() => undefined);
    this.take(waiting);
  }

  /** Goes on with what an earlier page left. */
  async resume(): Promise<void> {
    const left = await waitingFiles().catch(() => []);
    const known = new Set(this.sending.map((s) => s.id));
    this.take(left.filter((f) => !known.has(f.id)));
  }

  private take(waiting: readonly WaitingFile[]): void {
    this.queue.push(...waiting);
    this.set([...this.sending, ...waiting.map(({ id, name }) => ({ id, name, sent: 0 }))]);
    this.pump();
  }

  private pump(): void {
    while (this.running < AT_ONCE && this.queue.length) {
      const next = this.queue.shift()!;
      this.running++;
      void this.deliver(next).finally(() => {
        this.running--;
        this.pump();
      });
    }
  }

  /** One window at a time sends a file. */
  private deliver(next: WaitingFile): Promise<void> {
    return navigator.locks.request(`import-${next.id}`, async () => {
      const { outcome, reason } = await send(next, (sent) =>
        this.set(this.sending.map((s) => (s.id === next.id ? { ...s, sent } : s))),
      );
      if (outcome === 'unreachable') {
        setTimeout(() => {
          this.queue.push(next);
          this.pump();
        }, PAUSE);
        return;
      }
      if (outcome === 'refused') this.onRefused(`${next.name}: ${reason}`);
      await dropFile(next.id).catch(() => undefined);
      this.set(this.sending.filter((s) => s.id !== next.id));
      this.onArrived();
    });
  }

  private set(sending: readonly Sending[]): void {
    this.sending = sending;
    for (const listener of this.listeners) listener();
  }
}
