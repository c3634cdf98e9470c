import ICAL from 'ical.js';
import { expect, test } from './app';
import type { Page } from '@playwright/test';

const column = (page: Page, session: number) => page.locator(`[data-session="${session - 1}"]`);
const block = (page: Page, session: number, name: RegExp) =>
  column(page, session).getByRole('button', { name });

test('a course is drafted from its goals, pinned, and drafted again', async ({ app, page }) => {
  await page.goto(`${app.url}/courses/1/course`);
  await expect(page.getByText('Every rule holds · 2 of 2 goals in time')).toBeVisible();
  // Every session of the demo is filled.
  for (let session = 1; session <= 8; session += 1)
    await expect(column(page, session).getByRole('button').first()).toBeVisible();
  // Brunoise is moved from the last session to the one before, by key: the session is too full then.
  const last = block(page, 8, /^Brunoise/);
  await last.click();
  await expect(page.getByRole('complementary')).toContainText('New: it follows small dice');
  await last.press('ArrowLeft');
  await expect(block(page, 7, /^Brunoise/)).toHaveAttribute('aria-pressed', 'true');
  // The keys go on where the block is now: there and back.
  await page.keyboard.press('ArrowLeft');
  await expect(block(page, 6, /^Brunoise/)).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(block(page, 7, /^Brunoise/)).toBeFocused();
  await expect(page.getByRole('complementary')).toContainText(
    /Session 7 needs \d+ minutes of practice and has 42/,
  );
  // Drafted again, what was moved by hand stays, and everything holds.
  await page.getByRole('button', { name: 'Draft', exact: true }).click();
  await expect(page.getByText('Every rule holds')).toBeVisible();
  await expect(block(page, 7, /^Brunoise/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: 'Keep it' })).toBeHidden();
  await page.reload();
  await expect(block(page, 7, /^Brunoise.*pinned/)).toBeVisible();
  // The lesson has it, with its practice on the rule.
  await page.getByRole('link', { name: /^7 Tue/ }).click();
  await expect(page.getByRole('region', { name: /^Brunoise of/ })).toBeVisible();
});

test('a block is dragged to another session', async ({ app, page }) => {
  await page.goto(`${app.url}/courses/1/course`);
  const from = await block(page, 8, /^Brunoise/).boundingBox();
  const to = await column(page, 7).first().boundingBox();
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(to.x + 40, from.y + 20, { steps: 5 });
  await page.mouse.up();
  await expect(block(page, 7, /^Brunoise/)).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Back to what is kept' }).click();
  await expect(block(page, 8, /^Brunoise/)).toBeVisible();
});

test('a goal out of reach says what would reach it, and one more session does', async ({ app, page }) => {
  await page.goto(`${app.url}/courses/1/course`);
  const goal = async (by: string) => {
    await page.getByLabel('Notch', { exact: true }).selectOption('true');
    await page.getByLabel('In', { exact: true }).selectOption('in brunoise');
    await page.getByLabel('By session', { exact: true }).selectOption(by);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('complementary')).toContainText(
      `True in brunoise by session ${by.split(' ').at(-1)}`,
    );
    await page.getByRole('button', { name: 'Draft', exact: true }).click();
  };
  await goal('by session 8');
  await expect(page.getByRole('complementary')).toContainText(
    'Would reach it: One more session before it is due.',
  );
  await page.getByRole('button', { name: 'Back to what is kept' }).click();
  await page.getByText('Add sessions', { exact: true }).click();
  await page.getByLabel('First day').fill('2026-11-03');
  await page.getByLabel('Sessions', { exact: true }).fill('1');
  await page.getByRole('button', { name: 'Add the sessions' }).click();
  await expect(page.getByRole('link', { name: /^9 Tue 3 Nov/ })).toBeVisible();
  await goal('by session 9');
  await expect(page.getByText('3 of 3 goals in time')).toBeVisible();
});

test('the lessons are read by another program’s calendar, in the zone of the school', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/courses/1/set-up`);
  await page.getByRole('button', { name: 'Make an address to subscribe to' }).click();
  const told = await page.getByText(/\/api\/calendar\//).textContent();
  const address = /http\S+/.exec(told ?? '')?.[0] ?? '';
  const text = await (await fetch(address)).text();
  const calendar = new ICAL.Component(ICAL.parse(text));
  for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events).toHaveLength(8);
  // Summer time ends between lessons 7 and 8: by the clock on the wall both begin at half past six.
  const moments = events.map((event) => event.startDate.toJSDate().toISOString());
  expect(moments.slice(-2)).toEqual(['2026-10-20T17:30:00.000Z', '2026-10-27T18:30:00.000Z']);
  expect(events.map((event) => event.duration.toSeconds() / 60)).toEqual(Array(8).fill(110));
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('button', { name: 'Make an address to subscribe to' })).toBeVisible();
  expect((await fetch(address)).status).toBe(404);
});
