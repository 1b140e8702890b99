import { MikroORM } from '@mikro-orm/core';
import { Controller, Get, Param, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { Response } from 'express';
import { pipeline } from 'stream/promises';
import { Problem } from '../problems/problem';
import { BlobStore } from './blobStore';
import { May } from '../access/may';
import { reachNow } from '../access/asker';
import { isShownTo } from './shownBlobs';

/** The picture formats that the store hands out, by their first bytes. */
function mediaType(head: Buffer): string {
  if (head.subarray(0, 4).toString('latin1') === '\x89PNG') return 'image/png';
  if (head.subarray(8, 12).toString('latin1') === 'WEBP') return 'image/webp';
  if (head[0] === 0xff && head[1] === 0xd8) return 'image/jpeg';
  return 'application/octet-stream';
}

/** Blobs by hash: they never change, so they may be kept for ever. */
@ApiExcludeController()
@Controller('blobs')
export class BlobsController {
  constructor(
    private readonly blobs: BlobStore,
    private readonly orm: MikroORM,
  ) {}

  @May('see')
  @Get(':hash')
  async get(@Param('hash') hash: string, @Res() response: Response): Promise<void> {
    if (!(await this.isShown(hash))) throw Problem.notFound('This picture');
    const file = await this.blobs.open(hash);
    if (!file) throw Problem.notFound('This picture');
    try {
      const { size } = await file.stat();
      const head = Buffer.alloc(16);
      await file.read(head, 0, 16, 0);
      response.set({
        'Content-Type': mediaType(head),
        'Content-Length': String(size),
        'Cache-Control': 'private, max-age=31536000, immutable',
        'Content-Security-Policy': "default-src 'none'; sandbox",
        'X-Content-Type-Options': 'nosniff',
      });
      await pipeline(file.createReadStream({ start: 0, autoClose: false }), response);
    } catch (error) {
      // whoever asked has gone: there is nobody to answer
      if (!response.destroyed) throw error;
    } finally {
      await file.close();
    }
  }

  /** False for a picture that is only in projects of which whoever asks may not know. */
  private async isShown(hash: string): Promise<boolean> {
    const { hidden } = reachNow();
    return !hidden.length || isShownTo(this.orm, hidden, hash);
  }
}
