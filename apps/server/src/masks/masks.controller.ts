import { Controller, Post, UploadedFile, UseInterceptors } from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiCreatedResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { rm } from 'fs/promises';
import { blobUrl } from '../platform/blobs/blobUrl';
import { BlobStore } from '../platform/blobs/blobStore';
import { Problem } from '../platform/problems/problem';
import { TaskFailed } from '../platform/workers/task';
import { MASK } from './masks.tasks';
import { WorkersService } from '../platform/workers/workers.service';
import { May } from '../platform/access/may';

/** A mask as it is kept. */
export class MaskDto {
  @ApiProperty({ description: 'its hash, by which mixes name it' }) content!: string;
  @ApiProperty() url!: string;
  @ApiProperty({ description: 'part of the picture that is white, 0..1' }) covers!: number;
}

/** Painted masks: where something acts. */
@ApiTags('masks')
@Controller('masks')
export class MasksController {
  constructor(
    private readonly workers: WorkersService,
    private readonly blobs: BlobStore,
  ) {}

  /** Hands over a mask: a grey picture, white where something acts; what is transparent counts as black. */
  @May('edit')
  @Post()
  @UseInterceptors(FileInterceptor('file'))
  @ApiConsumes('multipart/form-data')
  @ApiBody({
    schema: { type: 'object', required: ['file'], properties: { file: { type: 'string', format: 'binary' } } },
  })
  @ApiCreatedResponse({ type: MaskDto })
  async take(@UploadedFile() file: Express.Multer.File | undefined): Promise<MaskDto> {
    if (!file) throw Problem.invalid([{ field: 'file', message: 'file: a picture file is expected' }]);
    try {
      const { png, covers } = await this.workers.run(MASK, { file: file.path });
      const content = await this.blobs.put(png);
      return { content, url: blobUrl(content), covers };
    } catch (error) {
      if (error instanceof TaskFailed)
        throw error.failure === 'too-large' ? Problem.tooLarge(error.message) : Problem.unreadable(error.message);
      throw error;
    } finally {
      await rm(file.path, { force: true });
    }
  }
}
