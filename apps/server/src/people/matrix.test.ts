/**
 * Who may do what, written down by hand, one list for each least role: nothing here is taken from the table of the program. An operation
 * that is in none of the lists, or in two, fails.
 */
import type { OpenAPIObject } from '@nestjs/swagger';
import type { Role } from '@urbild/core';
import { openShared, type Agent, type SharedStudio } from '../test/people';

const ANYBODY = `
  GET POST /join/{token}
  GET /me
  GET /me/directory
  GET /me/directory/answer
  POST /me/session
`;
const VIEWER = `
  GET /cast
  POST /cast/candidates
  GET /cast/{id}
  GET /cast/{id}/reading
  GET /cast/{id}/tally
  GET /collections
  GET /collections/{id}
  GET /comments
  GET /comments/inbox
  POST /comments/read
  POST /comments/read-all
  GET /imports
  GET /jobs/troubled
  GET /looks
  GET /looks/{id}
  GET /looks/{id}/reading
  POST /me/password
  DELETE /me/session
  GET /me/sessions
  DELETE /me/sessions/{id}
  GET /mixes
  GET /mixes/{id}
  GET /mixes/{id}/versions
  GET /people
  DELETE PUT /me/places/{window}
  GET /presence
  GET /projects
  GET /projects/{id}
  GET /references
  GET /references/search
  GET /references/{id}
  GET /references/{id}/gives
  GET /references/{id}/versions
  GET /sequences/{id}
  GET /sequences/{id}/steadiness
  GET /series
  GET /series/{id}
  GET /series/{id}/consistency
  GET /series/{id}/sequences
  GET /shelf
  POST /shots/read
  GET /solves
  GET /solves/{id}
  GET /strips
  GET /strips/of-series/{seriesId}
  GET /strips/{id}
  GET /studio
  GET /takes
  GET /takes/covers
  GET /takes/in-force/{mixId}
  GET /takes/keepers
  GET /takes/made-with/{id}
  GET /takes/worked
  GET /takes/{id}
  GET /takes/{id}/outlines
`;
const COMMENTER = `
  POST /comments
  DELETE PATCH /comments/{id}
  POST /comments/{id}/answers
  POST /comments/{id}/restore
  PATCH /takes/{id}
  DELETE PUT /takes/{id}/approval
`;
const EDITOR = `
  POST /cast
  POST /cast/pick
  DELETE PATCH /cast/{id}
  POST /cast/{id}/restore
  POST /collections
  DELETE PATCH /collections/{id}
  POST /collections/{id}/arrange
  POST /collections/{id}/restore
  POST /imports
  POST /imports/clear
  POST /imports/decide
  POST /imports/from-take
  POST /jobs/{id}/retry
  POST /looks
  DELETE PATCH /looks/{id}
  POST /looks/{id}/duplicate
  POST /looks/{id}/restore
  POST /looks/{id}/sample
  POST /masks
  POST /mixes
  DELETE PATCH /mixes/{id}
  POST /projects/{id}/arrange
  POST /references
  POST /references/change
  POST /references/undo
  DELETE PATCH /references/{id}
  PATCH /references/{id}/corrections
  PUT /references/{id}/file
  PUT /references/{id}/preparation
  POST /references/{id}/restore
  POST /references/{id}/split
  POST /references/{id}/versions/{number}
  DELETE /sequences/{id}
  POST /sequences/{id}/hold
  POST /sequences/{id}/restore
  POST /series
  POST /series/from-mix
  DELETE PATCH /series/{id}
  POST /series/{id}/go-on
  POST /series/{id}/pause
  POST /series/{id}/render
  POST /series/{id}/restore
  POST /series/{id}/sequences
  POST /series/{id}/shots
  POST /series/{id}/shots/{shotId}/remedies
  POST /series/{id}/shots/{shotId}/tries
  POST /series/{id}/stop
  POST /series/{id}/swaps
  DELETE /series/{id}/tries/{batch}
  POST /series/{id}/tries/{batch}/keep
  POST /series/{id}/tries/{batch}/take-back
  POST /shelf
  DELETE /shelf/{id}
  DELETE PATCH /shots/{id}
  POST /shots/{id}/duplicate
  POST /shots/{id}/mix
  POST /shots/{id}/restore
  POST /solves
  POST /solves/{id}/stop
  POST /strips
  DELETE /strips/{id}
  POST /strips/{id}/proof
  POST /takes
  DELETE /takes/{id}
  POST /takes/{id}/cancel
  POST /takes/{id}/enlarge
  POST /takes/{id}/mix
  POST /takes/{id}/more
  POST /takes/{id}/redraw
`;
/** Editors, and others whom an owner has allowed it. */
const HANDS_OVER = `
  GET /sequences/{id}/export/{form}
  GET /series/{id}/export/{form}
`;
const OWNER = `
  GET POST /backups
  GET POST /invitations
  DELETE /invitations/{id}
  POST /people/owner
  DELETE PATCH /people/{id}
  POST /people/{id}/reset
  POST /projects
  PATCH /projects/{id}
  DELETE PUT /projects/{id}/members/{person}
`;

