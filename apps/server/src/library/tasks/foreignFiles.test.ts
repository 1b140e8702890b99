import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { testPixels } from '../../test/studio';
import { decode, isFailure } from '../../platform/pictures/decode';
import { readMetadata } from './metadata';
import { Turns } from '../../platform/workers/turns';
import { readXmp } from './xmp';

let dir: string;
beforeAll(async () => (dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'))));
afterAll(() => rm(dir, { recursive: true, force: true }));

const packet = (inside: string, attributes = '') =>
  Buffer.from(
    `<?xpacket begin=""?><x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
     <rdf:Description rdf:about="" ${attributes}>${inside}</rdf:Description></rdf:RDF></x:xmpmeta><?xpacket end="w"?>`,
  );
const NAMES = ['dc:title', 'dc:creator', 'dc:rights', 'photoshop:Credit'];

describe('XMP', () => {
  test('is read as text, as alternatives, as lists and as attributes', () => {
    const found = readXmp(
      packet(
        `<dc:title><rdf:Alt><rdf:li xml:lang="x-default"> Salt &amp; marsh </rdf:li></rdf:Alt></dc:title>
         <dc:creator><rdf:Seq><rdf:li>Ada Ruhl</rdf:li><rdf:li>Jon Vey</rdf:li></rdf:Seq></dc:creator><dc:rights>All kept</dc:rights>`,
        'photoshop:Credit="Reed Press"',
      ),
      NAMES,
    );
    expect(Object.fromEntries(found)).toEqual({
      'dc:title': 'Salt & marsh',
      'dc:creator': 'Ada Ruhl, Jon Vey',
      'dc:rights': 'All kept',
      'photoshop:Credit': 'Reed Press',
    });
  });

  test.each([
    ['blanks without end', packet(`<dc:title>${' '.repeat(100_000)}<`)],
    ['nesting without end', packet('<a>'.repeat(20_000) + '</a>'.repeat(20_000))],
    ['entities', Buffer.from(`<!DOCTYPE x [<!ENTITY a "aaaa">]>${packet('<dc:title>&a;</dc:title>').toString()}`)],
    ['no XML at all', Buffer.from('\xff\xfe nonsense <<<')],
    ['too much of it', packet(`<dc:title>a</dc:title>${'x'.repeat(300_000)}`)],
  ])('that means harm says nothing: %s', (_, bytes) => {
    expect([...readXmp(bytes, NAMES)]).toEqual([]);
  });

  test('of a picture that once took minutes is passed over with the picture', async () => {
    const file = path.join(dir, 'slow.jpg');
    const { data, raw } = testPixels(200, 100);
    const plain = await sharp(data, { raw }).jpeg().toBuffer();
    const evil = packet(`<dc:title>${'<rdf:li>'.repeat(3)}${' '.repeat(30_000)}`);
    const head = Buffer.concat([Buffer.from('http://ns.adobe.com/xap/1.0/\0'), evil]);
    const size = Buffer.alloc(4);
    size.writeUInt16BE(0xffe1, 0);
    size.writeUInt16BE(head.length + 2, 2);
    await writeFile(file, Buffer.concat([plain.subarray(0, 2), size, head, plain.subarray(2)]));
    const meta = await sharp(file).metadata();
    expect(meta.xmp!.length).toBeGreaterThan(30_000);
    expect(await readMetadata(file, meta)).toEqual({});
  });
});

describe('a damaged picture', () => {
  const jpeg = async () => {
    const { data, raw } = testPixels(300, 200);
    return sharp(data, { raw }).jpeg({ quality: 90 }).toBuffer();
  };
  const decoded = async (bytes: Buffer) => {
    const file = path.join(dir, 'x.jpg');
    await writeFile(file, bytes);
    return decode(file);
  };

  test('that can be read in part is written anew, so that whoever reads it later can', async () => {
    const bytes = await jpeg();
    // a marker inside of the picture's own data: decoders go on with a warning
    bytes.writeUInt16BE(0xffd5, bytes.length >> 1);
    const answer = await decoded(bytes);
    if (isFailure(answer)) throw new Error(answer.message);
    expect(answer.repaired).toBe(true);
    await sharp(answer.picture!, { failOn: 'warning' }).raw().toBuffer();
  });

  test('that is whole is kept as it is', async () => {
    const answer = await decoded(await jpeg());
    expect(answer).toMatchObject({ repaired: false, picture: undefined });
  });

  test('of which nothing can be read is refused', async () => {
    const bytes = await jpeg();
    const answer = await decoded(bytes.subarray(0, 200));
    expect(answer).toMatchObject({ failure: 'unreadable' });
  });
});

test('turns: at most so many at once, in their order, and a failure frees its place', async () => {
  const turns = new Turns(2);
  const begun: number[] = [];
  let most = 0;
  let open = 0;
  const results = await Promise.allSettled(
    Array.from({ length: 7 }, (_, k) =>
      turns.run(async () => {
        begun.push(k);
        most = Math.max(most, ++open);
        await new Promise((resolve) => setTimeout(resolve, 5));
        open--;
        if (k === 3) throw new Error('broken');
        return k;
      }),
    ),
  );
  expect(begun).toEqual([0, 1, 2, 3, 4, 5, 6]);
  expect(most).toBe(2);
  expect(results.map((r) => r.status).filter((s) => s === 'rejected')).toHaveLength(1);
  expect(turns.queued).toBe(0);
});
