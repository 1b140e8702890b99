/**
 * A directory for the browser's tests: it knows Hanne, and asks her only to say that she is. Started with a port and the address to send
 * people back to; says its own address when it listens.
 */
import { createServer } from 'node:http';
import { Provider } from 'oidc-provider';

const [port, back] = process.argv.slice(2);
const issuer = `http://127.0.0.1:${port}`;
const provider = new Provider(issuer, {
  clients: [{ client_id: 'urbild', client_secret: 'a secret of the two', redirect_uris: [back] }],
  conformIdTokenClaims: false,
  claims: { openid: ['sub'], profile: ['name', 'preferred_username'], email: ['email'] },
  features: { devInteractions: { enabled: false } },
  pkce: { required: () => true },
  interactions: { url: (_context, { uid }) => `/interaction/${uid}` },
  findAccount: (_context, accountId) => ({
    accountId,
    claims: () => ({ sub: accountId, name: 'Hanne Lund', preferred_username: 'hanne', email: 'hanne@id.example' }),
  }),
});
const answer = provider.callback();

async function interact(request, response) {
  const { prompt, params, session } = await provider.interactionDetails(request, response);
  if (prompt.name === 'login') {
    if (!request.url.endsWith('?yes')) {
      response.setHeader('content-type', 'text/html');
      return response.end(`<title>The guild</title><a id="yes" href="${request.url}?yes">I am Hanne</a>`);
    }
    return provider.interactionFinished(request, response, { login: { accountId: 'hanne-1' } });
  }
  const grant = new provider.Grant({ accountId: session.accountId, clientId: params.client_id });
  grant.addOIDCScope(params.scope);
  return provider.interactionFinished(
    request,
    response,
    { consent: { grantId: await grant.save() } },
    { mergeWithLastSubmission: true },
  );
}

createServer((request, response) => {
  if (!request.url.startsWith('/interaction/')) return answer(request, response);
  interact(request, response).catch((error) => response.writeHead(500).end(String(error)));
}).listen(Number(port), '127.0.0.1', () => console.log(`listens on ${issuer}`));
