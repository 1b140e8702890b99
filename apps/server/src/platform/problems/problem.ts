/** What went wrong with one field of a request. */
export interface FieldError {
  readonly field: string;
  readonly message: string;
}

/** A problem document (RFC 9457), with a sentence that a person can act on. */
export interface ProblemDocument {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly FieldError[];
  /** The id of the request, by which the log knows it too: `urn:request:...`. */
  readonly instance?: string;
  /** Seconds after which it can be tried again, where that is known; sent as the header of that name as well. */
  readonly retryAfter?: number;
  /** The present state, where a write was based on an old one. */
  readonly current?: unknown;
}

/** Thrown anywhere in the server; answered as a problem document. */
export class Problem extends Error {
  constructor(readonly document: ProblemDocument) {
    super(document.detail);
  }

  private static make(
    status: number,
    slug: string,
    title: string,
    detail: string,
    more: Partial<ProblemDocument> = {},
  ): Problem {
    return new Problem({ type: `urn:urbild:problem:${slug}`, title, status, detail, ...more });
  }

  static notFound(what: string): Problem {
    return Problem.make(404, 'not-found', 'Not found', `${what} is not here. It may have been deleted.`);
  }

  /** Says what became of something that is not here, instead of what it is. */
  static gone(detail: string): Problem {
    return Problem.make(404, 'not-found', 'Not found', detail);
  }

  static notIn(detail: string): Problem {
    return Problem.make(401, 'not-in', 'Sign in first', detail);
  }

  static invalid(errors: readonly FieldError[]): Problem {
    const detail = errors.map((e) => e.message).join('; ') || 'The request is not as it should be.';
    return Problem.make(400, 'invalid', 'Not understood', detail, { errors });
  }

  static stale(current: unknown): Problem {
    const detail =
      'Somebody changed this in the meantime. Nothing was overwritten; look at the present state and try again.';
    return Problem.make(409, 'stale', 'Changed in the meantime', detail, { current });
  }

  static conflict(detail: string): Problem {
    return Problem.make(409, 'conflict', 'Not possible now', detail);
  }

  static tooLarge(detail: string): Problem {
    return Problem.make(413, 'too-large', 'Too large', detail);
  }

  static unreadable(detail: string): Problem {
    return Problem.make(422, 'unreadable', 'Not a picture that can be read', detail);
  }

  static forbidden(detail: string): Problem {
    return Problem.make(403, 'forbidden', 'Not allowed', detail);
  }

  static noRoom(): Problem {
    const detail =
      'The disk is full, so this was not saved. What was saved before is safe. Make room and try again; the queue goes on by itself.';
    return Problem.make(507, 'no-room', 'The disk is full', detail);
  }

  /** `retryAfter`: seconds after which it can be tried again, where that is known. */
  static busy(detail: string, more: Pick<ProblemDocument, 'retryAfter'> = {}): Problem {
    return Problem.make(429, 'busy', 'Too much at once', detail, more);
  }
}
