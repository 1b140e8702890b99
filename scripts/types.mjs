// Checks the types of every workspace, tests included. What several of them import is read once, and checked in its own workspace.
import path from 'node:path';
import process from 'node:process';
import ts from 'typescript';

const projects = [
  'packages/core',
  'packages/engine',
  'packages/engine-tools',
  'packages/api',
  'apps/server',
  'apps/web',
  'e2e',
  'bench',
];
const sources = new Map();
const format = {
  getCanonicalFileName: (f) => f,
  getCurrentDirectory: () => process.cwd(),
  getNewLine: () => '\n',
};

/** Options that say where a project lies and what it sees, not how its files are understood. */
const PLACES = ['configFilePath', 'pathsBasePath', 'baseUrl', 'rootDir', 'outDir', 'types', 'typeRoots', 'lib'];

/** A host that reads each file once for all projects that understand it in the same way. */
function hostFor(options) {
  const understood = JSON.stringify(Object.entries(options).filter(([name]) => !PLACES.includes(name)));
  const host = ts.createCompilerHost(options, true);
  const read = host.getSourceFile.bind(host);
  host.getSourceFile = (file, how, ...rest) => {
    const key = [file, how.impliedNodeFormat, understood].join(' ');
    if (!sources.has(key)) sources.set(key, read(file, how, ...rest));
    return sources.get(key);
  };
  return host;
}

/** The errors of one project: of its settings, and of the files in its own folder. */
function errorsOf(project) {
  const file = path.resolve(project, 'tsconfig.json');
  const config = ts.getParsedCommandLineOfConfigFile(
    file,
    { noEmit: true },
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: (d) => {
        throw new Error(ts.formatDiagnostic(d, format));
      },
    },
  );
  const program = ts.createProgram({
    rootNames: config.fileNames,
    options: config.options,
    host: hostFor(config.options),
  });
  const own = path.resolve(project) + path.sep;
  return [
    ...config.errors,
    ...program.getOptionsDiagnostics(),
    ...program.getGlobalDiagnostics(),
    ...program
      .getSourceFiles()
      .filter((f) => path.resolve(f.fileName).startsWith(own))
      .flatMap((f) => [...program.getSyntacticDiagnostics(f), ...program.getSemanticDiagnostics(f)]),
  ];
}

let failed = false;
for (const project of projects) {
  const errors = errorsOf(project);
  if (!errors.length) continue;
  failed = true;
  console.error(ts.formatDiagnosticsWithColorAndContext(errors, format));
  console.error(`types: ${project} has errors`);
}
process.exit(failed ? 1 : 0);
