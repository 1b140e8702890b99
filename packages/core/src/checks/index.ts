import { findPlainBackground, isPlain } from '../mask/plainBackground';
import type { Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';
import { splitCollage } from './collage';
import { areaOf, mainFace, viewOf, type FoundFace } from './faces';
import { sharpnessAt, trueResolution } from './sharpness';
import { writingIn } from './text';
import { toneOf } from './tone';

/** What can be wrong with a reference. */
export const CHECK_IDS = [
  'too small',
  'fake resolution',
  'blurred',
  'face cut off',
  'face covered',
  'face turned away',
  'face too small',
  'transparency',
  'plain background',
  'collage',
  'text',
  'too dark',
  'burnt',
  'flat',
  'near double',
] as const;
export type CheckId = (typeof CHECK_IDS)[number];

/** A fix that can be applied with one click. */
export type CheckFix = 'sharpen' | 'focus face' | 'cut out' | 'flatten' | 'split' | 'show double';

/** One finding about a reference. */
export interface Check {
  readonly id: CheckId;
  /** serious: it misleads the engine; warning: it may; note: good to know. */
  readonly severity: 'serious' | 'warning' | 'note';
  /** What is wrong and what it does to a picture, for a person. */
  readonly reason: string;
  readonly fix?: CheckFix;
}

/** What the checks look at. */
export interface CheckedPicture {
  /** At most 640 px on its longer side, alpha laid over white. */
  readonly picture: Picture;
  /** Size of the file in px. */
  readonly width: number;
  readonly height: number;
  readonly kind: 'style' | 'character' | 'face' | 'image';
  /** Part of the pixels that let something through, 0..1. */
  readonly transparent: number;
  /** Absent when nobody has looked for faces. */
  readonly faces?: readonly FoundFace[];
  /** Title of a picture that is nearly the same. */
  readonly double?: string;
}

const percent = (part: number): string => `${Math.round(part * 100)} %`;

/** All checks of a reference, gravest first. */
export function checkReference(about: CheckedPicture): Check[] {
  const found: Check[] = [...checkSize(about), ...checkSurface(about), ...checkFaces(about)];
  const { double, transparent } = about;
  if (transparent > 0.02)
    found.push({
      id: 'transparency',
      severity: 'warning',
      reason: `${percent(transparent)} of it is transparent. The engine would read what lies under the transparency; laid over white it reads what you see.`,
      fix: 'flatten',
    });
  if (double !== undefined)
    found.push({
      id: 'near double',
      severity: 'note',
      reason: `Nearly the same as “${double}”: used together they count twice.`,
      fix: 'show double',
    });
  const rank = { serious: 0, warning: 1, note: 2 };
  return found.sort((a, b) => rank[a.severity] - rank[b.severity]);
}

function checkSize({ width, height, picture, kind }: CheckedPicture): Check[] {
  const short = Math.min(width, height);
  const out: Check[] = [];
  if (short < 256)
    out.push({
      id: 'too small',
      severity: short < 128 ? 'serious' : 'warning',
      reason: `${width} x ${height} px: there is no detail to carry over. ${kind === 'image' ? 'An' : 'A'} ${kind} should have at least 512 px on its shorter side.`,
    });
  else if (trueResolution(picture) < 0.5 && Math.max(width, height) >= 480)
    out.push({
      id: 'fake resolution',
      severity: 'warning',
      reason:
        'It was enlarged from a much smaller picture; its surface would be carried over as smooth. Find the original.',
    });
  return out;
}

function checkSurface({ picture, kind, transparent, width, height }: CheckedPicture): Check[] {
  const out: Check[] = [];
  const add = (id: CheckId, severity: Check['severity'], reason: string, fix?: CheckFix) =>
    out.push(fix ? { id, severity, reason, fix } : { id, severity, reason });
  const tone = toneOf(picture);
  const range = tone.p95 - tone.p5;
  if (range >= 18) {
    const sharp = sharpnessAt(picture, 256);
    const fine = Math.max(width, height) >= 512 ? sharpnessAt(picture, 512) : Infinity;
    if (sharp < 0.01 || fine < 0.0022)
      add(
        'blurred',
        'serious',
        'It is blurred: its strokes cannot be seen, and what the engine takes from it will be soft.',
        'sharpen',
      );
    else if (sharp < 0.024 && fine < 0.01)
      add(
        'blurred',
        'warning',
        'It is a little soft. A touch of sharpening helps the engine to see its strokes.',
        'sharpen',
      );
  }
  if (tone.p95 < 105) add('too dark', 'warning', 'It is very dark: most of what it could give lies in black.');
  else if (tone.black > 0.35 && kind !== 'style')
    add('too dark', 'warning', `${percent(tone.black)} of it is pure black.`);
  if (tone.white > 0.1 && transparent < 0.02 && !isWhiteGround(picture, tone.white))
    add('burnt', 'warning', `${percent(tone.white)} of it is burnt out to pure white, without any drawing left.`);
  if (range < 48) add('flat', 'warning', 'It has hardly any contrast: light and dark lie close together.');
  const background = findPlainBackground(picture);
  if (isPlain(background))
    add(
      'plain background',
      kind === 'style' ? 'note' : 'warning',
      `${percent(background.share)} of it is plain background, which leaks into pictures. Cut the subject out.`,
      'cut out',
    );
  const parts = splitCollage(picture);
  if (parts.length > 1)
    add(
      'collage',
      'serious',
      `It holds ${parts.length} pictures at once; they would be mixed. Split it into single references.`,
      'split',
    );
  const letters = writingIn(picture);
  if (letters >= 6)
    add('text', 'warning', 'There seems to be writing in it; letters come out as scribble. Set the focus beside it.');
  return out;
}

/** White that belongs to the ground of a drawing is paper, not burnt light. */
function isWhiteGround(picture: Picture, white: number): boolean {
  const b = findPlainBackground(picture);
  if (!isPlain(b) || b.share < white * 0.7) return false;
  const small = levelOf(picture, Math.max(b.width, b.height));
  let sum = 0;
  let n = 0;
  for (let i = 0; i < b.mask.length; i++)
    if (b.mask[i]) {
      sum += small.planes[0][i];
      n++;
    }
  return n > 0 && sum / n > 0.94;
}

/** From this width on the features of a face can be read, px; of somebody whole hair and skin are enough. */
const READABLE = 160;
const WHOLE = 64;
/** Below, nothing of a face can be read, px. */
const ILLEGIBLE = 32;

function checkFaces({ faces, kind, width, height }: CheckedPicture): Check[] {
  if (!faces || (kind !== 'face' && kind !== 'character')) return [];
  const face = mainFace(faces);
  if (!face)
    return kind === 'face'
      ? [
          {
            id: 'face turned away',
            severity: 'warning',
            reason:
              'No face was found: it is turned away, covered, or drawn too freely. Draw a box around it if there is one.',
            fix: 'focus face',
          },
        ]
      : [];
  const out: Check[] = [];
  const side = Math.min((face.box.right - face.box.left) * width, (face.box.bottom - face.box.top) * height);
  if ((face.outside ?? 0) > 0.05)
    out.push({
      id: 'face cut off',
      severity: 'serious',
      reason: `${percent(face.outside!)} of the face lies outside the picture; a cut face teaches a cut face.`,
    });
  if ((face.covered ?? 0) > 0.3)
    out.push({ id: 'face covered', severity: 'warning', reason: 'Something covers a part of the face.' });
  if (side < (kind === 'face' ? READABLE : WHOLE))
    out.push({
      id: 'face too small',
      severity: side < ILLEGIBLE ? 'serious' : 'warning',
      reason: `The face is ${Math.round(side)} px wide; from 160 px on its features can be read.`,
      ...(areaOf(face.box) < 0.2 ? { fix: 'focus face' as const } : {}),
    });
  if (face.yaw !== undefined && viewOf(face.yaw) === 'profile')
    out.push({
      id: 'face turned away',
      severity: 'warning',
      reason: 'The face is turned to the side: half of it cannot be seen. Add a picture from the front.',
    });
  return out;
}

/** The gravest severity among checks; 'fine' when there is none above a note. */
export const checkStateOf = (checks: readonly Check[]): 'fine' | 'warning' | 'serious' =>
  checks.some((c) => c.severity === 'serious')
    ? 'serious'
    : checks.some((c) => c.severity === 'warning')
      ? 'warning'
      : 'fine';
