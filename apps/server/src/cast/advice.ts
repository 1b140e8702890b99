/** What advice about a character rests on. */
export interface SheetFacts {
  readonly pictures: readonly {
    readonly title: string;
    readonly slot?: string;
    /** Part of the picture that the face takes, 0..1; absent when no face was found. */
    readonly face?: number;
    readonly view?: 'front' | 'three-quarter' | 'profile';
  }[];
  /** 0..1 */
  readonly agreement: number;
  readonly odd?: string;
  readonly person: boolean;
}

/** What to do about a model sheet, most important first; one sentence each. */
export function adviceFor({ pictures, agreement, odd, person }: SheetFacts): string[] {
  const out: string[] = [];
  if (!pictures.length) return ['Add a picture: a half figure from the front is the best beginning.'];
  if (odd) out.push(`“${odd}” does not agree with the others. Is it the same character?`);
  else if (agreement < 0.45 && pictures.length > 1)
    out.push('The pictures hardly agree; traits are taken by majority. Correct what matters by hand.');
  if (person) {
    const faces = pictures.filter((p) => p.face !== undefined);
    if (!faces.length) out.push('No face was found in any of them. Draw a box around one in the library.');
    else {
      if (faces.every((p) => p.face! < 0.03))
        out.push('The faces are small. A half figure carries a face better than a full figure.');
      if (faces.every((p) => p.face! > 0.2))
        out.push('Only close-ups: body and clothes are left open. Add a half or full figure.');
      if (!faces.some((p) => p.view === 'front'))
        out.push('No picture from the front: add one, or the face stays a guess.');
    }
    if (!pictures.some((p) => p.slot === 'full figure') && faces.every((p) => p.face! > 0.05))
      out.push('A full figure would settle build and shoes.');
  }
  if (!out.length) out.push('The sheet is sound.');
  return out;
}
