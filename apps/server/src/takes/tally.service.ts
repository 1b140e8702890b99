import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import {
  nameOf,
  peopleOf,
  tallyTraits,
  understand,
  type ShownTraits,
  type TraitName,
  type TraitSheet,
} from '@urbild/core';
import { figureFor, namedTraits } from '@urbild/engine';
import { CastService } from '../cast/cast.service';
import type { TraitTalliesDto } from '../cast/character.dto';
import { shownNow } from '../platform/access/belonging';
import { TakeEntity, type Take } from './take.entity';

/** How many takes are counted, the newest. */
const COUNTED = 60;

/** Counts over the takes of a character which of its traits were kept and who decided them. */
@Injectable()
export class TallyService {
  constructor(
    private readonly em: EntityManager,
    private readonly cast: CastService,
  ) {}

  /** Throws a not-found Problem for an unknown or deleted character. */
  async of(id: string): Promise<TraitTalliesDto> {
    const character = await this.cast.find(id);
    const seen = shownNow('take', 't');
    const rows = await this.em.execute<{ id: string }[]>(
      `select t.id from take t, json_each(t.origin, '$.influences') e
       where t.deleted_at is null and t.status = 'done' and t.is_control = 0 and t.rejected = 0 and e.value->>'referenceId' = ?
         and ${seen.sql}
       group by t.id order by max(t.created_at) desc limit ${COUNTED}`,
      [id, ...seen.parameters],
    );
    const takes = await this.em.find(TakeEntity, { id: { $in: rows.map((r) => r.id) } });
    const shown = takes.flatMap((t) => shownIn(t, character.name, id) ?? []);
    return { takes: shown.length, traits: tallyTraits(shown, await this.cast.sheet(character)) };
  }
}

/** What a take shows of a character, and what its words say of whoever stands for it; undefined where it cannot be seen. */
function shownIn(take: Take, name: string, id: string): ShownTraits | undefined {
  const { request, influences } = take.origin;
  const subject = influences.find((i) => i.referenceId === id)?.subject ?? name;
  const figure = figureFor(take.measurements?.figures ?? [], { subject });
  const traits: TraitSheet = figure?.traits ?? {};
  if (!Object.keys(traits).length) return undefined;
  const people = peopleOf(understand(request.prompt, request.avoid, request.names));
  const said = people.find((p) => nameOf(p) === subject) ?? people[0];
  return { traits, named: said ? namedTraits(said) : new Set<TraitName>() };
}
