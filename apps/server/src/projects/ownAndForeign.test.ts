/**
 * Who may do what in which project, written down by hand: nothing here is taken from the tables of the program. A project that only its
 * members know of, with one of each thing in it, and somebody who may do everything in the studio.
 */
import { testPng } from '../test/studio';
import { openShared, type Agent, type SharedStudio } from '../test/people';

/** Operations that name something of a project, with what they say; `$mix` is the id of the mix in it. */
const SEES = `
  GET /projects/$project
  GET /references/search?collection=$project
  GET /mixes/$mix
  GET /mixes/$mix/versions
  GET /series/$series
  GET /series/$series/consistency
  GET /series/$series/sequences
  GET /sequences/$sequence
  GET /sequences/$sequence/steadiness
  GET /strips?mixId=$mix
  GET /strips/of-series/$series
  GET /strips/$strip
  GET /solves?mixId=$mix
  GET /solves/$solve
  GET /takes?mixId=$mix
  GET /takes/in-force/$mix?quality=draft
  GET /takes/$take
  GET /takes/$take/outlines
  GET /comments?takeId=$take
  GET /comments?shotId=$shot
  GET /comments?mixId=$mix
`;
const COMMENTS = `
  PATCH /takes/$take {"rating": 4}
  POST /comments {"takeId": "$take", "text": "a"}
  POST /comments {"shotId": "$shot", "text": "a"}
  POST /comments {"mixId": "$mix", "text": "a"}
  POST /comments/$comment/answers {"text": "a"}
  PATCH /comments/$comment {}
`;
/** What somebody else wrote, only owners take away; who approves is said by owners. */
const OF_OTHERS = `
  PUT /takes/$take/approval
  DELETE /takes/$take/approval
  DELETE /comments/$comment
  POST /comments/$comment/restore
`;
const EDITS = `
  POST /projects/$project/arrange {"place": []}
  POST /mixes {"name": "Another", "projectId": "$project"}
  PATCH /mixes/$mix {"name": "Other"}
  DELETE /mixes/$mix
  POST /series {"name": "Another", "mixId": "$mix"}
  POST /series/from-mix {"mixId": "$mix"}
  PATCH /series/$series {"name": "Other"}
  DELETE /series/$series
  POST /series/$series/restore
  POST /series/$series/shots {"shots": []}
  POST /series/$series/render {}
  POST /series/$series/stop
  POST /series/$series/pause
  POST /series/$series/go-on
  POST /series/$series/swaps {}
  POST /series/$series/shots/$shot/remedies {}
  POST /series/$series/shots/$shot/tries {}
  DELETE /series/$series/tries/batch
  POST /series/$series/tries/batch/keep
  POST /series/$series/tries/batch/take-back
  POST /series/$series/sequences {}
  DELETE /sequences/$sequence
  POST /sequences/$sequence/restore
  POST /sequences/$sequence/hold {}
  PATCH /shots/$shot {}
  DELETE /shots/$shot
  POST /shots/$shot/restore
  POST /shots/$shot/duplicate
  POST /shots/$shot/mix
  POST /strips {"mixId": "$mix"}
  POST /strips/$strip/proof {}
  DELETE /strips/$strip
  POST /solves {"mixId": "$mix"}
  POST /solves/$solve/stop
  POST /takes {"mixId": "$mix"}
  POST /takes/$take/cancel
  POST /takes/$take/enlarge {}
  POST /takes/$take/mix
  POST /takes/$take/more {}
  POST /takes/$take/redraw
  DELETE /takes/$take
  POST /imports/from-take {"takeId": "$take"}
`;
const HANDS_OVER = `
  GET /series/$series/export/zip
  GET /sequences/$sequence/export/png
`;
const lines = (list: string) =>
  list
    .trim()
    .split('\n')
    .map((line) => line.trim());
const ALL = [SEES, COMMENTS, OF_OTHERS, EDITS, HANDS_OVER].flatMap(lines);

let studio: SharedStudio;
let juna: Awaited<ReturnType<SharedStudio['newPerson']>>;
const ids: Record<string, string> = {};
const filled = (text: string) => text.replaceAll(/\$(\w+)/g, (_, name: string) => ids[name]);

