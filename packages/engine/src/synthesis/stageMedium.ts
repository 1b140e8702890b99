import { MEDIA, type Medium } from '@urbild/core';
import { paletteFor, type MediumPalette } from '../painter/media';
import { inksOf, measured, type SurfaceShare } from './inks';

/** The medium of the painter that a look is drawn in before its own patches are laid over it. */
export interface StageMedium {
  readonly medium: Medium;
  readonly palette: MediumPalette;
  /** Printed in flat inks of the look: its colours are the look's already. */
  readonly inked: boolean;
}

/** Media of two or three inks on paper; all others are in full colour. */
const TWO_TONE: readonly Medium[] = ['charcoal', 'pencil', 'cyanotype'];
const THREE_TONE: readonly Medium[] = ['screen print', 'linocut'];

/** How much of the manner a medium must have to draw the stage. */
const SURE = 0.3;
/** Mean OKLab distance of a look's colours to the mixtures of its inks below which those inks carry it. */
const CARRIED = 0.05;
/** Thin structure, in mean lightness, that the marks of any medium leave; and that the lead of glass leaves. */
const MARKED = 0.011;
const LEADED = 0.05;
/** Coherence of gradients above which a grained look is one of strokes. */
const STROKED = 0.5;

/**
 * The medium that the stage of these looks is drawn in: the one that their manner speaks for most, as long as its inks can
 * carry their colours. Undefined when none is near: the stage stays gouache.
 */
export function stageMediumFor(looks: readonly SurfaceShare[]): StageMedium | undefined {
  const total = looks.reduce((s, l) => s + l.share, 0);
  if (total <= 0) return undefined;
  const marks = looks.reduce(
    (s, { reference: { ridges }, share }) => s + (share / total) * Math.max(ridges.dark, ridges.light),
    0,
  );
  const lead = looks.reduce((s, l) => s + (l.share / total) * l.reference.ridges.dark, 0);
  // smooth photographs and gradients bear no marks of any hand
  if (marks < MARKED) return undefined;
  const inks = inksOf(looks);
  const scores = MEDIA.map((medium, k) => ({
    medium,
    score: looks.reduce((s, l) => s + (l.share / total) * (l.reference.manner[k] ?? 0) ** 2, 0),
  }))
    .filter(({ medium }) =>
      TWO_TONE.includes(medium)
        ? inks.offTwo < CARRIED
        : THREE_TONE.includes(medium)
          ? inks.offThree < CARRIED
          : medium !== 'gouache' && (medium !== 'stained glass' || lead > LEADED),
    )
    .sort((a, b) => b.score - a.score);
  const best = scores[0];
  if (!best || best.score < SURE) return undefined;
  const inked = THREE_TONE.includes(best.medium);
  const stroked = inked && measured(looks[0].reference).stroked() > STROKED;
  const medium = stroked ? 'linocut' : best.medium;
  if (!inked && !TWO_TONE.includes(medium)) return { medium, palette: { ...paletteFor(medium), bleed: true }, inked };
  const { paper, middle, key, parts } = inks;
  return { medium, palette: { paper, middle, key, parts: inked ? parts : undefined, bleed: true }, inked };
}
