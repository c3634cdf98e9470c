import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { Ajv2020 } from 'ajv/dist/2020.js';
import formats from 'ajv-formats';
import { expect, test } from './app';

async function saved(page: Page, url: string, course: number): Promise<string> {
  await page.goto(`${url}/courses/${course}/set-up`);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the course as a file' }).click();
  return readFileSync(await (await download).path(), 'utf8');
}

const choose = (page: Page, text: string) =>
  page
    .getByRole('region', { name: 'A course from a file' })
    .locator('input[type=file]')
    .setInputFiles({ name: 'course.json', mimeType: 'application/json', buffer: Buffer.from(text) });

test('a course is saved, everything is wiped, and it is taken in again as it was', async ({
  app,
  empty,
  page,
}) => {
  const file = await saved(page, app.url, 1);
  await page.goto(`${empty.url}/start`);
  await choose(page, file);
  const shown = page.getByRole('region', { name: 'A course from a file' });
  await expect(shown).toContainText('8 lessons with 23 exercises');
  await expect(shown).toContainText('go on the rack, which is empty');
  await shown.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('heading', { name: 'The whole course' })).toBeVisible();
  await expect(page.getByText('True in small dice by session 8')).toBeVisible();
  expect(JSON.parse(await saved(page, empty.url, 1))).toEqual(JSON.parse(file));
  await page.goto(`${empty.url}/courses/1/yard`);
  await expect(page.getByText('Tove Brandal').first()).toBeVisible();
});

test('a saved course is what its published schema says, by another program’s reading', async ({
  app,
  page,
}) => {
  const schema = await (await fetch(`${app.url}/api/course-file/schema`)).json();
  const ajv = new Ajv2020({ strict: false, allErrors: true, logger: false });
  formats.default(ajv);
  const valid = ajv.compile(schema as object);
  for (const course of [1, 2]) {
    const file = JSON.parse(await saved(page, app.url, course)) as { version: number; lessons: object[] };
    expect(valid(file), JSON.stringify(valid.errors?.slice(0, 3))).toBe(true);
    expect(valid({ ...file, version: 2 })).toBe(false);
    expect(valid({ ...file, lessons: [{ ...file.lessons[0], minutes: 'long' }] })).toBe(false);
  }
});

test('a file that cannot be taken says why and where, and nothing of it is kept', async ({
  empty: app,
  app: demo,
  page,
}) => {
  const file = await saved(page, demo.url, 2);
  await page.goto(`${app.url}/start`);
  const shown = page.getByRole('region', { name: 'A course from a file' });
  await choose(page, file.replace('"version":1', '"version":7'));
  await expect(shown).toContainText('was written by a newer version of this program');
  await choose(page, file.replaceAll('child_cooks', 'machete'));
  await expect(shown).toContainText('“machete” is not known');
  await expect(shown).toContainText('/lessons/0/exercises/0/knife_type');
  await choose(page, 'name;hand\nUna;left');
  await expect(shown).toContainText('“course.json” is no course file');
  await expect(shown.getByRole('button', { name: 'Take it in' })).toBeHidden();
  expect(await (await fetch(`${app.url}/api/courses`)).json()).toEqual([]);
});
