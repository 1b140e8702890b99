import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, ask, type Reference } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct } from '../../api/sheets';
import { useNotice } from '../../parts/notices';

/** Puts a new file in the place of a reference's: everything that uses it goes by the new one, and the old one can be gone back to. */
export function ReplaceFile({ reference: { id, version, title } }: { reference: Reference }) {
  const input = useRef<HTMLInputElement>(null);
  const [isSending, setSending] = useState(false);
  const client = useQueryClient();
  const tell = useNotice();
  const replace = useAct(['search'], async (file: File) => {
    const body = new FormData();
    body.append('file', file);
    const saved = await ask(
      api.PUT('/api/v1/references/{id}/file', {
        params: { path: { id }, query: { version } },
        body: body as never,
        bodySerializer: (b: unknown) => b as FormData,
      }),
    );
    client.setQueryData(keys.reference(id), saved);
    tell(saved.version === version ? `${title} is this file already.` : `${title} has a new file.`);
  });
  const send = async (file: File | undefined) => {
    if (!file) return;
    setSending(true);
    await replace(file);
    setSending(false);
  };
  return (
    <>
      <button
        type="button"
        disabled={isSending}
        onClick={() => input.current?.click()}
        className="text-sm underline underline-offset-2 disabled:opacity-60"
      >
        {isSending ? 'It is being read …' : 'Replace the file'}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label={`A new file for ${title}`}
        className="hidden"
        onChange={(e) => {
          void send(e.target.files?.[0]);
          // the same file can be chosen again
          e.target.value = '';
        }}
      />
    </>
  );
}
