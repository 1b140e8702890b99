import { crc32 } from 'zlib';

const SIGNATURE = 8;

interface Chunk {
  readonly type: string;
  readonly data: Buffer;
}

function* chunksOf(png: Buffer): Generator<Chunk> {
  for (let at = SIGNATURE; at < png.length;) {
    const length = png.readUInt32BE(at);
    yield { type: png.toString('latin1', at + 4, at + 8), data: png.subarray(at + 8, at + 8 + length) };
    at += 12 + length;
  }
}

function chunk(type: string, data: Buffer): Buffer {
  const out = Buffer.alloc(12 + data.length);
  out.writeUInt32BE(data.length, 0);
  out.write(type, 4, 'latin1');
  data.copy(out, 8);
  out.writeUInt32BE(crc32(out.subarray(4, 8 + data.length)), 8 + data.length);
  return out;
}

const number = (value: number): Buffer => {
  const out = Buffer.alloc(4);
  out.writeUInt32BE(value);
  return out;
};

/**
 * An animated PNG (PNG specification, third edition, W3C 2025: acTL, fcTL, fdAT) of PNG files of one size and colour type, played
 * for ever; `rate` in frames a second. Throws for frames that do not fit each other.
 */
export function animatedPng(frames: readonly Buffer[], rate: number): Buffer {
  const parts = frames.map((f) => [...chunksOf(f)]);
  const header = parts[0].find((c) => c.type === 'IHDR')!.data;
  for (const [k, p] of parts.entries())
    if (!p.find((c) => c.type === 'IHDR')!.data.equals(header))
      throw new Error(`Frame ${k + 1} has another size or another kind of pixels than the first`);
  const out: Buffer[] = [
    frames[0].subarray(0, SIGNATURE),
    chunk('IHDR', header),
    chunk('acTL', Buffer.concat([number(frames.length), number(0)])),
  ];
  let order = 0;
  const delay = Buffer.alloc(6);
  delay.writeUInt16BE(1000, 0);
  delay.writeUInt16BE(Math.round(1000 * rate), 2);
  parts.forEach((p, k) => {
    out.push(chunk('fcTL', Buffer.concat([number(order++), header.subarray(0, 8), number(0), number(0), delay])));
    for (const { type, data } of p)
      if (type === 'IDAT') out.push(k ? chunk('fdAT', Buffer.concat([number(order++), data])) : chunk('IDAT', data));
  });
  out.push(chunk('IEND', Buffer.alloc(0)));
  return Buffer.concat(out);
}
