/** A whole studio for tests: a server on a free port over a folder of its own, and pictures to bring in. */
import 'reflect-metadata';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { mkdtemp, rm } from 'fs/promises';
import type { Server } from 'http';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import request from 'supertest';
import { createApplication } from '../application';
import type { Share } from '../platform/share';
import { JobsService } from '../platform/jobs/jobs.service';
import type { MixDto } from '../mixes/mix.dto';
import type { SearchDto } from '../library/catalogue/search.dto';
import type { ReferenceDto } from '../library/reference.dto';

export interface TestStudio {
  readonly app: NestExpressApplication;
  readonly dataDir: string;
  readonly url: string;
  /** Requests by supertest. */
  readonly ask: ReturnType<typeof request>;
  readonly jobs: JobsService;
  close(): Promise<void>;
}

export async function openStudio(
  dataDir?: string,
  options: { readonly vision?: boolean; readonly webDir?: string; readonly share?: Share } = {},
): Promise<TestStudio> {
  const folder = dataDir ?? (await mkdtemp(path.join(os.tmpdir(), 'urbild-test-')));
  const app = await createApplication({
    port: 0,
    host: '127.0.0.1',
    dataDir: folder,
    demo: false,
    renderThreads: 1,
    quiet: true,
    backups: false,
    vision: options.vision ?? false,
    webDir: options.webDir,
    ...(options.share && { share: options.share }),
  });
  const server = (await app.listen(0, '127.0.0.1')) as Server;
  const { port } = server.address() as { port: number };
  return {
    app,
    dataDir: folder,
    url: `http://127.0.0.1:${port}`,
    ask: request(`http://127.0.0.1:${port}`),
    jobs: app.get(JobsService),
    close: async () => {
      await app.close();
      if (!dataDir) await rm(folder, { recursive: true, force: true });
    },
  };
}

/** Pixels that are nobody's picture: soft bands of colour with grain. */
export function testPixels(width: number, height: number, seed = 1): { data: Buffer; raw: sharp.CreateRaw } {
  const data = Buffer.alloc(width * height * 3);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let c = 0; c < 3; c++, i++) {
        data[i] =
          128 +
          90 * Math.sin((x * (c + 1)) / 23 + seed) * Math.cos(y / (17 + 4 * c) + seed) +
          ((x * 31 + y * 17 + seed * 7) % 13);
      }
  return { data, raw: { width, height, channels: 3 } };
}

export const testPng = (width = 120, height = 80, seed = 1): Promise<Buffer> => {
  const { data, raw } = testPixels(width, height, seed);
  return sharp(data, { raw }).png().toBuffer();
};

export async function bringIn(studio: TestStudio, seed = 1, fields: { kind?: string } = {}): Promise<ReferenceDto> {
  const call = studio.ask
    .post('/api/v1/references')
    .attach('file', await testPng(120, 80, seed), `picture-${seed}.png`);
  if (fields.kind) call.field('kind', fields.kind);
  const { body } = await call.expect(201);
  return (body as { reference: ReferenceDto }).reference;
}

/** All references of a studio that are not put away, newest first. */
export async function allReferences(studio: TestStudio, query = ''): Promise<ReferenceDto[]> {
  const found = (await studio.ask.get(`/api/v1/references/search${query}`).expect(200)).body as SearchDto;
  if (!found.ids.length) return [];
  return (await studio.ask.get(`/api/v1/references?ids=${found.ids.slice(0, 200).join(',')}`).expect(200))
    .body as ReferenceDto[];
}

export async function newMix(studio: TestStudio, reference: ReferenceDto, weight = 1): Promise<MixDto> {
  const influences = [
    { id: 'a', referenceId: reference.id, gives: 'look', weight, from: 0, to: 1, reading: 'normal', on: true },
  ];
  const { body } = await studio.ask
    .post('/api/v1/mixes')
    .send({ name: 'Test', prompt: 'Ilse in the harbour at noon', influences })
    .expect(201);
  return body as MixDto;
}
