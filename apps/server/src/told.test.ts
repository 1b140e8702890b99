/**
 * Everybody who looks at a studio is told of each change, and of nothing else: what is told of each is written down by hand. One studio,
 * one step after the other; what a job does of itself counts to the step that asked for it.
 */
import type { Test } from 'supertest';
import { EventsService } from './platform/events/events.service';
import type { ReferenceDto } from './library/reference.dto';
import { bringIn, newMix, openStudio, testPng, type TestStudio } from './test/studio';

interface Made {
  readonly id: string;
  readonly version: number;
}

let studio: TestStudio;
const told: string[] = [];
/** What steps have made, by the name that they are told of here. */
const made = new Map<string, Made>();

beforeAll(async () => {
  studio = await openStudio();
  studio.app.get(EventsService).stream.subscribe((event) => {
    if (event.type === 'progress' || event.type === 'studio') return;
    const id = 'id' in event ? event.id : undefined;
    const name = [...made].find(([, m]) => m.id === id)?.[0];
    const more = event.type === 'take' ? ` ${event.status}` : event.type === 'import' ? ` ${event.state ?? 'all'}` : '';
    told.push(`${event.type}${name ? ` ${name}` : ''}${more}`);
  });
});
afterAll(() => studio.close());

const at = (name: string) => made.get(name)!.id;
const version = async (path: string, name: string) =>
  ((await studio.ask.get(`/api/v1/${path}/${at(name)}`).expect(200)).body as { version: number }).version;

const shotsOf = async (id: string) =>
  ((await studio.ask.get(`/api/v1/series/${id}`)).body as { shots?: readonly Made[] }).shots ?? shots;

type Answer = { readonly id: string } | { readonly status: number; readonly body: unknown };

/** Does something, keeps what it answers under a name, and returns what was told until everything rests, each once. */
async function tells(doing: () => Test | Promise<Answer>, name?: string): Promise<string[]> {
  told.length = 0;
  const answer = (await doing()) as Answer;
  if ('status' in answer && answer.status >= 400) throw new Error(JSON.stringify(answer.body));
  const body = ('body' in answer ? answer.body : answer) as Made;
  await studio.jobs.idle();
  if (name) made.set(name, body);
  if (made.has('tale')) shots = await shotsOf(at('tale'));
  return [...new Set(told)].sort();
}
const post = (path: string, body: object = {}) => studio.ask.post(`/api/v1/${path}`).send(body);
const patch = (path: string, body: object) => studio.ask.patch(`/api/v1/${path}`).send(body);
const remove = (path: string) => studio.ask.delete(`/api/v1/${path}`);
const change = async (path: string, name: string, body: object) =>
  patch(`${path}/${at(name)}`, { version: await version(path, name), ...body });
const file = async (seed: number) =>
  studio.ask.post('/api/v1/imports').attach('file', await testPng(90, 60, seed), `${seed}.png`);
/** The shots of the series, as they were told last. */
let shots: readonly Made[] = [];
const shot = (k: number) => shots[k];

const RENDERED = ['take done', 'take pictured', 'take queued', 'take rendering'];
const PREPARED = { sharpen: 0.4, cutOut: false, flatten: false };
const SHOTS = [
  { title: 'One', prompt: 'a boat' },
  { title: 'Two', prompt: 'a barn' },
];

type Step = readonly [what: string, doing: () => Test | Promise<Answer>, told: readonly string[], name?: string];

