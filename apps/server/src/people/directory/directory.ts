/** What a way in through a directory is recognised by when it comes back: its own for each, known to the studio alone. */
export interface Checks {
  /** Comes back with the answer (RFC 6749, 10.12). */
  readonly state: string;
  /** Comes back inside what the directory has signed (OpenID Connect Core, 3.1.2.1). */
  readonly nonce: string;
  /** Shown only to whoever redeems the answer (PKCE, RFC 7636). */
  readonly verifier: string;
}

/** Somebody, as a directory knows them. */
export interface Listed {
  /** The same for ever, and nobody else's. */
  readonly id: string;
  readonly name: string;
  /** What they go by there. */
  readonly login: string;
}

/** Where people are known already, apart from this studio. */
export interface Directory {
  /** What people call it. */
  readonly name: string;
  /** Where a browser goes, to come back to an address. */
  begin(checks: Checks, back: string): Promise<string>;
  /** Who came back, by the whole address that was come back to. Throws for an answer that is not to these checks. */
  redeem(checks: Checks, answer: URL): Promise<Listed>;
}

/** The injection token of the {@link Directory}; undefined where there is none. */
export const DIRECTORY = Symbol('directory');
