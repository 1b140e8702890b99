import { hexOf, labOfHex, type LayoutMap } from '@urbild/core';
import type { Corrections } from '../reference.entity';
import type { CorrectDto, CorrectionsDto, LayoutMapDto } from './preparation.dto';

/** What was set right by hand, in the form in which it can be sent back: where nothing was, what would go back to what was read. */
export const correctionsDtoOf = ({
  faces,
  joints,
  horizon,
  swatches,
  layout,
  areas,
  matte,
}: Corrections): CorrectionsDto => ({
  faces: (faces ?? []).map((f) => ({ ...f, box: { ...f.box } })),
  joints: (joints ?? []).map((j) => ({ ...j })),
  horizon: horizon ?? -1,
  swatches: (swatches ?? []).map((s) => ({ colour: hexOf(s.lab), weight: s.weight })),
  layout: layoutDtoOf(layout),
  areas: (areas ?? []).map((a) => ({ ...a })),
  matte: matte ?? '',
});

/** Corrections after a wish: what it does not name stays. */
export function corrected(before: Corrections, wish: Omit<CorrectDto, 'version'>): Corrections {
  const { faces, joints, horizon, swatches, layout, areas, matte } = wish;
  const next: { -readonly [K in keyof Corrections]: Corrections[K] } = { ...before };
  if (faces) next.faces = faces.length ? faces.map((f) => ({ ...f, box: { ...f.box }, byHand: true })) : undefined;
  if (joints) next.joints = joints.length ? joints.map((j) => ({ ...j })) : undefined;
  if (horizon !== undefined) next.horizon = horizon < 0 ? undefined : horizon;
  if (swatches)
    next.swatches = swatches.length ? swatches.map((s) => ({ lab: labOfHex(s.colour), weight: s.weight })) : undefined;
  if (layout) next.layout = mapOf(layout);
  if (areas) next.areas = areas.length ? areas.map(({ x, y, is }) => ({ x, y, is })) : undefined;
  if (matte !== undefined) next.matte = matte || undefined;
  // as it is kept: without what is undefined
  return JSON.parse(JSON.stringify(next)) as Corrections;
}

/** A layout as it is kept; a picture is nothing special. */
function mapOf({ read, areas, near }: LayoutMapDto): LayoutMap | undefined {
  if (read === 'areas') return { read, areas: areas!.map(({ colour, is }) => ({ colour, is })) };
  return read === 'distance' ? { read, near: near! } : undefined;
}

/** How a layout is read, as it leaves the server. */
export const layoutDtoOf = (map: LayoutMap | undefined): LayoutMapDto =>
  map ? (JSON.parse(JSON.stringify(map)) as LayoutMapDto) : { read: 'picture' };
