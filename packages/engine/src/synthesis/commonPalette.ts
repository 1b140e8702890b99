import {
  applyColourTable,
  blendColourTables,
  learnColourTable,
  levelOf,
  transportColours,
  type ColourTable,
  type Picture,
} from '@urbild/core';
import { LeastRecentlyUsed } from './cache';
import { amountOf, cloudOf, mixName } from './palette';
import type { PaletteShare } from './paletteShare';
import type { PreparedReference } from './reference';
import { isWhole } from './whole';

/** A reference recoloured to the palette that the picture has, and what is needed of it. */
export type RecolouredReference = Pick<PreparedReference, 'picture' | 'areas'>;

const tables = new LeastRecentlyUsed<ColourTable>(32);
/** Moving weights make many of them: only those of drafts and proofs are kept. */
const recoloured = new LeastRecentlyUsed<RecolouredReference>(16, {
  costOf: ({ picture: { width, height } }) => width * height,
  most: 1.5e6,
});

/**
 * Brings `reference` into the common palette of several references and of the stage, so that patches of all of them fit
 * beside each other: as far between the stage's palette and the references' as these rule the colours. Kept by content,
 * shares and size.
 */
export function toCommonPalette(
  reference: PreparedReference,
  palette: readonly PaletteShare[],
  stage: Picture,
  stageKey: string,
): RecolouredReference {
  const amount = amountOf(palette);
  const whole = isWhole(amount);
  const key = [reference.key, mixName(palette), whole ? '' : `${amount.toFixed(6)}/${stageKey}`].join('>');
  return recoloured.get(key, () => {
    const towards = (name: string, targets: () => readonly Picture[], weights: readonly number[]) =>
      tables.get(`${reference.key}>${name}`, () => {
        const small = levelOf(reference.picture, 96);
        return learnColourTable(small, transportColours(small, targets(), weights, { dither: 0, seed: 5 }));
      });
    const none = () => towards(stageKey, () => [cloudOf(stage, stageKey)], [1]);
    const all = () =>
      towards(
        mixName(palette),
        () => palette.map((p) => levelOf(p.reference.picture, 96)),
        palette.map((p) => p.share),
      );
    const table = whole ? all() : amount > 0 ? blendColourTables(none(), all(), amount) : none();
    const picture = applyColourTable(reference.picture, table);
    return {
      picture,
      areas: reference.areas === reference.picture ? picture : applyColourTable(reference.areas, table),
    };
  });
}
