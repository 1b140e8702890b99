import { Button } from '../../parts/Button';
import { OneStop } from '../../shared/keys/OneStop';

/** Sentences to begin with. */
const SENTENCES = [
  'portrait of a young woman by the harbour, morning',
  'half figure of a girl with a lantern, snow, evening',
  'an old man in a boat, reed channel, dusk',
] as const;

interface Props {
  readonly sentence: string;
  /** There is a picture already: drawing is not the main thing any more. */
  readonly isDrawn: boolean;
  readonly isBusy: boolean;
  readonly onSay: (sentence: string) => void;
  readonly onDraw: (sentence: string) => void;
}

/** What the picture shows, in a sentence of one's own or one of ours. */
export function SayStep({ sentence, isDrawn, isBusy, onSay, onDraw }: Props) {
  return (
    <>
      <textarea
        aria-label="What the picture shows"
        rows={2}
        value={sentence}
        placeholder="who, where, when, doing what"
        onChange={(e) => onSay(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || e.shiftKey) return;
          e.preventDefault();
          onDraw(sentence);
        }}
        className="w-full rounded-lg border border-edge bg-card px-2.5 py-1.5 text-lg"
      />
      <OneStop role="group" aria-label="Sentences to begin with" className="flex flex-col items-start gap-0.5 pt-1">
        {SENTENCES.map((one) => (
          <button
            key={one}
            type="button"
            onClick={() => onDraw(one)}
            className="text-left text-sm text-muted underline decoration-edge underline-offset-2 hover:text-ink"
          >
            {one}
          </button>
        ))}
      </OneStop>
      <Button
        look={isDrawn ? 'quiet' : 'main'}
        disabled={!sentence.trim() || isBusy}
        onClick={() => onDraw(sentence)}
        className="mt-2.5"
      >
        Draw it
      </Button>
    </>
  );
}
