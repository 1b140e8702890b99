import type * as OpenId from 'openid-client';
import type { DirectoryOptions } from '../../platform/share';
import type { Checks, Directory, Listed } from './directory';

const SCOPE = 'openid profile email';

/** A directory that speaks OpenID Connect: authorization code with PKCE (OpenID Connect Core 1.0; RFC 7636). */
export class OpenIdDirectory implements Directory {
  private found?: Promise<{ readonly library: typeof OpenId; readonly config: OpenId.Configuration }>;

  constructor(private readonly options: DirectoryOptions) {}

  get name(): string {
    return this.options.name;
  }

  async begin({ state, nonce, verifier }: Checks, back: string): Promise<string> {
    const { library, config } = await this.find();
    const challenge = await library.calculatePKCECodeChallenge(verifier);
    return library.buildAuthorizationUrl(config, {
      redirect_uri: back,
      scope: SCOPE,
      state,
      nonce,
      code_challenge: challenge,
      code_challenge_method: 'S256',
    }).href;
  }

  async redeem({ state, nonce, verifier }: Checks, answer: URL): Promise<Listed> {
    const { library, config } = await this.find();
    const tokens = await library.authorizationCodeGrant(config, answer, {
      expectedState: state,
      expectedNonce: nonce,
      pkceCodeVerifier: verifier,
      idTokenExpected: true,
    });
    const { iss, sub, ...said } = tokens.claims()!;
    const asks = said.name === undefined && config.serverMetadata().userinfo_endpoint !== undefined;
    const told: Readonly<Record<string, unknown>> = asks
      ? await library.fetchUserInfo(config, tokens.access_token, sub)
      : said;
    const text = (field: string) => (typeof told[field] === 'string' ? told[field].trim() : '');
    const login = text('preferred_username') || text('email') || sub;
    return { id: `${iss} ${sub}`, name: text('name') || login, login };
  }

  /** Reads what the directory says of itself, until it has answered once. */
  private find() {
    const { issuer, clientId, secret } = this.options;
    const reading = (this.found ??= (async () => {
      // eslint-disable-next-line no-restricted-syntax -- modules of the newer kind alone: read when a studio has a directory, never in unit tests
      const library = await import('openid-client');
      // without TLS on this machine only: the options were checked
      const execute = issuer.startsWith('http:') ? [library.allowInsecureRequests] : [];
      const auth = secret === undefined ? library.None() : undefined;
      const config = await library.discovery(new URL(issuer), clientId, secret, auth, { execute, timeout: 10 });
      return { library, config };
    })());
    return reading.catch((error: unknown) => {
      if (this.found === reading) this.found = undefined;
      throw error;
    });
  }
}
