import path from 'path';

const extension = path.extname(__filename);

/** Options of a Piscina pool for a worker file without its ending: from sources, threads need the loader of the process. */
export const workerOptions = (file: string): { filename: string; execArgv?: string[] } => ({
  filename: file + extension,
  execArgv: extension === '.ts' ? ['--conditions=source', '-r', '@swc-node/register'] : undefined,
});
