import type { APIRequestContext } from '@playwright/test';
import { expect, test } from './app';
import type { App } from './app';

/** What the API answers, read as it comes. */
type Json = any;

async function sent(request: APIRequestContext, url: string, method: string, data: unknown): Promise<Json> {
  const answer = await request.fetch(url, { method, data });
  expect(answer.ok(), `${method} ${url}: ${await answer.text()}`).toBe(true);
  return answer.json();
}

/** A lesson of turned potatoes alone, everybody cleared for it, with three bird's-beaks and nothing else that turns. */
async function turning(app: App, request: APIRequestContext): Promise<number> {
  const at = (path: string) => `${app.url}${path}`;
  const course: Json = await (await request.get(at('/api/courses/1'))).json();
  for (const { id, version, ...student } of course.students) {
    const fields = { ...student, special_clearance: true, clearance: 260 };
    await sent(request, at(`/api/students/${id}`), 'PUT', { version, fields });
  }
  const rack: Json = await (await request.get(at('/api/rack'))).json();
  const knives = rack.groups.flatMap((group: Json) => group.knives.map((each: Json) => each.knife));
  for (const { id, version, knife_type } of knives)
    if (knife_type === 'paring')
      await sent(request, at(`/api/rack/${id}/archive`), 'POST', { version, archived: true });
  const plan = await sent(request, at('/api/courses/1/lessons'), 'POST', {
    title: 'Turning',
    starts_at: '2026-11-10T18:30:00',
  });
  const choice = { food: 'potato', cut: 'turned', knives: 'rack' };
  const { setup, amount } = await sent(request, at('/api/courses/1/advice'), 'POST', choice);
  const { knife_type, knife_length, grip, hold, motion, third } = setup;
  const made = { knife_type, knife_length, grip, hold, motion, third, amount, own_minutes: 6 };
  await sent(request, at(`/api/lessons/${plan.lesson.id}/exercises`), 'POST', {
    food: 'potato',
    cut: 'turned',
    ...made,
  });
  return plan.lesson.id;
}

test('fourteen students take turns at three turning knives, and one who is ill changes little', async ({
  app,
  page,
}) => {
  const lesson = await turning(app, page.request);
  await page.goto(`${app.url}/courses/1/plan/${lesson}`);
  await page.getByRole('link', { name: 'Rotation' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Rotation: Turning' })).toBeVisible();
  await expect(page.getByText(/^5 rounds, 34 minutes with the changes between them/)).toBeVisible();
  await expect(page.getByText(/^No rotation has fewer: 13 turns share 3 knives: no\. /)).toBeVisible();
  const dock = page.getByRole('complementary', { name: 'Reasons and cautions' });
  await expect(dock.getByText("One more bird's-beak 70 saves 1 round, 7 minutes.")).toBeVisible();
  const turns = page.getByRole('button', { name: /^Turned potato with Bird's-beak 70/ });
  await expect(turns).toHaveCount(14);

  await page.getByRole('button', { name: 'Announce', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Announced', exact: true })).toBeDisabled();

  // Somebody is ill: nobody else need be told anything.
  await page.getByRole('button', { name: /Maren Oake/ }).click();
  await dock.getByRole('button', { name: 'Not here today' }).click();
  await expect(turns).toHaveCount(13);
  await expect(page.getByText('not here today')).toBeVisible();
  await expect(dock.getByRole('heading', { name: 'Changes' })).toHaveCount(0);

  // A knife breaks: whoever had it is told, and the number of the knife that was announced stands beneath.
  await turns.first().click();
  await dock.getByRole('button', { name: /^No\. \d+ is out$/ }).click();
  await expect(dock.getByRole('heading', { name: 'Changes' })).toBeVisible();
  await expect(dock.getByText(/instead of no\. /).first()).toBeVisible();
  await page.getByRole('button', { name: 'Announce the change' }).click();
  await expect(page.getByRole('button', { name: 'Announced', exact: true })).toBeDisabled();
  await page.reload();
  await expect(turns).toHaveCount(13);
  await expect(dock.getByRole('button', { name: 'Back in' })).toBeVisible();
});

test('a turn that is held stays where it is, with the keyboard alone', async ({ app, page }) => {
  await page.goto(`${app.url}/courses/1/plan/6/rotation`);
  const turn = page
    .getByRole('row', { name: /Tove Brandal/ })
    .getByRole('button')
    .nth(2);
  await turn.focus();
  await page.keyboard.press('Enter');
  const hold = page.getByRole('button', { name: 'Hold it here' });
  await hold.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Let it go' })).toBeVisible();
  await expect(turn).toContainText(', held');
});

test('a turn that is held before its student comes blocks the rotation, and a button frees it', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/courses/1/plan/6/rotation`);
  const turns = page.getByRole('row', { name: /Tove Brandal/ }).getByRole('button');
  await turns.nth(1).click();
  await page.getByRole('button', { name: 'Hold it here' }).click();
  await turns.first().click();
  await page.getByLabel('Here from round').fill('3');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('held in round 1, and comes in round 3.');
  await expect(page.getByRole('button', { name: 'Announce', exact: true })).toBeDisabled();
  await alert.getByRole('button', { name: /in round 3 instead of 1$/ }).click();
  await expect(alert).toBeHidden();
  await expect(page.getByRole('row', { name: /Tove Brandal/ }).getByRole('cell')).toContainText([
    'comes later',
    'comes later',
    /held/,
  ]);
  await page.getByRole('button', { name: 'Announce', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Announced', exact: true })).toBeDisabled();
});

test('on a phone what is done with a turn stays in sight', async ({ app, page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(`${app.url}/courses/1/plan/6/rotation`);
  await page
    .getByRole('row', { name: /Tove Brandal/ })
    .getByRole('button')
    .nth(1)
    .click();
  await expect(page.getByRole('button', { name: 'Hold it here' })).toBeInViewport();
});

test('the rotation is downloaded as a table', async ({ shown, page }) => {
  const table = await (await page.request.get(`${shown.url}/api/lessons/6/rotation/table`)).text();
  expect(table.split('\n')[0]).toBe('round,from minute,to minute,station,student,exercise,knife no.,knife');
});
