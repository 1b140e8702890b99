/** A picture of a contact sheet, with what stands below it. */
export interface SheetPicture {
  /** Path of the picture. */
  readonly file: string;
  /** Name inside an archive. */
  readonly name: string;
  readonly title: string;
  readonly lines: readonly string[];
}

/** What a contact sheet says besides its pictures. */
export interface SheetText {
  readonly title: string;
  /** Weights of the mix, a line each. */
  readonly weights: readonly string[];
  /** Who made the references, and what may be done with them. */
  readonly credits: readonly string[];
}
