import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, keptFor, test } from './app';

test('the page opens again without a network, says that it is old, and goes on when the program is back', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/yard`);
  await expect(page.getByRole('heading', { name: 'Where everyone stands' })).toBeVisible();
  // The last of what is read for the lesson on the way.
  await keptFor(page, '/api/students/14/evidence');
  await app.stop();

  await page.reload();
  await expect(page.getByRole('heading', { name: 'Where everyone stands' })).toBeVisible();
  await expect(page.getByText(/No answer from the program: this is as of \d/)).toBeVisible();
  // Places that were not opened before are there too.
  await page.getByRole('link', { name: 'Class', exact: true }).click();
  await expect(page.getByRole('button', { name: /Noor|Station/ }).first()).toBeVisible();
  await page.goto(`${app.url}/courses/1/plan/5/rotation`);
  await expect(page.getByRole('heading', { name: /[Rr]otation/ }).first()).toBeVisible();

  await app.start();
  await expect(page.getByText(/No answer from the program/)).toHaveCount(0);
});

test('who signs out leaves nothing of the school behind on the device', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/staff`);
  await keptFor(page, '/api/students/14/evidence');
  await page.getByRole('button', { name: 'Have everybody sign in…' }).click();
  await page.getByLabel('Name to sign in with').fill('Mara Vey');
  await page.getByLabel('Passphrase').fill('lantern on the quay');
  await page.getByRole('button', { name: 'Sign in from now on' }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const room = await caches.open('yard-notch-room /');
        return (await room.keys())
          .map(({ url }) => new URL(url).pathname)
          .filter((path) => path !== '/api/about');
      }),
    )
    .toEqual([]);
});

test('a newer program takes over without losing what is typed', async ({ page, app }) => {
  // Between the page and the program, so that the worker can become another one.
  let newer = '';
  const between = createServer((asked, answered) => {
    const on = request(
      new URL(asked.url ?? '/', app.url),
      {
        method: asked.method,
        headers: { ...asked.headers, host: new URL(app.url).host, 'accept-encoding': '' },
      },
      (answer) => {
        const worker = asked.url === '/sw.js';
        const { 'content-length': length, ...others } = answer.headers;
        answered.writeHead(answer.statusCode ?? 500, worker || !length ? others : answer.headers);
        answer.pipe(answered, { end: !worker });
        if (worker) answer.on('end', () => answered.end(newer));
      },
    );
    asked.pipe(on);
  });
  await new Promise<void>((resolve) => between.listen(0, '127.0.0.1', resolve));
  const url = `http://127.0.0.1:${(between.address() as AddressInfo).port}`;
  try {
    await page.goto(`${url}/courses/1/staff`);
    await keptFor(page, '/api/courses');
    const name = page.getByLabel('Your name');
    await name.fill('Mara V');
    newer = '\n// A newer program.';
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
    await expect(page.getByText('It waits until what you typed is saved.')).toBeVisible();
    await expect(name).toHaveValue('Mara V');
    await page.getByRole('button', { name: 'Use this name' }).click();
    const loaded = page.waitForEvent('load');
    await page.getByRole('button', { name: 'Take over now' }).click();
    await loaded;
    await expect(page.getByText(/newer version/)).toHaveCount(0);
    await expect(page.getByLabel('Your name')).toHaveValue('Mara V');
  } finally {
    between.closeAllConnections();
    between.close();
  }
});
