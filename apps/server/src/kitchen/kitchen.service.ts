import { Injectable } from '@nestjs/common';
import { Clock } from '../platform/clock.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { NewsService } from '../platform/news/news.js';
import { KitchenEntity } from './kitchen.entity.js';
import { ApiError } from '../platform/http/errors.js';
import type { AboutBody, AirBody, JudgementsBody, LearnedBody, MarketBody, MatBody, OvenHeatBody } from '@north-leaf/contracts';
import { coreVersion, liftKitchen, type Guest, type Kitchen, type Learned, type KitchenList, type KitchenThings } from '@north-leaf/core';

/** More than any kitchen has; keeps the document small. */
const MOST_THINGS = 200;
const MOST_NAMES = 500;

@Injectable()
export class KitchenService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly clock: Clock,
    private readonly news: NewsService,
  ) {}

  async current(): Promise<Kitchen> {
    const [found] = await this.scope.query<{ document: Kitchen }>('SELECT "document" FROM "kitchens" WHERE "id" = $1', [
      await this.scope.id(),
    ]);
    if (!found) throw new ApiError('notFound', 'This kitchen is not here.');
    return liftKitchen(found.document);
  }

  setGlutenLimit(mgPerKg: number): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, glutenLimitMgPerKg: mgPerKg }));
  }

  /** Where its goods are sold; at home nothing is. */
  setMarket({ market, home }: MarketBody): Promise<Kitchen> {
    return this.change(({ home: _was, ...kitchen }) => ({ ...kitchen, market, ...(home ? { home } : {}) }));
  }

  setAbout({ name, currency }: AboutBody): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, name, currency }));
  }

  /** What a name in a list means here from now on. */
  setName(name: string, ingredientId: string): Promise<Kitchen> {
    return this.change((kitchen) => {
      const names = { ...kitchen.names, [name]: ingredientId };
      if (Object.keys(names).length > MOST_NAMES)
        throw new ApiError('invalid', `A kitchen remembers at most ${MOST_NAMES} names: forget some first.`);
      return { ...kitchen, names };
    });
  }

  forgetName(name: string): Promise<Kitchen> {
    return this.change((kitchen) => ({
      ...kitchen,
      names: Object.fromEntries(Object.entries(kitchen.names ?? {}).filter(([key]) => key !== name)),
    }));
  }

  /** Today's air; benches and racks stand in it, so they are as warm. How high the kitchen lies stays where it is not said. */
  setAir({ humidityShare, roomC, altitudeM }: AirBody): Promise<Kitchen> {
    return this.change((kitchen) => ({
      ...kitchen,
      ...(altitudeM === undefined ? {} : { altitudeM }),
      humidityShare,
      roomC,
      places: kitchen.places.map((place) => (place.kind === 'bench' || place.kind === 'rack' ? { ...place, atC: roomC } : place)),
    }));
  }

  /** What dough is rolled on; null: nobody said how large it is. */
  setMat(mat: MatBody | null): Promise<Kitchen> {
    return this.change(({ mat: _was, ...kitchen }) => (mat ? { ...kitchen, mat } : kitchen));
  }

  /** Adds a guest or writes over the one of the same id. */
  storeGuest(guest: Guest): Promise<Kitchen> {
    return this.change((kitchen) => {
      const guests = kitchen.guests ?? [];
      const known = guests.some(({ id }) => id === guest.id);
      return { ...kitchen, guests: known ? guests.map((one) => (one.id === guest.id ? guest : one)) : [...guests, guest] };
    });
  }

  removeGuest(id: string): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, guests: (kitchen.guests ?? []).filter((guest) => guest.id !== id) }));
  }

  setMeasure(name: string, value: number): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, measures: { ...kitchen.measures, [name]: value } }));
  }

  /** In place of all that were held before. */
  setJudgements(judgements: JudgementsBody): Promise<Kitchen> {
    return this.change((kitchen) => ({ ...kitchen, judgements }));
  }

  /** Adds an oven, a place, a tray, a pan or a cutter, or writes over the one of the same id. */
  storeThing<K extends KitchenList>(list: K, thing: KitchenThings[K]): Promise<Kitchen> {
    return this.change((kitchen) => {
      const things = (kitchen[list] ?? []) as readonly KitchenThings[K][];
      const known = things.some(({ id }) => id === thing.id);
      if (!known && things.length >= MOST_THINGS) throw new ApiError('invalid', `A kitchen holds at most ${MOST_THINGS} ${list}.`);
      return { ...kitchen, [list]: known ? things.map((one) => (one.id === thing.id ? thing : one)) : [...things, thing] };
    });
  }

  removeThing(list: KitchenList, id: string): Promise<Kitchen> {
    return this.change((kitchen) => {
      const things = (kitchen[list] ?? []) as readonly { readonly id: string }[];
      const left = things.filter((one) => one.id !== id);
      if (left.length === things.length) throw new ApiError('notFound', 'It is not in this kitchen.');
      // A formula names one of each of these: with none left, nothing could be worked out.
      if (left.length === 0 && list !== 'pans' && list !== 'cutters') {
        throw new ApiError('invalid', `The last of the ${list} stays: every formula needs one. Add another first.`);
      }
      return { ...kitchen, [list]: left };
    });
  }

  /** What weighed trays taught of an oven's heat; null forgets it. */
  setOvenHeat(ovenId: string, heat: OvenHeatBody | null): Promise<Kitchen> {
    return this.change((kitchen) => {
      if (!kitchen.ovens.some(({ id }) => id === ovenId)) throw new ApiError('notFound', 'There is no such oven.');
      const others = kitchen.learned.filter(({ what, about }) => what !== 'ovenHeatFactor' || about !== ovenId);
      const learned: Learned[] = heat ? [{ what: 'ovenHeatFactor', about: ovenId, ...heat, bakeIds: [], coreVersion }] : [];
      return { ...kitchen, learned: [...others, ...learned] };
    });
  }

  /** What was learned of one thing, in place of what was known of it; null forgets it. Set aside stays set aside, a reset stays one.
   * `workedOutFor` is the kitchen as it was when the work began. */
  setLearned(what: Learned['what'], about: string, learned: Learned | null, workedOutFor: Kitchen): Promise<Kitchen> {
    return this.change((kitchen) => {
      const heldIn = (of: Kitchen) => of.learned.find((one) => one.what === what && one.about === about);
      const held = heldIn(kitchen);
      // Begun anew while it was being worked out: what it says is of bakes that count no more.
      if (held?.since !== heldIn(workedOutFor)?.since) return kitchen;
      const others = kitchen.learned.filter((one) => one !== held);
      const kept = { ...(held?.setAside ? { setAside: true } : {}), ...(held?.since ? { since: held.since } : {}) };
      // A reset with nothing learned since is remembered: the bakes before it do not come back.
      const next = learned ? { ...learned, ...kept } : held?.since ? begunAnew(held, held.since) : null;
      return { ...kitchen, learned: [...others, ...(next ? [next] : [])] };
    });
  }

  /** Uses a learned value, keeps it unused, or begins it anew. */
  treatLearned({ what, about, do: act }: LearnedBody): Promise<Kitchen> {
    return this.change((kitchen) => {
      const held = kitchen.learned.find((one) => one.what === what && one.about === about);
      if (!held) throw new ApiError('notFound', 'Nothing is learned of this.');
      const { setAside: _aside, ...used } = held;
      const next =
        act === 'use' ? used : act === 'setAside' ? { ...held, setAside: true } : begunAnew(held, this.clock.now().toISOString());
      return { ...kitchen, learned: kitchen.learned.map((one) => (one === held ? next : one)) };
    });
  }

  /** One change at a time, of the kitchen as it stands, so that two of different things both hold. */
  private change(to: (kitchen: Kitchen) => Kitchen): Promise<Kitchen> {
    return this.scope.transaction(async () => {
      const id = await this.scope.id();
      const { manager } = this.scope;
      // Every row of a kitchen names it, and holds it lightly while it is written: a harder lock would wait for them in a ring.
      const row = await manager.findOneOrFail(KitchenEntity, { where: { id }, lock: { mode: 'for_no_key_update' } });
      const document = to(row.document);
      await manager.update(KitchenEntity, { id }, { document: document as never });
      await this.news.tell({ what: 'kitchen' });
      return document;
    });
  }
}

/** As believed before any bake. */
function begunAnew(
  {
    what,
    about,
    priorValue = what === 'oven' || what === 'crisp' || what === 'tender' ? 0 : what === 'layerFloor' ? 60 : 1,
    priorSd,
    sd,
  }: Learned,
  since: string,
): Learned {
  return {
    what,
    about,
    value: priorValue,
    sd: priorSd ?? sd,
    priorValue,
    ...(priorSd === undefined ? {} : { priorSd }),
    bakeIds: [],
    since,
  };
}
