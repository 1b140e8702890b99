import exifr from 'exifr';
import type sharp from 'sharp';
import type { Metadata } from '../../library/reference.entity';

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

/**
 * What a file says of itself: EXIF, IPTC and XMP. WebP and AVIF are read from the EXIF and XMP blocks that sharp finds, other
 * files as a whole. Never fails: broken metadata are as good as none.
 */
export async function readMetadata(file: string, meta: sharp.Metadata): Promise<Metadata> {
  const fields: Fields = {};
  const options = { iptc: true, xmp: true, tiff: true, exif: true, icc: false, mergeOutput: true, sanitize: true };
  const take = async (source: string | Buffer) => {
    try {
      Object.assign(fields, (await exifr.parse(source, options)) as Fields | undefined);
    } catch {
      // a damaged block says nothing
    }
  };
  if (meta.format === 'jpeg' || meta.format === 'png' || meta.format === 'tiff') {
    if (meta.exif || meta.xmp || meta.iptc || meta.format !== 'jpeg') await take(file);
  } else if (meta.exif)
    await take(Buffer.from(meta.exif.subarray(meta.exif.subarray(0, 4).toString('latin1') === 'Exif' ? 6 : 0)));
  const xmp = meta.xmp?.toString('utf8') ?? '';
  const inXmp = (name: string): string | undefined =>
    (
      new RegExp(`<${name}>(?:\\s*<rdf:(?:Alt|Seq|Bag)>)?(?:\\s*<rdf:li[^>]*>)?\\s*([^<]+?)\\s*<`).exec(xmp)?.[1] ??
      new RegExp(`${name}="([^"]+)"`).exec(xmp)?.[1]
    )?.slice(0, 400);
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
