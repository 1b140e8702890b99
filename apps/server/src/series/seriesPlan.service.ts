import { EntityManager } from '@mikro-orm/core';
import { Inject, Injectable } from '@nestjs/common';
import type { RenderRequest } from '@urbild/engine';
import { isDeepStrictEqual } from 'util';
import {
  calledByShots,
  calledInShot,
  differences,
  type MixInfluence,
  type MixState,
  type ShotPlan,
} from '@urbild/core';
import { MixEntity, MixVersionEntity } from '../mixes/mix.entity';
import { SourcesService } from '../mixes/sources.service';
import { Problem } from '../platform/problems/problem';
import { requestHash } from '../takes/renderPlan';
import type { Take } from '../takes/take.entity';
import { byOlderEngine, ENGINE, type TakeEngine } from '../takes/takeEngine';
import { TakeQueue, type RequestMaker } from '../takes/takeQueue.service';
import type { Series, Shot } from './series.entity';

/** Everything that the shots of a series would be rendered from, looked up once for all of them. */
export interface SeriesPlan {
  readonly mixId: string;
  /** The mix in the version that the series uses, with everybody whom the words of any shot call. */
  readonly state: MixState;
  readonly request: RequestMaker;
  /** What a shot would be rendered from. */
  stateOf(shot: Shot): MixState;
  /** The same for another plan of a shot. */
  stateFor(plan: ShotPlan): MixState;
  /** The name of what stands behind an influence. */
  nameOf(influence: Pick<MixInfluence, 'referenceId'>): string;
}

/** Plans: what a series would render, and what of it is there already. */
@Injectable()
export class SeriesPlanService {
  constructor(
    private readonly em: EntityManager,
    private readonly queue: TakeQueue,
    private readonly sources: SourcesService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
  ) {}

  async planOf(series: Series, shots: readonly Shot[]): Promise<SeriesPlan> {
    const [mix, cast] = [await this.stateOf(series), await this.sources.cast()];
    const stateFor = (plan: ShotPlan) => calledInShot(mix, plan, cast);
    const state = calledByShots(mix, shots, cast);
    const states = new Map(shots.map((s) => [s.id, stateFor(s)]));
    const request = await this.queue.requests([state, ...states.values()]);
    const titles = await this.sources.titles(
      [...states.values()].flatMap((s) => s.influences).concat(state.influences),
    );
    return {
      mixId: series.mixId,
      state,
      request,
      stateOf: (shot) => states.get(shot.id) ?? stateFor(shot),
      stateFor,
      nameOf: (i) => titles.get(i.referenceId) ?? 'a reference that is gone',
    };
  }

  /** The mix of a series, in its version. Throws a not-found {@link Problem} when it is gone. */
  private async stateOf({ mixId, mixVersion }: Pick<Series, 'mixId' | 'mixVersion'>): Promise<MixState> {
    if (mixVersion) {
      const version = await this.em.findOne(MixVersionEntity, { mixId, number: mixVersion });
      if (!version) throw Problem.notFound(`Version ${mixVersion} of the mix of this series`);
      return version.state;
    }
    const mix = await this.em.findOne(MixEntity, { id: mixId });
    if (!mix) throw Problem.notFound('The mix of this series');
    const { prompt, avoid, settings, influences } = mix;
    return { prompt, avoid, settings, influences };
  }

  /** True for a take that was made, or will be, from just what its shot is now, by whichever version of the engine. */
  isOf(plan: SeriesPlan, state: MixState, take: Pick<Take, 'quality' | 'requestHash' | 'origin'>): boolean {
    const request = plan.request(state, take.quality);
    if (take.requestHash === requestHash(request, take.origin.engine)) return true;
    // an older version may have been told the same in other fields: then what a person set, and the pictures, decide
    return (
      byOlderEngine(take, this.engine.capabilities) &&
      !differences(this.stateBehind(take, state), state, (i) => plan.nameOf(i)).length &&
      isDeepStrictEqual(picturesOf(take.origin.request), picturesOf(request))
    );
  }

  /** What a take was made from, as a mix says it; settings that it does not tell are those of `state`. */
  private stateBehind({ origin: { request, influences, settings } }: Pick<Take, 'origin'>, state: MixState): MixState {
    return {
      prompt: request.prompt,
      avoid: request.avoid,
      settings: { ...(settings ?? state.settings), seed: request.seed },
      influences,
    };
  }

  /** Why a shot has to be rendered; empty when one of its takes shows just what it is now. `takes` are its own, newest first. */
  staleness(plan: SeriesPlan, shot: Shot, takes: readonly Take[]): string[] {
    if (shot.skipped) return [];
    const there = takes.filter((t) => countsFor(t));
    if (!there.length) return ['not rendered yet'];
    const state = plan.stateOf(shot);
    if (there.some((t) => this.isOf(plan, state, t))) return [];
    const why = differences(this.stateBehind(there[0], state), state, (i) => plan.nameOf(i));
    return why.length ? why : ['a reference was prepared anew'];
  }
}

/** The pictures that a request draws from, influence by influence. */
const picturesOf = ({ influences, start, mask }: RenderRequest): unknown => [
  influences.map((i) => [i.id, i.pictures.map(({ content, weight }) => [content, weight])]),
  start?.content,
  mask?.content,
];

/** True for a take that counts among those of its shot: not a try, and neither failed nor stopped. */
export const countsFor = ({ status, trial }: Pick<Take, 'status' | 'trial'>): boolean =>
  (!trial || !!trial.kept) && status !== 'failed' && status !== 'cancelled';

/** The take that stands for a shot: its keeper, or else its newest finished one. `takes` are newest first. */
export const leadOf = (takes: readonly Take[]): Take | undefined => {
  const done = takes.filter((t) => countsFor(t) && t.status === 'done' && !t.rejected);
  return done.find((t) => t.keeper) ?? done[0];
};
