import { deflateSync, crc32 } from 'zlib';
import sharp from 'sharp';

type Random = () => number;

const SEEDS: Buffer[] = [];

/** Sound files of every kind, to be spoilt; to be called once before {@link hostileFile}. */
export async function prepareFiles(): Promise<void> {
  const picture = () =>
    sharp({
      create: {
        width: 97,
        height: 61,
        channels: 3,
        background: '#7a5',
        noise: { type: 'gaussian', mean: 120, sigma: 40 },
      },
    });
  SEEDS.push(
    await picture().png().toBuffer(),
    await picture()
      .jpeg()
      .withExif({ IFD0: { Artist: 'Ada', Copyright: 'all' } })
      .toBuffer(),
    await picture().webp().toBuffer(),
    await picture().tiff().toBuffer(),
    await picture().gif().toBuffer(),
    await picture().avif({ effort: 0 }).toBuffer(),
  );
}

const chunk = (type: string, data: Buffer): Buffer => {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
  const out = Buffer.alloc(8 + body.length);
  out.writeUInt32BE(data.length, 0);
  body.copy(out, 4);
  out.writeUInt32BE(crc32(body), 4 + body.length);
  return out;
};

/** A PNG that claims a size and holds whatever it is given. */
function png(width: number, height: number, data: Buffer, extra: readonly Buffer[] = []): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
    chunk('IHDR', head),
    ...extra,
    chunk('IDAT', data),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** An APP1 segment of a JPEG behind its start. */
function jpegWith(jpeg: Buffer, head: Buffer): Buffer {
  const size = Buffer.alloc(4);
  size.writeUInt16BE(0xffe1, 0);
  size.writeUInt16BE(Math.min(65_535, head.length + 2), 2);
  return Buffer.concat([jpeg.subarray(0, 2), size, head.subarray(0, 65_533), jpeg.subarray(2)]);
}

const xmp = (inside: string): Buffer =>
  Buffer.from(`http://ns.adobe.com/xap/1.0/\0<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF><rdf:Description>${inside}`);

const KINDS: readonly ((random: Random) => Buffer)[] = [
  // cut off
  (random) => {
    const file = SEEDS[Math.floor(random() * SEEDS.length)];
    return file.subarray(0, Math.floor(random() * file.length));
  },
  // bytes changed
  (random) => {
    const file = Buffer.from(SEEDS[Math.floor(random() * SEEDS.length)]);
    for (let k = 0; k < 1 + random() * 30; k++) file[Math.floor(random() * file.length)] = Math.floor(random() * 256);
    return file;
  },
  // a part repeated, a part left out
  (random) => {
    const file = SEEDS[Math.floor(random() * SEEDS.length)];
    const [a, b] = [random() * file.length, random() * file.length].map(Math.floor).sort((x, y) => x - y);
    return Buffer.concat([file.subarray(0, b), file.subarray(a)]);
  },
  // sizes that would fill the memory
  (random) =>
    png(1 + Math.floor(random() * 60_000), 1 + Math.floor(random() * 60_000), deflateSync(Buffer.alloc(1000))),
  (random) => png(9000, 9000 + Math.floor(random() * 2000), deflateSync(Buffer.alloc(60_000_000))),
  () => png(0, 0, Buffer.alloc(0)),
  (random) =>
    png(
      60,
      40,
      deflateSync(Buffer.alloc(60 * 40 * 3 + 40)),
      Array.from({ length: 3000 }, (_, k) =>
        chunk('tEXt', Buffer.from(`Key${k}\0${'x'.repeat(Math.floor(random() * 50))}`)),
      ),
    ),
  // metadata that once took minutes
  () => jpegWith(SEEDS[1], xmp(`<dc:title>${' '.repeat(60_000)}`)),
  () => jpegWith(SEEDS[1], xmp('<a>'.repeat(20_000))),
  () =>
    jpegWith(
      SEEDS[1],
      Buffer.concat([Buffer.from('Exif\0\0II*\0\x08\0\0\0\xff\xff', 'latin1'), Buffer.alloc(50_000, 1)]),
    ),
  () =>
    png(60, 40, deflateSync(Buffer.alloc(60 * 40 * 3 + 40)), [
      chunk('iTXt', Buffer.from(`XML:com.adobe.xmp\0\0\0\0\0${'<a b="'.repeat(50_000)}`)),
    ]),
  () =>
    png(60, 40, deflateSync(Buffer.alloc(60 * 40 * 3 + 40)), [
      chunk('iCCP', Buffer.concat([Buffer.from('x\0\0'), deflateSync(Buffer.alloc(5_000_000))])),
    ]),
  // something else
  () => Buffer.alloc(0),
  () =>
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="99999999" height="99999999"><image href="file:///etc/passwd"/></svg>',
    ),
  () => Buffer.from('PK\x03\x04 no picture'),
  () => Buffer.from('%PDF-1.7\n1 0 obj <<>> endobj'),
  (random) => Buffer.from(Array.from({ length: 5000 }, () => Math.floor(random() * 256))),
];

/** A file that is no sound picture, in one of many ways. */
export const hostileFile = (random: Random): Buffer => KINDS[Math.floor(random() * KINDS.length)](random);
