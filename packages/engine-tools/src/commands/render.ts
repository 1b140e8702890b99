/** npm run render -- --request r.json --out out.png [--control]: renders a request without a server. */
import { readFile } from 'fs/promises';
import path from 'path';
import { parseArgs } from 'util';
import { pictureFromRgba } from '@urbild/core';
import sharp from 'sharp';
import { BuiltInEngine, readRequest, RequestError } from '@urbild/engine';

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: { request: { type: 'string' }, out: { type: 'string' }, control: { type: 'boolean', default: false } },
  });
  if (!values.request || !values.out)
    throw new RequestError('Use: npm run render -- --request r.json --out out.png [--control]');
  const base = process.env.INIT_CWD ?? process.cwd();
  const file = path.resolve(base, values.request);
  const request = readRequest(JSON.parse(await readFile(file, 'utf8')));
  const rendered = await new BuiltInEngine().render(
    values.control ? { ...request, influences: [], start: undefined, mask: undefined } : request,
    async (content) => {
      const { data, info } = await sharp(path.resolve(path.dirname(file), content), { limitInputPixels: 1e8 })
        .rotate()
        .toColourspace('srgb')
        .flatten({ background: '#ffffff' })
        .ensureAlpha()
        .resize(1536, 1536, { fit: 'inside', withoutEnlargement: true })
        .raw()
        .toBuffer({ resolveWithObject: true });
      return pictureFromRgba(data, info.width, info.height);
    },
    ({ step, fraction }) => console.error(`${String(Math.round(fraction * 100)).padStart(3)} %  ${step}`),
  );
  await sharp(rendered.rgba, { raw: { width: rendered.width, height: rendered.height, channels: 4 } })
    .removeAlpha()
    .png()
    .toFile(path.resolve(base, values.out));
  for (const { influence, kind } of rendered.remarks) console.error(`${influence}: ${kind.replaceAll('-', ' ')}`);
  for (const { text } of rendered.unheard) console.error(`not understood: ${text}`);
}

main().catch((error: Error) => {
  console.error(error instanceof RequestError || error instanceof SyntaxError ? error.message : error);
  process.exitCode = 1;
});
