import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createServer, request, type Server } from 'node:http';
import { join } from 'node:path';

/** The built server as a process of its own, which may be killed. `root` is the project's folder. */
export function aProcess(root: string, urls: Readonly<Record<string, string>>, port: number) {
  const base = `http://127.0.0.1:${port}`;
  let child: ChildProcess | undefined;
  const isUp = () => child !== undefined && child.exitCode === null && child.signalCode === null;
  const answers = (): Promise<boolean> =>
    fetch(`${base}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
  const start = async (): Promise<void> => {
    // Another's answers would be taken for its own.
    if (await answers()) throw new Error(`port ${port} is taken by another server: stop that one first`);
    const env = { ...process.env, ...urls, PORT: String(port), LOG_LEVEL: process.env['FAULTS_LOG'] ?? 'silent', NODE_OPTIONS: '' };
    child = spawn(process.execPath, [join(root, 'apps/server/dist/main.js')], {
      env,
      stdio: ['ignore', process.env['FAULTS_LOG'] ? 'inherit' : 'ignore', 'inherit'],
    });
    for (const end = Date.now() + 60_000; Date.now() < end;) {
      if (await answers()) return;
      if (!isUp()) throw new Error('the server ended as it began');
      await new Promise((rest) => setTimeout(rest, 100));
    }
    throw new Error('the server did not begin within a minute');
  };
  const stop = async (signal: NodeJS.Signals = 'SIGKILL'): Promise<void> => {
    if (!isUp()) return;
    const gone = new Promise((done) => child!.once('exit', done));
    child!.kill(signal);
    await gone;
  };
  return { base, start, stop };
}

/** Something that was answered with 2xx, and must be there from then on. */
export type Acknowledged = { readonly bakeId: string; readonly eventId: string };

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const json = { 'content-type': 'application/json' };

export async function begun(base: string): Promise<string> {
  const id = randomUUID();
  const body = JSON.stringify({ formulaId: FORMULA, version: 2, factor: 1, looks: [], confirmed: [] });
  const answer = await fetch(`${base}/api/bakes/${id}/run`, { method: 'PUT', headers: json, body });
  if (!answer.ok) throw new Error(`no run: ${answer.status} ${await answer.text()}`);
  return id;
}

/** Weighs at these runs, all at once and on and on, until told to stop; says what was acknowledged and what answers there were. */
export function weighing(base: string, bakeIds: readonly string[]) {
  const kept: Acknowledged[] = [];
  const answers: Record<string, number> = {};
  let going = true;
  const hand = async (bakeId: string) => {
    while (going) {
      const eventId = randomUUID();
      const event = { id: eventId, at: new Date().toISOString(), what: { kind: 'weighed', rowKey: 'b2', addedG: 0.1 } };
      const answer = await fetch(`${base}/api/bakes/${bakeId}/events`, {
        method: 'POST',
        headers: json,
        body: JSON.stringify([event]),
      }).then(
        async (got) => {
          await got.arrayBuffer();
          return String(got.status);
        },
        () => 'none',
      );
      answers[answer] = (answers[answer] ?? 0) + 1;
      if (answer === '200') kept.push({ bakeId, eventId });
      else await new Promise((rest) => setTimeout(rest, 50));
    }
  };
  const hands = bakeIds.map(hand);
  return {
    kept,
    answers,
    stop: async () => {
      going = false;
      await Promise.all(hands);
    },
  };
}

/** Of what was acknowledged what is not there. */
export async function lost(base: string, kept: readonly Acknowledged[]): Promise<Acknowledged[]> {
  const missing: Acknowledged[] = [];
  for (const bakeId of new Set(kept.map((one) => one.bakeId))) {
    const { events } = (await (await fetch(`${base}/api/bakes/${bakeId}`)).json()) as { events: { id: string }[] };
    const ids = new Set(events.map(({ id }) => id));
    missing.push(...kept.filter((one) => one.bakeId === bakeId && !ids.has(one.eventId)));
  }
  return missing;
}

/** One port before several servers, each asked in its turn. */
export function oneDoor(port: number, servers: readonly { readonly base: string }[]): Promise<Server> {
  let turn = 0;
  const door = createServer((asked, answered) => {
    const { base } = servers[turn++ % servers.length]!;
    const passed = request(`${base}${asked.url}`, { method: asked.method, headers: asked.headers }, (answer) => {
      answered.writeHead(answer.statusCode ?? 502, answer.headers);
      answer.pipe(answered);
    });
    passed.on('error', () => answered.writeHead(502).end());
    asked.pipe(passed);
  });
  return new Promise((ready) => door.listen(port, '127.0.0.1', () => ready(door)));
}
