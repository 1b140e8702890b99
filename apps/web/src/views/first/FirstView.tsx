import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { MixInfluence, Reference } from '../../api/client';
import { useStudio } from '../../api/queries';
import { Button } from '../../parts/Button';
import { DemoComing } from '../../parts/DemoComing';
import { EmptyState } from '../../parts/EmptyState';
import { useTitle } from '../../parts/useTitle';
import { begun } from '../../shared/firstSteps';
import { newInfluence } from '../../shared/mix/newInfluences';
import { TablePicture } from '../../shared/pictures/TablePicture';
import { PickRow } from './PickRow';
import { SayStep } from './SayStep';
import { useFirstMix, type FirstMix } from './useFirstMix';
import { WeightRow } from './WeightRow';

/** The first steps: a look and a face, a sentence, a weight that is moved while the picture follows. On one screen. */
export function FirstView() {
  useTitle('Your first picture');
  const go = useNavigate();
  const { data: studio } = useStudio();
  const first = useFirstMix();
  const [look, setLook] = useState<Reference>();
  const [face, setFace] = useState<Reference>();
  const [sentence, setSentence] = useState('');
  const draw = (prompt: string, chosen = { look, face }) => {
    if (!prompt.trim()) return;
    setSentence(prompt);
    first.draw(prompt.trim(), influencesOf([chosen.look, chosen.face], first.mix?.influences ?? []));
  };
  const choose = (chosen: { look: Reference | undefined; face: Reference | undefined }) => {
    setLook(chosen.look);
    setFace(chosen.face);
    if (first.mix) draw(sentence, chosen);
  };
  const leave = (to: string) => {
    begun();
    void go(to);
  };
  const nameOf = (i: MixInfluence) => [look, face].find((r) => r?.id === i.referenceId)?.title ?? 'A picture';
  return (
    <div className="parts grid h-full grid-cols-[minmax(0,1fr)_400px]">
      <section aria-label="The picture" className="flex min-h-0 flex-col bg-booth p-4">
        {first.take ? (
          <TablePicture take={first.take} overlay={undefined} whole={false} />
        ) : (
          <Prints chosen={[look, face]} />
        )}
      </section>
      <aside aria-label="First steps" className="flex min-h-0 flex-col gap-5 overflow-y-auto bg-paper p-5">
        <header>
          <h1 className="font-title text-2xl">Your first picture</h1>
          <p className="text-muted">Three steps, a minute or two. Everything stays in your library.</p>
        </header>
        <Step nth={1} title="Choose a look and a face">
          <p className="pb-1 text-sm text-muted">A look lends its surface and colours.</p>
          <PickRow kind="style" what="a look" chosen={look} onChoose={(to) => choose({ look: to, face })} />
          <p className="pt-2.5 pb-1 text-sm text-muted">A face is who will be seen.</p>
          <PickRow kind="face" what="a face" chosen={face} onChoose={(to) => choose({ look, face: to })} />
          {studio && studio.demo.done < studio.demo.total && <DemoComing what="More pictures" />}
        </Step>
        <Step nth={2} title="Say what the picture shows">
          <SayStep
            sentence={sentence}
            isDrawn={!!first.mix}
            isBusy={first.isMaking}
            onSay={setSentence}
            onDraw={(said) => draw(said)}
          />
        </Step>
        <Step nth={3} title="Move a weight, and the picture follows" waits={!first.mix}>
          <Weights first={first} nameOf={nameOf} />
        </Step>
        <footer className="mt-auto flex items-center gap-4">
          {first.mix && (
            <Button look="main" onClick={() => leave(`/bench/${first.mix!.id}?tour=on`)}>
              Go on at the bench
            </Button>
          )}
          <Link to="/library" onClick={begun} className="text-muted underline underline-offset-2 hover:text-ink">
            {first.mix ? 'To the library' : 'Not now'}
          </Link>
        </footer>
      </aside>
    </div>
  );
}

/** The weights of what was chosen, once there is a picture to follow them. */
function Weights({ first, nameOf }: { first: FirstMix; nameOf: (influence: MixInfluence) => string }) {
  if (!first.mix?.influences.length)
    return (
      <p className="text-sm text-muted">
        {first.mix
          ? 'Nothing is chosen to be weighed yet: choose a look or a face above.'
          : '0 is not there at all, 1 is fully there, 2 is as strong as it goes.'}
      </p>
    );
  return first.mix.influences.map((i) => (
    <WeightRow key={i.id} name={nameOf(i)} influence={i} onWeigh={(w, live) => first.weigh(i.id, w, live)} />
  ));
}

/** Before there is a picture: what was chosen lies on the table like two prints. */
function Prints({ chosen }: { chosen: readonly (Reference | undefined)[] }) {
  const prints = chosen.flatMap((r) => r ?? []);
  return (
    <div className="grid min-h-0 flex-1 place-content-center justify-items-center gap-6">
      {prints.length > 0 && (
        <div className="flex items-center">
          {prints.map((r, k) => (
            <img
              key={r.id}
              src={r.pictureUrl}
              alt={r.alt}
              className={`arrive max-h-80 max-w-md border-8 border-white shadow-2xl ${k ? '-ml-16 rotate-3' : '-rotate-2'}`}
            />
          ))}
        </div>
      )}
      <EmptyState dark title={prints.length ? 'Now say what the picture shows' : 'Your picture comes here'}>
        {prints.length
          ? 'Type a sentence, or take one of ours: it is drawn with what lies here.'
          : 'Choose a look and a face at the right, say what the picture shows, and watch it being drawn.'}
      </EmptyState>
    </div>
  );
}

/** Influences for what is chosen; what is weighed already keeps its weight. */
const influencesOf = (
  chosen: readonly (Reference | undefined)[],
  before: readonly MixInfluence[],
): readonly MixInfluence[] =>
  chosen.flatMap((r) => (r ? [before.find((i) => i.referenceId === r.id) ?? newInfluence(r)] : []));

function Step({
  nth,
  title,
  waits = false,
  children,
}: {
  nth: number;
  title: string;
  waits?: boolean;
  children: ReactNode;
}) {
  return (
    <section
      aria-labelledby={`step-${nth}`}
      className={`grid grid-cols-[2rem_minmax(0,1fr)] ${waits ? 'text-muted' : ''}`}
    >
      <span aria-hidden className="font-title text-2xl leading-none text-muted">
        {nth}
      </span>
      <div>
        <h2 id={`step-${nth}`} className="pb-1.5 font-semibold">
          {title}
        </h2>
        {children}
      </div>
    </section>
  );
}