const PICTURES: readonly Step[] = [
  ['a picture that is brought in', () => bringIn(studio), ['reference'], 'quay'],
  ['another one', () => bringIn(studio, 2), ['reference'], 'barn'],
  ['its title', () => change('references', 'quay', { title: 'A quay' }), ['reference quay']],
  [
    'tags of two',
    () => post('references/change', { ids: [at('quay'), at('barn')], addTags: ['sea'] }),
    ['reference barn', 'reference quay'],
  ],
  [
    'what is set right',
    async () =>
      patch(`references/${at('quay')}/corrections`, { version: await version('references', 'quay'), horizon: 0.4 }),
    ['reference quay'],
  ],
  [
    'how it is prepared',
    async () =>
      studio.ask
        .put(`/api/v1/references/${at('quay')}/preparation`)
        .send({ version: await version('references', 'quay'), preparation: PREPARED }),
    ['reference quay'],
  ],
  [
    'another file',
    async () =>
      studio.ask
        .put(`/api/v1/references/${at('quay')}/file?version=${await version('references', 'quay')}`)
        .attach('file', await testPng(130, 90, 9), 'x.png'),
    ['reference quay'],
  ],
  [
    'the version before',
    async () => post(`references/${at('quay')}/versions/1?version=${await version('references', 'quay')}`),
    ['reference quay'],
  ],
  ['one that is put away', () => remove(`references/${at('barn')}`), ['reference barn']],
  ['and fetched back', () => post(`references/${at('barn')}/restore`), ['reference barn']],
  ['an import', () => file(30), ['import done', 'import waiting', 'reference']],
  ['the same file again', () => file(30), ['import question', 'import waiting'], 'again'],
  [
    'what is decided of it',
    () => post('imports/decide', { ids: [at('again')], decision: 'skip' }),
    ['import again skipped'],
  ],
  [
    'a file that is no picture',
    () => studio.ask.post('/api/v1/imports').attach('file', Buffer.from('words'), 'w.png'),
    ['import refused', 'import waiting'],
  ],
  ['a list that is cleared', () => post('imports/clear'), ['import all']],
];
const SHEETS: readonly Step[] = [
  ['a phrase', () => post('shelf', { kind: 'phrase', name: 'Dusk', text: 'at dusk' }), ['shelf'], 'phrase'],
  ['one that goes', () => remove(`shelf/${at('phrase')}`), ['shelf']],
  ['a collection', () => post('collections', { name: 'Boats', items: [at('quay')] }), ['collection'], 'boats'],
  ['its name', () => change('collections', 'boats', { name: 'Ships' }), ['collection boats']],
  [
    'what is put in',
    () => post(`collections/${at('boats')}/arrange`, { place: [{ id: at('barn') }] }),
    ['collection boats'],
  ],
  ['a collection that goes', () => remove(`collections/${at('boats')}`), ['collection boats']],
  ['and comes back', () => post(`collections/${at('boats')}/restore`), ['collection boats']],
  ['what is said', () => post('comments', { referenceId: at('quay'), text: 'Dark' }), ['comment'], 'said'],
  ['an answer', () => post(`comments/${at('said')}/answers`, { text: 'No' }), ['comment']],
  ['that it is dealt with', () => patch(`comments/${at('said')}`, { version: 1, resolved: true }), ['comment said']],
  ['what is taken back', () => remove(`comments/${at('said')}`), ['comment said']],
  ['a project', () => post('projects', { name: 'Cards' }), ['project'], 'cards'],
  ['its name', () => change('projects', 'cards', { name: 'Small cards' }), ['project cards']],
  ['who may know of it', () => change('projects', 'cards', { restricted: true }), ['access', 'project cards']],
  ['what it picks', () => post(`projects/${at('cards')}/arrange`, { place: [{ id: at('barn') }] }), ['project cards']],
  ['a look', () => post('looks', { name: 'Sea', items: [{ referenceId: at('quay'), weight: 1 }] }), ['look'], 'sea'],
  ['its name', () => change('looks', 'sea', { name: 'Deep sea' }), ['look sea']],
  ['its sample', () => post(`looks/${at('sea')}/sample`), ['look sea', ...RENDERED]],
  ['one like it', () => post(`looks/${at('sea')}/duplicate`), ['look'], 'pond'],
  ['a look that goes', () => remove(`looks/${at('pond')}`), ['look pond']],
  ['and comes back', () => post(`looks/${at('pond')}/restore`), ['look pond']],
  [
    'a sheet of the cast',
    () => post('cast', { name: 'Ilse', items: [{ referenceId: at('barn'), slot: 'front' }] }),
    ['character'],
    'Ilse',
  ],
  ['what is said of her', () => change('cast', 'Ilse', { description: 'a girl' }), ['character Ilse']],
  ['a sheet that goes', () => remove(`cast/${at('Ilse')}`), ['character Ilse']],
  ['and comes back', () => post(`cast/${at('Ilse')}/restore`), ['character Ilse']],
];
const TAKES: readonly Step[] = [
  ['a mix', () => newMix(studio, made.get('quay') as ReferenceDto), ['mix'], 'harbour'],
  ['its prompt', () => change('mixes', 'harbour', { prompt: 'Ilse at the quay' }), ['mix harbour']],
  ['a draft', () => post('takes', { mixId: at('harbour'), quality: 'draft' }), RENDERED, 'take'],
  ['its rating', () => change('takes', 'take', { rating: 3 }), ['take take done']],
  ['variations', () => post(`takes/${at('take')}/more`, { count: 2 }), RENDERED],
  ['a mix made from it', () => post(`takes/${at('take')}/mix`), ['mix']],
  [
    'a take that becomes a reference',
    () => post('imports/from-take', { takeId: at('take') }),
    ['import done', 'import waiting', 'reference'],
  ],
  ['a take that goes', () => remove(`takes/${at('take')}`), ['take take done']],
  [
    'a strip',
    () => post('strips', { mixId: at('harbour'), axes: [{ setting: 'seed', values: [1, 2] }], quality: 'draft' }),
    ['strip', ...RENDERED],
    'strip',
  ],
  ['a strip that goes', () => remove(`strips/${at('strip')}`), ['strip strip']],
  [
    'a search for weights',
    () => post('solves', { mixId: at('harbour'), targets: [{ influence: 'a', arrival: 0.3 }] }),
    ['solve', ...RENDERED],
  ],
];
const SERIES: readonly Step[] = [
  ['a series', () => post('series', { name: 'Tale', mixId: at('harbour'), shots: SHOTS }), ['series'], 'tale'],
  ['its name', () => change('series', 'tale', { name: 'A tale' }), ['series tale']],
  ['a shot', () => patch(`shots/${shot(0).id}`, { version: shot(0).version, title: 'First' }), ['series tale']],
  ['one like it', () => post(`shots/${shot(0).id}/duplicate`), ['series tale']],
  ['a shot that goes', () => remove(`shots/${shot(1).id}`), ['series tale']],
  ['and comes back', () => post(`shots/${shot(1).id}/restore`), ['series tale']],
  [
    'more shots',
    () => post(`series/${at('tale')}/shots`, { shots: [{ title: 'X', prompt: 'a gull' }] }),
    ['series tale'],
  ],
  ['a series that waits', () => post(`series/${at('tale')}/pause`), ['series tale']],
  ['and goes on', () => post(`series/${at('tale')}/go-on`), ['series tale']],
  [
    'one that is rendered',
    () => post(`series/${at('tale')}/render`, { quality: 'draft', shotIds: [shot(0).id] }),
    ['series tale', ...RENDERED],
  ],
  ['one that is stopped', () => post(`series/${at('tale')}/stop`), ['series tale']],
  ['a mix of a shot', () => post(`shots/${shot(0).id}/mix`), ['mix']],
  [
    'a sequence',
    () =>
      post(`series/${at('tale')}/sequences`, {
        name: 'Pan',
        shotId: shot(0).id,
        frames: 8,
        quality: 'draft',
        move: { towards: 'a barn at night' },
      }),
    ['sequence', ...RENDERED],
    'pan',
  ],
  ['a sequence that goes', () => remove(`sequences/${at('pan')}`), ['sequence pan']],
  ['and comes back', () => post(`sequences/${at('pan')}/restore`), ['sequence pan']],
  ['a series that goes', () => remove(`series/${at('tale')}`), ['series tale']],
  ['and comes back', () => post(`series/${at('tale')}/restore`), ['series tale']],
  ['a mix that goes', () => remove(`mixes/${at('harbour')}`), ['mix harbour']],
];

const ALL = { pictures: PICTURES, 'sheets and piles': SHEETS, 'mixes and takes': TAKES, series: SERIES };
describe.each(Object.entries(ALL))('%s', (_, steps) => {
  for (const [what, doing, expected, name] of steps)
    test(what, async () => expect(await tells(doing, name)).toEqual([...expected].sort()));
});
