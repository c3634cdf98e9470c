import type { Page, Route } from '@playwright/test';
import { expect, test } from './app';

const PIECES = '3.4 3.3 50\n3.6 3.4 51\n3.5 3.6 49';

const station = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Stations' }).getByRole('button', { name });
const field = (page: Page) => page.getByRole('textbox', { name: /One piece a line/ });
const panel = (page: Page) => page.getByRole('region', { name: 'Measured pieces' });

/** A finished attempt of the first student in the first exercise of lesson 5. */
async function attempted(page: Page, url: string) {
  await page.goto(`${url}/courses/1/class/5`);
  await expect(station(page, 'Tove Brandal')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /Start (the|another) attempt/ }).click();
  await page.getByRole('button', { name: 'Stop the attempt' }).click();
  await expect(page.getByRole('button', { name: 'Start another attempt' })).toBeVisible();
}

/** The samples that the program has kept of the latest attempt. */
async function kept(page: Page, url: string): Promise<number> {
  const view = (await (await page.request.get(`${url}/api/lessons/5/class`)).json()) as {
    stations: { student: { name: string }; attempts: { samples: unknown[] }[] }[];
  };
  const own = view.stations.find((each) => each.student.name === 'Tove Brandal');
  return own?.attempts.at(-1)?.samples.length ?? -1;
}

test('pieces that were typed stay through another student and a new start of the page', async ({
  page,
  app,
}) => {
  await attempted(page, app.url);
  await field(page).fill(PIECES);
  await station(page, 'Ishaan Roy').click();
  await expect(page.getByRole('heading', { name: 'Measure Ishaan Roy' })).toBeVisible();
  await station(page, 'Tove Brandal').click();
  await expect(field(page)).toHaveValue(PIECES);
  await page.reload();
  await expect(field(page)).toHaveValue(PIECES);
  await page.getByRole('button', { name: 'Keep this sample' }).click();
  await expect(panel(page)).toContainText('Kept from the last attempt');
  await expect(field(page)).toHaveValue('');
  await page.reload();
  await expect(panel(page)).toContainText('Kept from the last attempt');
  await expect(field(page)).toHaveValue('');
});

test('lines that are typed while others are saved stay', async ({ page, app }) => {
  await attempted(page, app.url);
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/samples', async (route: Route) => {
    await held;
    await route.continue();
  });
  await field(page).fill(PIECES);
  await page.keyboard.press('Control+Enter');
  await field(page).press('Control+End');
  await page.keyboard.type('\n3.3 3.3 48');
  await page.keyboard.press('Control+Enter');
  letGo();
  await expect(field(page)).toHaveValue('3.3 3.3 48');
  expect(await kept(page, app.url), 'a second key press while saving saves nothing twice').toBe(1);
});

test('a sample whose answer is lost three times is kept once, and is not said to be lost', async ({
  page,
  app,
}) => {
  await attempted(page, app.url);
  let lost = 0;
  await page.route('**/samples', async (route: Route) => {
    if (lost >= 3) return route.continue();
    lost += 1;
    await route.fetch();
    await route.abort('connectionreset');
  });
  await field(page).fill(PIECES);
  await page.getByRole('button', { name: 'Keep this sample' }).click();
  await expect(page.getByText('The program is slow to answer. What you typed is kept.')).toBeVisible();
  await expect(panel(page)).toContainText('Kept from the last attempt', { timeout: 20_000 });
  expect(lost).toBe(3);
  expect(await kept(page, app.url)).toBe(1);
  await expect(page.getByText('is slow to answer')).toBeHidden();
});

test('a sample that was kept by mistake is taken back, with who and why', async ({ page, app }) => {
  await attempted(page, app.url);
  await field(page).fill(PIECES);
  await page.keyboard.press('Control+Enter');
  await expect(panel(page)).toContainText('Kept from the last attempt');
  await panel(page).getByRole('button', { name: 'Take back…' }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Why: nothing was given', { exact: false })).toBeVisible();
  await page.getByLabel('Who takes it back').fill('Mara');
  await page.getByLabel('Why').fill('Pieces of another student');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(panel(page)).toContainText('A sample was taken back by Mara');
  await expect(panel(page)).toContainText('Pieces of another student');
  expect(await kept(page, app.url)).toBe(0);
});

test.describe('on a device that keeps no files', () => {
  test.use({ serviceWorkers: 'block' });

  test('a view whose script cannot be loaded leaves the page standing, with a way back', async ({
    page,
    app,
  }) => {
    await page.goto(`${app.url}/courses/1/yard`);
    await expect(page.getByRole('heading', { name: 'Where everyone stands' })).toBeVisible();
    await page.route('**/assets/RackPage*', (route) => route.abort());
    await page.getByRole('link', { name: 'Rack' }).click();
    await expect(page.getByRole('alert')).toContainText('This view could not be shown');
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    await page.unroute('**/assets/RackPage*');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'The rack' })).toBeVisible();
  });
});
