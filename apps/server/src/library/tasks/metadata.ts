import exifr from 'exifr';
import type sharp from 'sharp';
import type { Metadata } from '../reference.entity';
import { readXmp } from './xmp';

type Fields = Record<string, unknown>;

const said = (fields: Fields, ...names: string[]): string | undefined => {
  for (const name of names) {
    const value = fields[name];
    const text = Array.isArray(value)
      ? value.filter((v) => typeof v === 'string').join(', ')
      : typeof value === 'object' && value !== null && 'value' in value
        ? (value as { value: unknown }).value
        : value;
    if (text instanceof Date) return text.toISOString().slice(0, 10);
    if (typeof text === 'string' && text.trim()) return text.trim().slice(0, 400);
  }
  return undefined;
};

/** What IPTC's vocabulary of digital source types says, in words. */
const SOURCE_TYPES: Readonly<Record<string, string>> = {
  trainedAlgorithmicMedia: 'made by a generator',
  compositeWithTrainedAlgorithmicMedia: 'made partly by a generator',
  algorithmicMedia: 'made by a program',
  digitalArt: 'drawn digitally',
  digitalCreation: 'drawn digitally',
  digitalCapture: 'photographed',
  negativeFilm: 'scanned from film',
  print: 'scanned from a print',
};

/** No more of a file's EXIF than this is read, bytes: a segment of a JPEG holds at most 64 kB. */
const MOST_EXIF = 512 * 1024;
const XMP_NAMES = ['dc:title', 'dc:creator', 'dc:rights', 'photoshop:Credit', 'Iptc4xmpExt:DigitalSourceType'];

/**
 * What a file says of itself: EXIF, IPTC and XMP. IPTC and EXIF of JPEG are read from its segments, EXIF of other files and all XMP from
 * the blocks that sharp finds, up to a size. Never fails: broken metadata are as good as none.
 */
export async function readMetadata(file: string, meta: sharp.Metadata): Promise<Metadata> {
  const fields: Fields = {};
  const options = { iptc: true, xmp: false, tiff: true, exif: true, icc: false, mergeOutput: true, sanitize: true };
  const take = async (source: string | Buffer) => {
    try {
      Object.assign(fields, (await exifr.parse(source, options)) as Fields | undefined);
    } catch {
      // a damaged block says nothing
    }
  };
  if (meta.format === 'jpeg') {
    if (meta.exif || meta.iptc) await take(file);
  } else if (meta.exif && meta.exif.byteLength <= MOST_EXIF)
    await take(Buffer.from(meta.exif.subarray(meta.exif.subarray(0, 4).toString('latin1') === 'Exif' ? 6 : 0)));
  const xmp = readXmp(meta.xmp, XMP_NAMES);
  const inXmp = (name: string): string | undefined => xmp.get(name);
  const sourceType = inXmp('Iptc4xmpExt:DigitalSourceType') ?? said(fields, 'DigitalSourceType');
  const out: Metadata = {
    title: said(fields, 'ObjectName', 'Headline', 'title') ?? inXmp('dc:title') ?? said(fields, 'ImageDescription'),
    creator: said(fields, 'Byline', 'creator', 'Artist') ?? inXmp('dc:creator'),
    credit: said(fields, 'Credit', 'credit') ?? inXmp('photoshop:Credit'),
    rights: said(fields, 'CopyrightNotice', 'rights', 'Copyright') ?? inXmp('dc:rights'),
    taken: said(fields, 'DateTimeOriginal', 'CreateDate', 'DateCreated'),
    aiSource: sourceType && (SOURCE_TYPES[sourceType.split('/').pop()!] ?? sourceType.slice(0, 100)),
  };
  return Object.fromEntries(Object.entries(out).filter(([, v]) => v !== undefined));
}
