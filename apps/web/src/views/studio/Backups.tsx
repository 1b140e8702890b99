import { useState } from 'react';
import { useBackups, usePeopleActs } from '../../api/people';
import { Button } from '../../parts/Button';

/** Of the backups so many are shown. */
const SHOWN = 5;
const MEGABYTE = 1024 * 1024;

/** Backups of everything, made while people work. */
export function Backups() {
  const { data: backups } = useBackups();
  const { backUp } = usePeopleActs();
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    await backUp();
    setBusy(false);
  };
  return (
    <section aria-label="Backups" className="flex flex-col gap-3">
      <h2 className="font-title text-xl font-semibold">Backups</h2>
      {backups?.length === 0 && <p className="text-muted">None yet. One is made each day while the studio runs.</p>}
      {!!backups?.length && (
        <ul className="flex flex-col divide-y divide-line border-y border-line">
          {backups.slice(0, SHOWN).map(({ name, made, files, bytes }) => (
            <li key={name} className="flex justify-between gap-3 py-2 text-sm">
              <span>{new Date(made).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}</span>
              <span className="figures text-muted">
                {files} files, {Math.max(1, Math.round(bytes / MEGABYTE))} MB
              </span>
            </li>
          ))}
        </ul>
      )}
      <Button className="self-start" disabled={busy} onClick={() => void make()}>
        {busy ? 'Backing up ...' : 'Back up now'}
      </Button>
    </section>
  );
}
