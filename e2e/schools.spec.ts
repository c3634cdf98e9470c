import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { execFileSync, spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BINARY, expect, test } from './app';

const PASSPHRASE = 'lantern on the quay';

/** A host with two schools: `quay` with the demo's records, `pier` with none yet. */
class Host {
  url = '';
  /** The page for who runs it. */
  watched = '';
  readonly folder = mkdtempSync(join(tmpdir(), 'yard-notch-schools-'));
  private process: ChildProcess | undefined;

  /** Makes a school; the link of its first instructor. */
  add(name: string, title: string, built?: string): string {
    const made = [
      'school',
      '--schools',
      this.folder,
      'add',
      name,
      '--title',
      title,
      '--instructor',
      'Mara Vey',
    ];
    const link = /\/s\/\S*\/join\/\S+/.exec(execFileSync(BINARY, made, { encoding: 'utf8' }))?.[0];
    if (!link) throw new Error('no link was told');
    if (!built) return link;
    cpSync(built, join(this.folder, name), { recursive: true });
    const passphrase = ['passphrase', '--name', 'Mara Vey', '--data', join(this.folder, name)];
    execFileSync(BINARY, passphrase, { input: `${PASSPHRASE}\n`, stdio: ['pipe', 'pipe', 'inherit'] });
    return link;
  }

  async start(): Promise<void> {
    const options = ['serve', '--schools', this.folder, '--listen', '127.0.0.1:0', '--watch', '127.0.0.1:0'];
    const started = spawn(BINARY, options, { stdio: ['ignore', 'pipe', 'inherit'] });
    this.process = started;
    await new Promise<void>((resolve, reject) => {
      let said = '';
      started.stdout.on('data', (chunk: Buffer) => {
        said += chunk.toString();
        const [url, watched] = [...said.matchAll(/http:\/\/[\d.:]+/g)].map(([found]) => found);
        if (!url || !watched) return;
        [this.url, this.watched] = [url, watched];
        resolve();
      });
      started.once('exit', (code) => reject(new Error(`the program ended with ${code}`)));
    });
  }

  async close(): Promise<void> {
    const ended = new Promise((resolve) => this.process?.once('exit', resolve));
    this.process?.kill('SIGTERM');
    await ended;
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const hosted = test.extend<{ host: Host }>({
  host: async ({ built }, use) => {
    const host = new Host();
    host.add('quay', 'Lanternfish Galley School', built);
    await host.start();
    await use(host);
    await host.close();
  },
});

async function passesAxe(page: Page) {
  const found = await new AxeBuilder({ page }).analyze();
  expect(found.violations.map((each) => `${each.id}: ${each.nodes[0]?.html}`)).toEqual([]);
}

async function signIn(page: Page, url: string) {
  await page.goto(url);
  await page.getByLabel('Passphrase').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** What the device keeps of a school beside the program's own files: the page and what was read. */
const keptOf = (page: Page, school: string) =>
  page.evaluate(async (school) => {
    const kept: string[] = [];
    const ofSchool = (name: string) => name.startsWith('yard-notch') && name.endsWith(`/s/${school}/`);
    for (const name of (await caches.keys()).filter(ofSchool)) {
      const cache = await caches.open(name);
      for (const request of await cache.keys()) kept.push(await (await cache.match(request))!.text());
    }
    return kept.join('\n');
  }, school);

/** The addresses of what the device keeps of a school. */
const keptAt = (page: Page, school: string) =>
  page.evaluate(async (school) => {
    const room = await caches.open(`yard-notch-room /s/${school}/`);
    return (await room.keys()).map(({ url }) => new URL(url).pathname);
  }, school);

hosted(
  'a second school sees nothing of the first, on the same device too',
  async ({ page, context, host }) => {
    await signIn(page, `${host.url}/s/quay/courses/1/yard`);
    await expect(page.getByRole('button', { name: 'Maren Oake' })).toBeVisible();
    await expect(page).toHaveURL(/\/s\/quay\/courses\/1\/yard/);
    // Its places, files and links are its own.
    await page.getByRole('link', { name: 'Rack' }).click();
    await expect(page.getByRole('heading', { name: 'The rack' })).toBeVisible();
    await expect(page).toHaveURL(/\/s\/quay\/courses\/1\/rack/);
    await page.goto(`${host.url}/s/quay/courses/1/rack?view=table`);
    const download = page.waitForEvent('download');
    await page
      .getByRole('link', { name: /rack\.csv|CSV|Save/ })
      .first()
      .click();
    expect((await download).url()).toContain('/s/quay/api/rack/table');
    // The last of what is read for the lesson on the way.
    await expect.poll(() => keptAt(page, 'quay')).toContain('/s/quay/api/students/14/evidence');
    expect(await keptOf(page, 'quay')).toContain('Maren Oake');

    // A school that was made while the host serves.
    const link = host.add('pier', 'The pier');
    await page.goto(`${host.url}${link}`);
    await page.getByLabel('Passphrase').fill('rope and tackle');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Welcome to Yard Notch' })).toBeVisible();
    await page.goto(`${host.url}/s/pier/courses/1/yard?student=4`);
    await expect(page.getByText('there is no course 1')).toBeVisible();
    await expect(page.locator('body')).not.toContainText(/Maren|Galley|Lanternfish/);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    expect((await keptOf(page, 'pier')).match(/Maren|Galley|Lanternfish/)).toBeNull();

    // Cut off, each opens as itself.
    await context.setOffline(true);
    await page.goto(`${host.url}/s/quay/courses/1/yard`);
    await expect(page.getByRole('button', { name: 'Maren Oake' })).toBeVisible();
    await page.goto(`${host.url}/s/pier/`);
    await expect(page.locator('body')).not.toContainText(/Maren|Galley|Lanternfish/);
    await context.setOffline(false);
    await page.goto(`${host.url}/s/quay/courses/1/yard`);
    await expect(page.getByRole('button', { name: 'Maren Oake' })).toBeVisible();
  },
);

hosted('who runs the host sees every school, what needs somebody first', async ({ page, host }) => {
  host.add('pier', 'The pier');
  writeFileSync(join(host.folder, 'pier', 'yard-notch.db'), 'no database'.repeat(500));
  await page.goto(`${host.url}/s/pier/`);
  await expect(page.locator('body')).toContainText('The records of this school cannot be opened');
  await page.goto(host.watched);
  await expect(page.getByText('1 needs you; it stands first.')).toBeVisible();
  const rows = page.getByRole('row');
  await expect(rows.nth(1)).toContainText('The pier');
  await expect(rows.nth(1)).toContainText('is damaged or is no database');
  await expect(rows.nth(2)).toContainText('Lanternfish Galley School');
  await passesAxe(page);
  await page.getByLabel('Find').fill('lantern');
  await page.keyboard.press('Enter');
  await expect(rows).toHaveCount(2);
});
