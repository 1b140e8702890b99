// the font reader was built for it, and does without only for scripts without shaping
import 'regenerator-runtime/runtime';
import fontkit from '@pdf-lib/fontkit';
import { readFile } from 'fs/promises';
import path from 'path';
import type { PDFDocument, PDFFont, PDFPage, RGB } from 'pdf-lib';

/** The fonts by weight, the first that has a letter counts: our own for Latin, then others for Greek, Cyrillic, Vietnamese and Devanagari. */
const FACES = [
  ['@fontsource/instrument-sans', 'instrument-sans-latin'],
  ['@fontsource/instrument-sans', 'instrument-sans-latin-ext'],
  ['@fontsource/noto-sans', 'noto-sans-latin'],
  ['@fontsource/noto-sans', 'noto-sans-latin-ext'],
  ['@fontsource/noto-sans', 'noto-sans-cyrillic'],
  ['@fontsource/noto-sans', 'noto-sans-cyrillic-ext'],
  ['@fontsource/noto-sans', 'noto-sans-greek'],
  ['@fontsource/noto-sans', 'noto-sans-greek-ext'],
  ['@fontsource/noto-sans', 'noto-sans-vietnamese'],
  ['@fontsource/noto-sans', 'noto-sans-devanagari'],
] as const;
const WEIGHTS = { plain: 400, bold: 600 } as const;
export type FontWeight = keyof typeof WEIGHTS;

/** What a letter that no font has becomes. */
const UNKNOWN = '?';

/** How a line is written; lengths in points. */
export interface Line {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly weight?: FontWeight;
  readonly colour: RGB;
  /** What does not fit is cut off, with an ellipsis. */
  readonly width?: number;
}

interface Face {
  readonly font: PDFFont;
  readonly has: ReadonlySet<number>;
}

/** Letters of one font in a row. */
interface Run {
  readonly font: PDFFont;
  text: string;
}

/** Writes text of several scripts into a PDF. Only fonts of which something is written, and of those the letters used, become part of it. */
export class PdfText {
  private readonly faces = new Map<string, Promise<Face>>();

  constructor(private readonly doc: PDFDocument) {
    doc.registerFontkit(fontkit);
  }

  /** The text in runs of one font each; letters that no font has become a question mark. */
  async runs(text: string, weight: FontWeight = 'plain'): Promise<readonly Run[]> {
    const runs: Run[] = [];
    for (const letter of text.replace(/\s/g, ' ')) {
      const known = await this.faceFor(letter.codePointAt(0)!, weight);
      const { font } = known ?? (await this.face(0, weight));
      const last = runs.at(-1);
      const shown = known ? letter : UNKNOWN;
      if (last?.font === font) last.text += shown;
      else runs.push({ font, text: shown });
    }
    return runs;
  }

  /** Width of a text in points. */
  async width(text: string, size: number, weight: FontWeight = 'plain'): Promise<number> {
    return (await this.runs(text, weight)).reduce((sum, r) => sum + r.font.widthOfTextAtSize(r.text, size), 0);
  }

  /** Writes one line. */
  async write(page: PDFPage, text: string, { x, y, size, weight = 'plain', colour, width }: Line): Promise<void> {
    const shown = width === undefined ? text : await this.cut(text, size, width, weight);
    let at = x;
    for (const { font, text: part } of await this.runs(shown, weight)) {
      page.drawText(part, { x: at, y, size, font, color: colour });
      at += font.widthOfTextAtSize(part, size);
    }
  }

  private async cut(text: string, size: number, width: number, weight: FontWeight): Promise<string> {
    if ((await this.width(text, size, weight)) <= width) return text;
    const letters = [...text];
    let [fits, tooMany] = [0, letters.length];
    while (tooMany - fits > 1) {
      const n = (fits + tooMany) >> 1;
      if ((await this.width(`${letters.slice(0, n).join('')}…`, size, weight)) <= width) fits = n;
      else tooMany = n;
    }
    return `${letters.slice(0, fits).join('').trimEnd()}…`;
  }

  private async faceFor(code: number, weight: FontWeight): Promise<Face | undefined> {
    for (let k = 0; k < FACES.length; k++) {
      const face = await this.face(k, weight);
      if (face.has.has(code)) return face;
    }
    return undefined;
  }

  private face(k: number, weight: FontWeight): Promise<Face> {
    const [name, file] = FACES[k];
    const key = `${file}-${WEIGHTS[weight]}-normal.woff`;
    let face = this.faces.get(key);
    if (!face) this.faces.set(key, (face = this.embed(name, key)));
    return face;
  }

  private async embed(name: string, file: string): Promise<Face> {
    const folder = path.dirname(require.resolve(`${name}/package.json`));
    const font = await this.doc.embedFont(await readFile(path.join(folder, 'files', file)), { subset: true });
    return { font, has: new Set(font.getCharacterSet()) };
  }
}
