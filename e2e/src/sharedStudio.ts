import { RunningStudio } from './studio';

/** Somebody of a shared studio, as they are asked for by a program: with their cookie. */
export interface Somebody {
  readonly login: string;
  readonly password: string;
  readonly cookie: string;
}

/** An answer of the studio: its status, and its body where there is one. */
export interface Answered<T> {
  readonly status: number;
  readonly body: T;
  readonly setCookie: string;
}

/** Asks the studio for something, as somebody where one is given. Sends JSON. */
export async function askStudio<T>(
  studio: Pick<RunningStudio, 'url'>,
  call: string,
  { body, as }: { readonly body?: unknown; readonly as?: Pick<Somebody, 'cookie'> } = {},
): Promise<Answered<T>> {
  const [method, path] = call.split(' ');
  const answer = await fetch(`${studio.url}/api/v1${path}`, {
    method,
    headers: { ...(body !== undefined && { 'content-type': 'application/json' }), ...(as && { cookie: as.cookie }) },
    body: body === undefined ? undefined : JSON.stringify(body),
  });
  const text = await answer.text();
  return {
    status: answer.status,
    body: (text ? JSON.parse(text) : undefined) as T,
    setCookie: answer.headers.get('set-cookie')?.split(';')[0] ?? '',
  };
}

/** The same, where anything but success is an end. */
export async function mustAsk<T>(...asked: Parameters<typeof askStudio>): Promise<T> {
  const { status, body } = await askStudio<T>(...asked);
  if (status >= 400) throw new Error(`${asked[1]}: ${status} ${JSON.stringify(body)}`);
  return body;
}

const passwordOf = (login: string): string => `a sentence for ${login}`;
const nameOf = (login: string): string => `${login[0].toUpperCase()}${login.slice(1)} Berg`;

async function signedIn(studio: RunningStudio, login: string): Promise<Somebody> {
  const password = passwordOf(login);
  const { setCookie } = await askStudio(studio, 'POST /me/session', { body: { login, password } });
  return { login, password, cookie: setCookie };
}

/**
 * A studio that is filled while one works alone, then shared: with its owner, and editors who came in by links. The names that others read
 * are those to sign in by, with a capital, and Berg.
 */
export async function shareStudio(
  alone: RunningStudio,
  owner: string,
  editors: readonly string[],
): Promise<{ readonly studio: RunningStudio; readonly owner: Somebody; readonly editors: readonly Somebody[] }> {
  const who = (login: string) => ({ name: nameOf(login), login, password: passwordOf(login) });
  await mustAsk(alone, 'POST /people/owner', { body: who(owner) });
  await alone.stop();
  const studio = await RunningStudio.start({ dataDir: alone.dataDir, share: true });
  const first = await signedIn(studio, owner);
  const others: Somebody[] = [];
  for (const login of editors) {
    const invitation = { role: 'editor', note: login };
    const { path } = await mustAsk<{ path: string }>(studio, 'POST /invitations', { body: invitation, as: first });
    await mustAsk(studio, `POST ${path}`, { body: who(login) });
    others.push(await signedIn(studio, login));
  }
  return { studio, owner: first, editors: others };
}
