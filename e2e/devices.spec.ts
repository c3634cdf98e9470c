import type { Browser, Page } from '@playwright/test';
import { Wire, expect, keptFor, test } from './app';

const station = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Stations' }).getByRole('button', { name });

/** A button of what is seen at work. */
const mark = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Marks of this attempt' }).getByRole('button', { name });

/** A device of its own, at the julienne of lesson 5. */
async function device(browser: Browser, url: string) {
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.goto(`${url}/courses/1/class/5?exercise=11&student=11`);
  await expect(page.getByRole('heading', { name: 'Julienne of carrot' })).toBeVisible();
  return { context, page };
}

interface Mark {
  at: string;
  what: { kind: string; fault?: string };
}

async function madeOf(url: string, student: number): Promise<Mark[]> {
  const answer = await fetch(`${url}/api/lessons/5/class?exercise=11`);
  const view = (await answer.json()) as {
    stations: { student: { id: number }; attempts: { made: Mark[] }[] }[];
  };
  const of = view.stations.find((each) => each.student.id === student);
  return of?.attempts.flatMap((attempt) => attempt.made) ?? [];
}

test('what is touched while the network is cut is kept, survives the page, and is sent in order once', async ({
  browser,
  app,
}) => {
  const wire = new Wire(app.url);
  await wire.lay();
  const far = await device(browser, wire.url);
  const near = await device(browser, app.url);
  try {
    // Live between the two.
    await far.page.getByRole('button', { name: 'Start the attempt' }).click();
    await expect(near.page.getByRole('timer', { name: 'Time of the attempt' })).toBeVisible();
    await mark(near.page, 'Hold sound').click();
    await expect(mark(far.page, 'Hold sound')).toHaveAttribute('aria-pressed', 'true');

    await keptFor(far.page, '/api/students/14/evidence');
    // The worker has the class as it is now, each exercise of it.
    await far.page.reload();
    await expect(mark(far.page, 'Hold sound')).toHaveAttribute('aria-pressed', 'true');
    wire.cut();
    await mark(far.page, 'Loose grip').click();
    await expect(mark(far.page, 'Loose grip')).toHaveAttribute('aria-pressed', 'true');
    await expect(far.page.getByText(/1 touch not sent yet/)).toBeVisible();
    await station(far.page, 'Lio Tern').click();
    await far.page.getByRole('button', { name: 'Start the attempt' }).click();
    await mark(far.page, 'Claw drifts').click();
    await far.page.getByRole('button', { name: 'Stop the attempt' }).click();
    await expect(far.page.getByText(/4 touches not sent yet/)).toBeVisible();
    await mark(near.page, 'Grip sound').click();

    // The page is closed and opened again, still without the network.
    await far.page.close();
    far.page = await far.context.newPage();
    await far.page.goto(`${wire.url}/courses/1/class/5?exercise=11&student=14`);
    await expect(far.page.getByText(/4 touches not sent yet/)).toBeVisible();
    await expect(mark(far.page, 'Claw drifts')).toHaveAttribute('aria-pressed', 'true');

    const cut = new Date(((await (await fetch(`${app.url}/api/about`)).json()) as { now: string }).now);
    wire.mend();
    await expect(far.page.getByText('Everything is sent.')).toBeVisible({ timeout: 20_000 });
    await expect(mark(near.page, 'Loose grip')).toHaveAttribute('aria-pressed', 'true');
    await station(far.page, 'Noor Hale').click();
    await expect(mark(far.page, 'Grip sound')).toHaveAttribute('aria-pressed', 'true');
    const noor = await madeOf(app.url, 11);
    expect(noor.map((mark) => mark.what.fault ?? mark.what.kind)).toEqual(['hold', 'loose_grip', 'grip']);
    const lio = await madeOf(app.url, 14);
    expect(lio.map((mark) => mark.what.fault ?? mark.what.kind)).toEqual(['claw_drifts']);
    expect(Date.parse(lio[0]?.at ?? '')).toBeLessThan(cut.getTime());
  } finally {
    await far.context.close();
    await near.context.close();
    wire.close();
  }
});

test('a touch that cannot be taken is told, and holds nothing up', async ({ browser, app }) => {
  const wire = new Wire(app.url);
  await wire.lay();
  const far = await device(browser, wire.url);
  try {
    wire.cut();
    await far.page.getByRole('button', { name: 'Start the attempt' }).click();
    await mark(far.page, 'Loose grip').click();
    // Meanwhile another device starts the same student.
    const started = await fetch(`${app.url}/api/lessons/5/attempts`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ starts: [{ student_id: 11, exercise_id: 11, knife_id: 13 }] }),
    });
    expect(started.status).toBe(201);
    wire.mend();
    const told = far.page.getByRole('alert');
    await expect(told.first()).toContainText(
      'Not taken: Noor Hale: start. Noor Hale already has an attempt running',
      {
        timeout: 20_000,
      },
    );
    await told.first().getByRole('button', { name: 'Seen' }).click();
  } finally {
    await far.context.close();
    wire.close();
  }
});
