// Says what the rules of arrows find in texts: JSON [{ file, code }] on standard input, [[message]] on standard output.
import { ESLint } from 'eslint';
import path from 'node:path';
import { text } from 'node:stream/consumers';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const eslint = new ESLint({ cwd: root });
const out = [];
for (const { file, code } of JSON.parse(await text(process.stdin))) {
  const [{ messages }] = await eslint.lintText(`${code}\n`, { filePath: path.join(root, file) });
  out.push(messages.filter((m) => m.ruleId?.startsWith('no-restricted-')).map((m) => m.message));
}
process.stdout.write(JSON.stringify(out));