const operations = (list: string): string[] =>
  list
    .trim()
    .split('\n')
    .flatMap((line) => {
      const words = line.trim().split(' ');
      return words.slice(0, -1).map((verb) => `${verb} ${words.at(-1)!}`);
    });
const LISTS: readonly (readonly [list: string, may: readonly Role[]])[] = [
  [ANYBODY, ['owner', 'editor', 'commenter', 'viewer']],
  [VIEWER, ['owner', 'editor', 'commenter', 'viewer']],
  [COMMENTER, ['owner', 'editor', 'commenter']],
  [EDITOR, ['owner', 'editor']],
  [HANDS_OVER, ['owner', 'editor']],
  [OWNER, ['owner']],
];
/** These would end what the test goes on with. */
const ENDS = new Set(['DELETE /me/session']);

/** What an operation answers to somebody, asked for something that is not there. */
async function answer(agent: Agent, operation: string): Promise<number> {
  const [verb, path] = operation.split(' ');
  const url = `/api/v1${path.replaceAll(/{number}/g, '1').replaceAll(/{\w+}/g, 'nowhere')}`;
  const method = verb.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
  return (await (verb === 'GET' ? agent.get(url) : agent[method](url).send({}))).status;
}

describe('who may do what', () => {
  let studio: SharedStudio;
  const agents = new Map<Role, Agent>();
  beforeAll(async () => {
    studio = await openShared();
    agents.set('owner', studio.owner);
    for (const role of ['editor', 'commenter', 'viewer'] as const)
      agents.set(role, (await studio.newPerson(role, role)).agent);
  });
  afterAll(() => studio.close());

  test('every operation says what it needs, and is in one list', async () => {
    const { paths } = (await studio.owner.get('/api/v1/openapi.json').expect(200)).body as OpenAPIObject;
    const told = Object.entries(paths).flatMap(([path, item]) =>
      Object.entries(item as Record<string, Record<string, unknown>>).map(([verb, operation]) => {
        expect(operation['x-permission']).toEqual(expect.any(String));
        return `${verb.toUpperCase()} ${path.replace('/api/v1', '')}`;
      }),
    );
    expect(LISTS.flatMap(([list]) => operations(list)).sort()).toEqual(told.sort());
  });

  test('whoever is not in is asked to sign in, but for how to do so', async () => {
    for (const [list] of LISTS)
      for (const operation of operations(list)) {
        const status = await answer(studio.stranger(), operation);
        if (list === ANYBODY && !operation.endsWith('/me/session'))
          expect([operation, status]).not.toEqual([operation, 401]);
        else if (list !== ANYBODY) expect([operation, status]).toEqual([operation, 401]);
      }
  });

  test.each(['owner', 'editor', 'commenter', 'viewer'] as const)('%s', async (role) => {
    for (const [list, may] of LISTS)
      for (const operation of operations(list)) {
        if (ENDS.has(operation)) continue;
        const status = await answer(agents.get(role)!, operation);
        if (!may.includes(role)) expect([operation, status]).toEqual([operation, 403]);
        else if ([401, 403].includes(status) || status >= 500) throw new Error(`${role} ${operation}: ${status}`);
      }
  });
});
