import { useMay, useMe } from '../../api/me';
import { useTitle } from '../../parts/useTitle';
import { Backups } from './Backups';
import { FirstOwner } from './FirstOwner';
import { Invitations } from './Invitations';
import { OwnSide } from './OwnSide';
import { People } from './People';
import { Projects } from './Projects';

/** The studio itself: who works in it and how they come in, and its backups. */
export function StudioView() {
  useTitle('Studio');
  const { data: me } = useMe();
  const manages = useMay('manage');
  if (!me) return <div className="skeleton h-full" role="status" aria-label="The studio is being read" />;
  return (
    <div className="h-full overflow-auto">
      <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(0,1fr)_340px] gap-10 px-8 py-8 max-[900px]:grid-cols-1 max-[900px]:px-4">
        <div className="flex min-w-0 flex-col gap-9">
          <h1 className="font-title text-3xl font-semibold">The studio</h1>
          {me.hasOwner ? <People /> : <FirstOwner />}
          {manages && me.hasOwner && <Invitations />}
          {me.hasOwner && <Projects />}
        </div>
        <div className="flex flex-col gap-9 pt-2">
          {me.person && <OwnSide />}
          {me.alone && me.hasOwner && <HowToShare />}
          {manages && <Backups />}
        </div>
      </div>
    </div>
  );
}

/** What to do so that others reach a studio that has an owner. */
const HowToShare = () => (
  <section aria-label="Let others in" className="flex flex-col gap-2">
    <h2 className="font-title text-xl font-semibold">Let others in</h2>
    <p className="text-muted">
      This studio answers on this machine only, and asks nobody who they are. Stop it and start it so that others reach
      it; then everybody signs in:
    </p>
    <code className="rounded-lg bg-shade px-3 py-2 text-sm">./start --share --host 0.0.0.0</code>
  </section>
);
