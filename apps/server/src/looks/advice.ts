/** What advice about a look rests on. */
export interface LookFacts {
  readonly count: number;
  /** 0..1 */
  readonly coherence: number;
  readonly stranger?: { readonly title: string; readonly off: number };
  /** Titles of pictures with a serious fault. */
  readonly unfit: readonly string[];
}

/** What to do about a look, most important first; one sentence each. */
export function adviceFor({ count, coherence, stranger, unfit }: LookFacts): string[] {
  const out: string[] = [];
  if (!count) return ['Add pictures of one manner: about 5 to 20 of them make a look.'];
  if (stranger)
    out.push(
      `“${stranger.title}” is ${stranger.off.toFixed(1)} times as far from the others as they are from each other. Take it out, or give it a look of its own.`,
    );
  if (coherence < 0.5 && !stranger)
    out.push(
      'These pictures pull in different directions; what comes out will be between them. Split them into two looks.',
    );
  if (unfit.length)
    out.push(
      `${unfit
        .slice(0, 3)
        .map((t) => `“${t}”`)
        .join(', ')} ${unfit.length > 1 ? 'have' : 'has'} a serious fault: see the checks.`,
    );
  if (count < 5)
    out.push(
      `${count === 1 ? 'One picture shows' : `${count} pictures show`} a manner only in part; looks of 5 to 20 hold better over different prompts.`,
    );
  if (!out.length) out.push('It holds together.');
  return out;
}
