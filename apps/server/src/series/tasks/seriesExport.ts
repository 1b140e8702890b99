import { writeFile } from 'fs/promises';
import { contactPdf } from './contactPdf';
import { contactPng } from './contactPng';
import type { SheetPicture, SheetText } from './contactSheet';
import { zipTo } from './zip';

/** Writes the pictures of a series into one file. */
export interface SeriesExportTask {
  readonly form: 'zip' | 'pdf' | 'png';
  readonly to: string;
  readonly pictures: readonly SheetPicture[];
  readonly text: SheetText;
  /** Further files of an archive, as text. */
  readonly files: Readonly<Record<string, string>>;
}

/** Does a {@link SeriesExportTask}. */
export async function seriesExport(task: SeriesExportTask): Promise<{ done: true }> {
  if (task.form === 'zip')
    await zipTo(task.to, [
      ...task.pictures.map(({ file, name }) => ({ file, name })),
      ...Object.entries(task.files).map(([name, text]) => ({ name, text })),
    ]);
  else if (task.form === 'pdf') await writeFile(task.to, await contactPdf(task.pictures, task.text));
  else await writeFile(task.to, await contactPng(task.pictures, task.text));
  return { done: true };
}