async function made(name: string, path: string, body: object): Promise<{ id: string; shots?: { id: string }[] }> {
  const answer = await studio.owner.post(`/api/v1/${path}`).send(body).expect(201);
  const one = (Array.isArray(answer.body) ? answer.body[0] : answer.body) as { id: string };
  ids[name] = one.id;
  return one;
}
const ask = (agent: Agent, line: string) => {
  const [, verb, path, body] = /^(\w+) (\S+)(?: (.*))?$/.exec(filled(line))!;
  const call = agent[verb.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete'](`/api/v1${path}`);
  return verb === 'GET' ? call : call.send(body ? (JSON.parse(body) as object) : {});
};
const answers = async (agent: Agent, operations: readonly string[]) => {
  const out: [string, number][] = [];
  for (const line of operations) out.push([line, (await ask(agent, line)).status]);
  return out;
};
const join = (role: string) =>
  studio.owner.put(`/api/v1/projects/${ids.project}/members/${juna.id}`).send({ role }).expect(200);

/** What a window of somebody hears from now on. */
async function listen(login: string, password: string) {
  const stop = new AbortController();
  const signedIn = await fetch(`${studio.url}/api/v1/me/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login, password }),
  });
  const cookie = signedIn.headers.getSetCookie()[0].split(';')[0];
  const { body } = await fetch(`${studio.url}/api/v1/events`, { headers: { cookie }, signal: stop.signal });
  let text = '';
  const decoder = new TextDecoder();
  const hearing = body!
    .pipeTo(new WritableStream<Uint8Array>({ write: (chunk) => void (text += decoder.decode(chunk)) }))
    .catch(() => undefined);
  const sees = (what: string, times: number) => text.split(what).length > times;
  const until = async (what: string, times = 1) => {
    for (let k = 0; k < 100 && !sees(what, times); k++) await new Promise((go) => setTimeout(go, 30));
    if (!sees(what, times)) throw new Error(`never heard ${what}, but ${text}`);
  };
  return { all: () => text, until, end: () => (stop.abort(), hearing) };
}

beforeAll(async () => {
  studio = await openShared();
  juna = await studio.newPerson('editor', 'juna');
  const quay = (
    await studio.owner
      .post('/api/v1/references')
      .attach('file', await testPng(), 'quay.png')
      .expect(201)
  ).body as { reference: { id: string } };
  const { version } = (await made('project', 'projects', { name: 'For few' })) as unknown as { version: number };
  await studio.owner.patch(`/api/v1/projects/${ids.project}`).send({ version, restricted: true }).expect(200);
  await made('mix', 'mixes', {
    name: 'Secret',
    projectId: ids.project,
    prompt: 'a boat at sea',
    influences: [
      {
        id: 'a',
        referenceId: quay.reference.id,
        gives: 'look',
        weight: 1,
        from: 0,
        to: 1,
        reading: 'normal',
        on: true,
      },
    ],
  });
  await made('take', 'takes', { mixId: ids.mix, quality: 'draft' });
  await made('strip', 'strips', { mixId: ids.mix, axes: [{ setting: 'seed', values: [1, 2] }], quality: 'draft' });
  await made('solve', 'solves', { mixId: ids.mix, targets: [{ influence: 'a', arrival: 0.3 }] });
  await made('series', 'series', { name: 'Tale', mixId: ids.mix });
  await studio.owner
    .post(`/api/v1/series/${ids.series}/shots`)
    .send({ shots: [{ title: 'One', prompt: 'a boat' }] })
    .expect(201);
  const { body } = await studio.owner.get(`/api/v1/series/${ids.series}`).expect(200);
  ids.shot = (body as { shots: { id: string }[] }).shots[0].id;
  await made('sequence', `series/${ids.series}/sequences`, {
    name: 'Walk',
    shotId: ids.shot,
    move: { across: 0.2 },
    frames: 8,
    quality: 'draft',
  });
  await studio.jobs.idle();
  await made('comment', 'comments', { takeId: ids.take, text: 'Too dark for @juna' });
}, 120_000);
afterAll(() => studio.close());

test('what is in a project that one may not know of is not there, whatever one may do in the studio', async () => {
  expect((await answers(juna.agent, ALL)).filter(([, status]) => status !== 404)).toEqual([]);
});

test('it is in no list, no count and no search, and its pictures are not handed out', async () => {
  const got = async <T>(path: string, who = juna.agent) => (await who.get(`/api/v1/${path}`).expect(200)).body as T;
  const { id: elsewhere } = (await studio.owner.post('/api/v1/mixes').send({ name: 'Open' }).expect(201)).body as {
    id: string;
  };
  const names = async (path: string, who = juna.agent) =>
    (await got<{ id: string; mixId?: string }[]>(path, who)).map((one) => one.mixId ?? one.id);
  for (const path of ['projects', 'mixes', 'series', 'takes/covers', 'takes/keepers', `takes/made-with/none`]) {
    expect(await names(path)).not.toContain(ids.mix);
    expect(await names(path)).not.toContain(ids.project);
  }
  expect(await names('mixes')).toEqual([elsewhere]);
  expect(await names('mixes', studio.owner)).toContain(ids.mix);
  expect(await names('takes/covers', studio.owner)).toContain(ids.mix);
  expect(await names('series', studio.owner)).toEqual([ids.mix]);
  const { facets } = await got<{ facets: { collection: object } }>('references/search');
  expect(Object.keys(facets.collection)).not.toContain(ids.project);
  const picture = (await got<{ pictureUrl: string }>(`takes/${ids.take}`, studio.owner)).pictureUrl;
  await juna.agent.get(picture).expect(404);
  await studio.owner.get(picture).expect(200);
});

test('a control is shown to whoever is shown a take that is measured by it', async () => {
  const { controlId } = (await studio.owner.get(`/api/v1/takes/${ids.take}`)).body as { controlId?: string };
  if (controlId) await juna.agent.get(`/api/v1/takes/${controlId}`).expect(404);
  // the same words elsewhere lean on a control that is not hidden
  const open = (await juna.agent.post('/api/v1/mixes').send({ name: 'Same', prompt: 'a boat at sea' }).expect(201))
    .body as { id: string };
  const takes = (await juna.agent.post('/api/v1/takes').send({ mixId: open.id, quality: 'draft' }).expect(201))
    .body as { id: string }[];
  await studio.jobs.idle();
  const own = (await juna.agent.get(`/api/v1/takes/${[takes].flat()[0].id}`).expect(200)).body as {
    pictureUrl: string;
  };
  // the same picture as the hidden one: it is theirs too
  await juna.agent.get(own.pictureUrl).expect(200);
});

test('nobody hears of it, and of what becomes open one hears at once', async () => {
  const heard = await listen('juna', 'a long one for juna');
  const rename = async (name: string) => {
    const { version } = (await studio.owner.get(`/api/v1/mixes/${ids.mix}`)).body as { version: number };
    await studio.owner.patch(`/api/v1/mixes/${ids.mix}`).send({ version, name }).expect(200);
  };
  await rename('Still secret');
  await studio.owner.post('/api/v1/shelf').send({ kind: 'phrase', name: 'a', text: 'b' }).expect(201);
  await heard.until('event: shelf');
  expect(heard.all()).not.toContain(ids.mix);
  await join('editor');
  await heard.until('event: access');
  await rename('Not secret any more');
  await heard.until(ids.mix);
  await studio.owner.delete(`/api/v1/projects/${ids.project}/members/${juna.id}`).expect(200);
  const before = heard.all().split(ids.mix).length;
  await rename('Secret');
  await studio.owner.post('/api/v1/shelf').send({ kind: 'phrase', name: 'c', text: 'd' }).expect(201);
  await heard.until('event: shelf', 2);
  expect(heard.all().split(ids.mix)).toHaveLength(before);
  await heard.end();
});

test('where somebody is in it is not told', async () => {
  const be = (at: string) => studio.owner.put('/api/v1/me/places/w').send({ at }).expect(204);
  const places = async () => ((await juna.agent.get('/api/v1/presence')).body as { at: string }[]).map(({ at }) => at);
  await be(`/bench/${ids.mix}`);
  expect(await places()).toEqual([]);
  await be('/library');
  expect(await places()).toEqual(['/library']);
});

describe('a member may at most what the project lets them', () => {
  const refused = (list: [string, number][]) => list.filter(([, status]) => status === 403).map(([line]) => line);
  const missed = (list: [string, number][]) => list.filter(([, status]) => status >= 500).map(([line]) => line);

  test('a viewer', async () => {
    await join('viewer');
    const all = await answers(juna.agent, ALL);
    expect(refused(all)).toEqual([COMMENTS, OF_OTHERS, EDITS, HANDS_OVER].flatMap(lines));
    expect(all.slice(0, lines(SEES).length).filter(([, status]) => status !== 200 && status !== 409)).toEqual([]);
  });

  test('a commenter', async () => {
    await join('commenter');
    expect(refused(await answers(juna.agent, ALL))).toEqual([OF_OTHERS, EDITS, HANDS_OVER].flatMap(lines));
  });

  test('elsewhere they may as before, and nobody is an editor by a project who is not in the studio', async () => {
    await juna.agent.post('/api/v1/mixes').send({ name: 'Mine' }).expect(201);
    const vera = await studio.newPerson('viewer', 'vera');
    await studio.owner.put(`/api/v1/projects/${ids.project}/members/${vera.id}`).send({ role: 'editor' }).expect(200);
    await vera.agent.get(`/api/v1/mixes/${ids.mix}`).expect(200);
    await vera.agent.patch(`/api/v1/mixes/${ids.mix}`).send({ name: 'x' }).expect(403);
  });

  test('an editor may do all that an editor of the studio may', async () => {
    await join('editor');
    const all = await answers(juna.agent, ALL);
    expect([refused(all), missed(all)]).toEqual([lines(OF_OTHERS), []]);
  });

  test('whoever is made an owner sees all of it, and whoever is one no longer sees it no longer', async () => {
    await studio.owner.delete(`/api/v1/projects/${ids.project}/members/${juna.id}`).expect(200);
    await juna.agent.get(`/api/v1/projects/${ids.project}`).expect(404);
    const role = async (to: string) => {
      const people = (await studio.owner.get('/api/v1/people')).body as { id: string; version: number }[];
      const { version } = people.find((p) => p.id === juna.id)!;
      await studio.owner.patch(`/api/v1/people/${juna.id}`).send({ version, role: to }).expect(200);
    };
    await role('owner');
    await juna.agent.get(`/api/v1/projects/${ids.project}`).expect(200);
    await role('editor');
    await juna.agent.get(`/api/v1/projects/${ids.project}`).expect(404);
  });
});

test('only owners say who is a member; somebody or a project that is not there is said to be so', async () => {
  const member = `/api/v1/projects/${ids.project}/members/${juna.id}`;
  const fields = { role: 'editor' };
  await juna.agent.put(member).send(fields).expect(403);
  await juna.agent.delete(member).expect(403);
  await studio.owner.delete(member).expect(404);
  await studio.owner.put(`/api/v1/projects/${ids.project}/members/nobody`).send(fields).expect(404);
  await studio.owner.put(`/api/v1/projects/nowhere/members/${juna.id}`).send(fields).expect(404);
  await studio.owner.put(member).send({ role: 'owner' }).expect(400);
  const { body } = await studio.owner.put(member).send({ role: 'viewer' }).expect(200);
  expect((body as { members: object[] }).members).toContainEqual({ person: juna.id, role: 'viewer', approver: false });
});

test('no operation on things of projects is left out here', async () => {
  const { paths } = (await studio.owner.get('/api/v1/openapi.json').expect(200)).body as { paths: object };
  /** These name nothing, or something of the library: what they list is looked at above. */
  const nameNothing = [
    'GET /mixes',
    'GET /projects',
    'POST /projects',
    'GET /series',
    'POST /shots/read',
    'GET /takes/covers',
    'GET /takes/keepers',
    'GET /takes/worked',
    'GET /takes/made-with/*',
    // what is in an inbox is looked at beside the comments
    'GET /comments/inbox',
    'POST /comments/read',
    'POST /comments/read-all',
    // owners only
    'PATCH /projects/*',
    'PUT /projects/*/members/*',
    'DELETE /projects/*/members/*',
  ];
  const told = Object.entries(paths)
    .flatMap(([path, verbs]: [string, object]) =>
      Object.keys(verbs).map(
        (verb) => `${verb.toUpperCase()} ${path.replace('/api/v1', '').replaceAll(/{\w+}/g, '*')}`,
      ),
    )
    .filter((line) => /^\w+ \/(projects|mixes|series|sequences|shots|strips|solves|takes|comments)\b/.test(line));
  const here = ALL.map((line) =>
    line
      .replace(/ [{].*$/, '')
      .replace(/\?.*$/, '')
      .replaceAll(/\$\w+|(?<=\/)(batch|zip|png)\b/g, '*'),
  );
  expect(told.filter((line) => !here.includes(line) && !nameNothing.includes(line))).toEqual([]);
});
