import { Injectable } from '@nestjs/common';
import { BlobStore } from '../../platform/blobs/blobStore';
import { WorkersService } from '../../platform/workers/workers.service';
import { fileName, type MadeFile } from '../sendMade';
import { SequencesService } from './sequences.service';
import { SEQUENCE_EXPORT } from '../series.tasks';

/** The forms in which a sequence can be handed over. */
export const SEQUENCE_FORMS = ['apng', 'webp', 'zip'] as const;
export type SequenceForm = (typeof SEQUENCE_FORMS)[number];

const TYPES: Readonly<Record<SequenceForm, readonly [type: string, ending: string]>> = {
  apng: ['image/apng', 'png'],
  webp: ['image/webp', 'webp'],
  zip: ['application/zip', 'zip'],
};

/** Hands sequences over as moving pictures or as their single frames. */
@Injectable()
export class SequenceExportService {
  constructor(
    private readonly sequences: SequencesService,
    private readonly blobs: BlobStore,
    private readonly workers: WorkersService,
  ) {}

  /** `rate` in frames a second. */
  async make(id: string, form: SequenceForm, rate: number): Promise<MadeFile> {
    const { name, files } = await this.sequences.files(id);
    const to = this.blobs.temporaryPath();
    await this.workers.run(SEQUENCE_EXPORT, { form, to, files, rate });
    const [type, ending] = TYPES[form];
    return { name: `${fileName(name)}.${ending}`, type, file: to };
  }
}
