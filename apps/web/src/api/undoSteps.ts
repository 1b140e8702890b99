import type { QueryClient } from '@tanstack/react-query';
import { merge } from '@urbild/core';
import { openDocument } from '../shared/save/documents';
import { api, ask, ServerProblem, type Series } from './client';
import { openByName, putSeries } from './documents';
import { keys } from './keys';
import { undoBy, type Call, type UndoStep } from './undo';

async function send(client: QueryClient, { method, path, body, versionOf, versionAt }: Call): Promise<void> {
  let whole = body;
  if (versionAt) {
    const { version } = (await (await fetch(versionAt)).json()) as { version?: number };
    whole = { ...body, version };
  }
  if (versionOf) {
    const series = await ask(api.GET('/api/v1/series/{id}', { params: { path: { id: versionOf.seriesId } } }));
    whole = { ...body, version: series.shots.find((s) => s.id === versionOf.shotId)?.version };
  }
  const answer = await fetch(path, {
    method,
    headers: whole ? { 'content-type': 'application/json' } : undefined,
    body: whole && JSON.stringify(whole),
  });
  const result = answer.status === 204 ? undefined : ((await answer.json()) as { detail?: string; shots?: unknown });
  if (!answer.ok) throw new ServerProblem(answer.status, result?.detail ?? 'That could not be undone.');
  if (result?.shots) putSeries(client, result as unknown as Series);
}

async function act(client: QueryClient, step: UndoStep): Promise<UndoStep> {
  switch (step.kind) {
    case 'document': {
      const { name, from, to, seriesId } = step;
      const queue = openDocument(name) ?? (await openByName(client, name, seriesId));
      if (!queue) throw new Error('This is not here any more.');
      queue.change((state) => merge(from, to, state).merged);
      return { ...step, from: to, to: from };
    }
    case 'many': {
      const now = await ask(api.POST('/api/v1/references/undo', { body: { before: step.before as never } }));
      for (const { id } of now.before) void client.invalidateQueries({ queryKey: keys.reference(id) });
      void client.invalidateQueries({ queryKey: ['search'] });
      return { kind: 'many', before: now.before };
    }
    case 'calls':
      await send(client, step.now);
      return { kind: 'calls', now: step.then, then: step.now };
  }
}

/** From now on steps of undo are done with this client. */
export const startUndo = (client: QueryClient): void => undoBy((step) => act(client, step));
