import { test as base, expect } from '@playwright/test';
import type { Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { connect, createServer } from 'node:net';
import type { AddressInfo, Socket } from 'node:net';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The program. */
export const BINARY =
  process.env.YARD_NOTCH ?? fileURLToPath(new URL('../target/debug/yard-notch', import.meta.url));

/** The real program on a data folder of its own. */
export class App {
  url = '';
  readonly folder = mkdtempSync(join(tmpdir(), 'yard-notch-e2e-'));
  private process: ChildProcess | undefined;

  /** With the demo school, copied from a folder where it was built; otherwise with nothing. */
  constructor(
    private readonly demo: boolean,
    built?: string,
  ) {
    if (built) cpSync(built, this.folder, { recursive: true });
  }

  async start(): Promise<void> {
    const options = [
      'serve',
      '--data',
      this.folder,
      '--listen',
      // Started again it is where it was: the page that is open finds it.
      this.url ? new URL(this.url).host : '127.0.0.1:0',
      ...(this.demo ? ['--demo'] : []),
    ];
    const started = spawn(BINARY, options, { stdio: ['ignore', 'pipe', 'inherit'] });
    this.process = started;
    this.url = await new Promise<string>((resolve, reject) => {
      let said = '';
      started.stdout.on('data', (chunk: Buffer) => {
        said += chunk.toString();
        const found = /http:\/\/\S+/.exec(said);
        if (found) resolve(found[0]);
      });
      started.once('exit', (code) => reject(new Error(`the program ended with ${code}`)));
    });
  }

  async stop(): Promise<void> {
    const running = this.process;
    this.process = undefined;
    // One that ended by a signal has no exit code.
    if (!running || running.exitCode !== null || running.signalCode !== null) return;
    const ended = new Promise((resolve) => running.once('exit', resolve));
    running.kill('SIGTERM');
    await ended;
  }

  /** Ends it as a power cut would. */
  async kill(): Promise<void> {
    const running = this.process;
    this.process = undefined;
    if (!running) return;
    const ended = new Promise((resolve) => running.once('exit', resolve));
    running.kill('SIGKILL');
    await ended;
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/**
 * `app` is a program of the test's own with the demo school, `empty` one with nothing. Tests that change
 * nothing share one, `shown`. The demo school is built once for all of them.
 */
export const test = base.extend<{ app: App; empty: App }, { built: string; shown: App }>({
  built: [
    async ({}, use) => {
      const app = new App(true);
      await app.start();
      await app.stop();
      await use(app.folder);
      await app.close();
    },
    { scope: 'worker' },
  ],
  shown: [
    async ({ built }, use) => {
      const app = new App(true, built);
      await app.start();
      await use(app);
      await app.close();
    },
    { scope: 'worker' },
  ],
  app: async ({ built }, use) => {
    const app = new App(true, built);
    await app.start();
    await use(app);
    await app.close();
  },
  empty: async ({}, use) => {
    const app = new App(false);
    await app.start();
    await use(app);
    await app.close();
  },
});

export { expect } from '@playwright/test';

/** Waits until the page has read nothing for half a second; it always listens to the program for changes. */
export const atRest = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        let before = -1;
        let still = 0;
        const timer = setInterval(() => {
          const now = performance.getEntriesByType('resource').length;
          still = now === before ? still + 1 : 0;
          before = now;
          if (still < 5) return;
          clearInterval(timer);
          resolve();
        }, 100);
      }),
  );

/** Waits until the page is kept for when there is no network, with what the lesson needs. */
export const keptFor = (page: Page, address: string) =>
  expect
    .poll(() =>
      page.evaluate(async () => {
        const room = navigator.serviceWorker.controller && (await caches.open('yard-notch-room /'));
        return room ? (await room.keys()).map(({ url }) => new URL(url).pathname) : [];
      }),
    )
    .toContain(address);

/** The way from a device to the program, which can be cut. */
export class Wire {
  url = '';
  private whole = true;
  private readonly ends = new Set<Socket>();
  private readonly between = createServer((device) => {
    if (!this.whole) {
      device.destroy();
      return;
    }
    const program = connect(Number(new URL(this.to).port), '127.0.0.1');
    for (const end of [device, program]) {
      this.ends.add(end);
      end
        .on('error', () => undefined)
        .on('close', () => {
          this.ends.delete(end);
          device.destroy();
          program.destroy();
        });
    }
    device.pipe(program).pipe(device);
  });

  constructor(private readonly to: string) {}

  async lay(): Promise<void> {
    await new Promise<void>((resolve) => this.between.listen(0, '127.0.0.1', resolve));
    this.url = `http://127.0.0.1:${(this.between.address() as AddressInfo).port}`;
  }

  cut(): void {
    this.whole = false;
    for (const end of this.ends) end.destroy();
  }

  mend(): void {
    this.whole = true;
  }

  close(): void {
    this.cut();
    this.between.close();
  }
}

/** Id of a lesson of the first course in which nothing is planned yet. */
export async function emptyLesson(app: App): Promise<number> {
  const answer = await fetch(`${app.url}/api/courses/1/lessons`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ title: 'One more', starts_at: '2026-11-03T18:30:00' }),
  });
  const plan = (await answer.json()) as { lesson: { id: number } };
  return plan.lesson.id;
}

/** Picks an option of a list that opens. */
export async function pick(page: Page, field: string, option: string | RegExp) {
  await page
    .getByRole('combobox', { name: field })
    .or(page.getByLabel(field, { exact: true }))
    .first()
    .click();
  await page.getByRole('option', { name: option, exact: typeof option === 'string' }).click();
}
