import {
  AREA_KINDS,
  JOINTS,
  MAX_AREAS,
  type LayoutMap,
  type JointName,
  type Joints,
  CHOICE_TRAITS,
  COLOUR_TRAITS,
  NUMBER_TRAITS,
  type Lab,
  type Trait,
  type TraitName,
  type TraitSheet,
} from '@urbild/core';
import { asObject, number, oneOf, RequestError, text } from './requestFields';
import type { FaceFrame } from './traits/frame';

function point(json: unknown, at: string): [number, number] {
  const inside = (v: unknown): v is number => typeof v === 'number' && v >= -1 && v <= 2;
  if (!Array.isArray(json) || json.length !== 2 || !inside(json[0]) || !inside(json[1]))
    throw new RequestError(`${at}: two parts of width and height, each from -1 to 2`);
  return [json[0], json[1]];
}

/** The frame of a face. Throws {@link RequestError}. */
export function readFace(json: unknown, at: string): FaceFrame {
  const o = asObject(json, at);
  return {
    eyes: point(o.eyes, `${at}.eyes`),
    chin: point(o.chin, `${at}.chin`),
    yaw: number(o, 'yaw', -180, 180, 0, at),
  };
}

/** Joints by name; unknown names are an error. Throws {@link RequestError}. */
export function readJoints(json: unknown, at: string): Joints {
  const out: Partial<Record<JointName, [number, number]>> = {};
  for (const [name, value] of Object.entries(asObject(json, at))) {
    if (!(JOINTS as readonly string[]).includes(name)) throw new RequestError(`${at}: no joint "${name.slice(0, 40)}"`);
    out[name as JointName] = point(value, `${at}.${name}`);
  }
  return out;
}

/** How a layout is to be read as a map. Throws {@link RequestError}. */
export function readLayoutMap(json: unknown, at: string): LayoutMap {
  const o = asObject(json, at);
  const read = oneOf(o, 'read', ['areas', 'distance'] as const, 'areas', at);
  if (read === 'distance') return { read, near: oneOf(o, 'near', ['light', 'dark'] as const, 'light', at) };
  const { areas } = o;
  if (!Array.isArray(areas) || !areas.length || areas.length > MAX_AREAS)
    throw new RequestError(`${at}.areas: a list of 1 to ${MAX_AREAS} colours`);
  return {
    read,
    areas: areas.map((one, k) => {
      const here = `${at}.areas[${k}]`;
      const area = asObject(one, here);
      const colour = text(area, 'colour', undefined, here);
      if (!/^#[0-9a-f]{6}$/.test(colour))
        throw new RequestError(`${here}.colour: a colour as #rrggbb, in small letters`);
      if (area.is === undefined) throw new RequestError(`${here}.is: one of ${AREA_KINDS.join(', ')}`);
      return { colour, is: oneOf(area, 'is', AREA_KINDS, 'ground', here) };
    }),
  };
}

const isIn = (list: readonly string[], name: string) => list.includes(name);

/** A trait sheet. Throws {@link RequestError}. */
export function readTraitSheet(json: unknown, at: string): TraitSheet {
  const out: Partial<Record<TraitName, Trait>> = {};
  for (const [name, value] of Object.entries(asObject(json, at))) {
    const here = `${at}.${name.slice(0, 40)}`;
    const o = asObject(value, here);
    const confidence = number(o, 'confidence', 0, 1, 1, here);
    if (isIn(COLOUR_TRAITS, name)) {
      const lab = o.colour;
      if (!Array.isArray(lab) || lab.length !== 3 || !lab.every((v) => typeof v === 'number' && Math.abs(v) <= 1))
        throw new RequestError(`${here}.colour: three numbers, L from 0 to 1, a and b from -1 to 1`);
      out[name as TraitName] = { colour: lab as unknown as Lab, confidence };
    } else if (isIn(NUMBER_TRAITS, name))
      out[name as TraitName] = { number: number(o, 'number', 0, 4, 1, here), confidence };
    else if (isIn(CHOICE_TRAITS, name))
      out[name as TraitName] = { choice: text(o, 'choice', undefined, here), confidence };
    else throw new RequestError(`${at}: no trait "${name.slice(0, 40)}"`);
  }
  return out;
}
