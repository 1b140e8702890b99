import type { SeenKind } from '@urbild/core';
import type { DrawnBy } from '../drawnBy';
import type { StickFigure } from '../lines/stickFigures';
import type { AreaForm } from './forms';

/** What an area was taken for, and by what. */
export interface NamedSeen {
  readonly kind: SeenKind;
  /** The rule that decided, in plain words. */
  readonly why: string;
}

/** What the rules go by. */
export interface NamingGrounds {
  readonly forms: readonly (AreaForm | undefined)[];
  readonly drawnBy: DrawnBy;
  readonly figures: readonly StickFigure[];
  /** Without colours of its own. */
  readonly grey: boolean;
  /** The row about which the picture mirrors itself, and how much (-1..1): still water. */
  readonly mirror?: { readonly row: number; readonly likeness: number };
  readonly w: number;
  readonly h: number;
}

/** Areas while they are named: who is named first keeps the name. */
export class Naming {
  readonly named = new Map<number, NamedSeen>();
  readonly all: readonly (readonly [number, AreaForm])[];

  constructor(readonly grounds: NamingGrounds) {
    this.all = grounds.forms.flatMap((form, k) => (form ? [[k, form] as const] : []));
  }

  kindOf(k: number): SeenKind | undefined {
    return this.named.get(k)?.kind;
  }

  name(k: number, kind: SeenKind, why: string): void {
    if (!this.named.has(k)) this.named.set(k, { kind, why });
  }

  rename(k: number, kind: SeenKind, why: string): void {
    this.named.set(k, { kind, why });
  }

  /** Areas that have no name yet. */
  unnamed(): readonly (readonly [number, AreaForm])[] {
    return this.all.filter(([k]) => !this.named.has(k));
  }

  form(k: number): AreaForm | undefined {
    return this.grounds.forms[k];
  }
}
