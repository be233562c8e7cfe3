import { Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { Client } from 'pg';
import { filter, map, Subject, type Observable } from 'rxjs';
import { config } from '../config.js';
import { KitchenScope } from '../kitchen-scope.js';
import { log } from '../log.js';
import type { News } from '@north-leaf/contracts';

type Told = { readonly kitchenId: string; readonly news: News };
const CHANNEL = 'north_leaf_news';
const AGAIN_MS = 1000;
/** So that whoever listens knows that there is still somebody to listen to. */
const BEAT_MS = 15_000;

/**
 * What has just been stored, told to every browser of the kitchen that listens. It goes through the database, so that it reaches those
 * who listen at another process, and only once it is stored.
 */
@Injectable()
export class NewsService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly heard = new Subject<Told>();
  private listening: Client | null = null;
  private beating: NodeJS.Timeout | undefined;
  private ending = false;

  constructor(private readonly scope: KitchenScope) {}

  /** Heard when the request's transaction is stored; not at all when it is not. */
  async tell(news: News): Promise<void> {
    await this.scope.query('SELECT pg_notify($1, $2)', [
      CHANNEL,
      JSON.stringify({ kitchenId: await this.scope.id(), news } satisfies Told),
    ]);
  }

  async ofThisKitchen(): Promise<Observable<News>> {
    const mine = await this.scope.id();
    return this.heard.pipe(
      filter(({ kitchenId }) => kitchenId === mine || kitchenId === ''),
      map(({ news }) => news),
    );
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.listen();
    this.beating = setInterval(() => this.heard.next({ kitchenId: '', news: { what: 'beat' } }), BEAT_MS);
    this.beating.unref();
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ending = true;
    clearInterval(this.beating);
    // Ends every stream: a server that is being stopped waits for none.
    this.heard.complete();
    await this.listening?.end().catch(() => undefined);
  }

  /** One connection of its own; a database that went away is listened to again as soon as it is back. */
  private async listen(): Promise<void> {
    const client = new Client({ connectionString: config.databaseUrl, application_name: 'north-leaf news' });
    const again = () => {
      if (this.ending || this.listening !== client) return;
      this.listening = null;
      setTimeout(() => void this.listen(), AGAIN_MS).unref();
    };
    this.listening = client;
    client.on('error', again);
    client.on('end', again);
    client.on('notification', ({ payload }) => this.heard.next(JSON.parse(payload ?? '') as Told));
    try {
      await client.connect();
      await client.query(`LISTEN ${CHANNEL}`);
    } catch (err) {
      log.warn({ err }, 'nobody can be told news just now');
      again();
    }
  }
}
