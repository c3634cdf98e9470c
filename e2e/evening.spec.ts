import type { Page, Response } from '@playwright/test';
import { expect, test } from './app';

const CLASS = '/courses/1/class/5?exercise=11&student=11';

const stations = (page: Page) => page.getByRole('list', { name: 'Stations' });

/** Chooses from what a class is asked for now and then. */
async function more(page: Page, name: string) {
  await page.getByRole('button', { name: 'More of this class' }).click();
  await page.getByRole('menuitem', { name }).click();
}

interface AskView {
  question: { asks: string[]; answers: { right: boolean }[] } | null;
}

/** Answers the questions of a round, wrong at these places; gives what was asked. */
async function answerAll(page: Page, wrong: number[]): Promise<string[]> {
  const read: AskView[] = [];
  page.on('response', async (response: Response) => {
    if (response.url().endsWith('/ask')) read.push((await response.json()) as AskView);
  });
  await more(page, 'Ask me');
  const asked: string[] = [];
  for (;;) {
    const next = page.getByRole('button', { name: /^Next/ });
    const question = page.getByRole('region', { name: 'Question' });
    await expect(question.or(page.getByRole('region', { name: 'How it went' }))).toBeVisible();
    if (!(await question.isVisible())) return asked;
    await expect.poll(() => read.length).toBeGreaterThan(asked.length);
    const answers = read[asked.length]?.question?.answers ?? [];
    const at = answers.findIndex((each) => each.right !== wrong.includes(asked.length));
    asked.push(
      (await question.getByRole('heading').innerText()) + ((await again(question)) ? ' (again)' : ''),
    );
    await page.keyboard.press(String(at + 1));
    await expect(next).toBeEnabled();
    await page.keyboard.press('Enter');
    await expect(question.getByRole('button', { name: /^Next/ })).toBeHidden();
  }
}

const again = (question: ReturnType<Page['getByRole']>) =>
  question.getByText('Missed before: once more').isVisible();

test('ten questions are asked, a missed one comes back, and the briefing opens the knives', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/set-up`);
  await page.getByLabel(/No knife before a passed briefing/).check();
  await page.getByRole('button', { name: 'Save the course' }).click();
  await expect(page.getByText(/^Saved\./)).toBeVisible();
  await page.goto(app.url + CLASS);
  await expect(page.getByText(/No knife before a passed briefing/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start the attempt' })).toBeDisabled();
  const asked = await answerAll(page, [1]);
  expect(asked).toHaveLength(11);
  expect(asked.filter((each) => each.endsWith('(again)'))).toEqual([asked[4]]);
  expect(asked[4]).toBe(`${asked[1]} (again)`);
  await expect(page.getByRole('heading', { name: /Passed/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep as a briefing' }).click();
  await expect(page.getByText(/Kept as a briefing of everybody who is there/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the class' }).last().click();
  await expect(page.getByRole('button', { name: 'Start the attempt' })).toBeEnabled();
});

test('the stations are laid out once, with the keys and with a finger, and stand there for everybody', async ({
  page,
  browser,
  app,
}) => {
  await page.goto(app.url + CLASS);
  await page.getByRole('button', { name: 'Lay out the room…' }).click();
  const room = page.getByRole('list', { name: 'Stations to lay out' });
  const first = room.getByRole('button', { name: /^Station 1,/ });
  await first.focus();
  for (let n = 0; n < 5; n++) await page.keyboard.press('ArrowDown');
  await expect(first).toHaveAccessibleName(/0 from the left, 100 from the front/);
  const fourth = room.getByRole('button', { name: /^Station 4,/ });
  const box = await fourth.boundingBox();
  if (!box) throw new Error('station 4 is not drawn');
  await page.mouse.move(box.x + 20, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x - 180, box.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect(fourth).not.toHaveAccessibleName(/: 1000 from the left/);
  const where = await fourth.getAttribute('aria-label');
  await page.getByRole('button', { name: 'Keep the room' }).click();
  await expect(stations(page)).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await other.goto(app.url + CLASS);
  await other.getByRole('button', { name: 'Lay out the room…' }).click();
  await expect(other.getByRole('button', { name: /^Station 4,/ })).toHaveAccessibleName(where ?? '');
});

const EVEN = Array.from({ length: 10 }, (_, n) => `3.${1 + (n % 3)} 3.2 50`).join('\n');
const WILD = Array.from({ length: 10 }, (_, n) => `${n % 2 ? 1.9 : 4.6} 3.9 50`).join('\n');

async function keepSample(page: Page, pieces: string) {
  await page.getByLabel(/^One piece a line/).fill(pieces);
  await page.getByRole('button', { name: 'Keep this sample' }).click();
  await expect(page.getByLabel(/^One piece a line/)).toHaveValue('');
}

test('two samples lie on one rule; what was chosen is no progress over what was taken unseen', async ({
  page,
  app,
}) => {
  await page.goto(app.url + CLASS);
  await page.getByRole('button', { name: 'Start the attempt' }).click();
  await page.getByRole('button', { name: 'Stop the attempt' }).click();
  await expect(page.getByText('Everything is sent.')).toBeVisible();
  await keepSample(page, WILD);
  await keepSample(page, EVEN);
  const other = page.getByRole('combobox', { name: 'Beside another sample of this cut' });
  await other.click();
  await page
    .getByRole('option', { name: /blind ten, 0 of 10 inside/ })
    .first()
    .click();
  const both = page.getByRole('region', { name: 'Beside another sample' });
  await expect(both.getByRole('group', { name: 'Thickness of both' })).toContainText(
    'more even, and not by chance',
  );
  await page.getByText('Best four', { exact: true }).click();
  await keepSample(page, ['3.2 3.2 50', '3.2 3.2 50', '3.2 3.2 50', '3.2 3.2 50'].join('\n'));
  await other.click();
  await page
    .getByRole('option', { name: /blind ten/ })
    .first()
    .click();
  await expect(both).toContainText('no progress');
  await expect(both).toContainText('The best four of 20 look');
});

test('which ten are taken is drawn, and callipers type the sizes', async ({ page, app }) => {
  await page.goto(app.url + CLASS);
  await page.getByRole('button', { name: 'Start the attempt' }).click();
  await page.getByRole('button', { name: 'Stop the attempt' }).click();
  await expect(page.getByText('Everything is sent.')).toBeVisible();
  await page.getByText('Draw which ten to take').click();
  await page.getByLabel('Pieces in the row').fill('40');
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  await expect(page.getByText(/^Take no\./)).toHaveText(/^Take no\. \d+( · \d+){9}$/);
  await page.getByLabel('Callipers type the sizes').check();
  const pieces = page.getByLabel(/^One piece a line/);
  await pieces.focus();
  // A reading ends with Enter, whichever side it is of.
  for (const reading of ['3.1', '3.3', '50', '3.4', '3.2']) {
    await page.keyboard.type(reading);
    await page.keyboard.press('Enter');
  }
  await expect(pieces).toHaveValue('3.1 3.3 50 3.4\n3.2 ');
  await page.getByRole('button', { name: 'Simulated callipers: next reading' }).click();
  await expect(pieces).toHaveValue(/^3\.1 3\.3 50 3\.4\n3\.2 \d+\.\d $/);
});

test('the beat lies on its times, heard and seen', async ({ page, app }) => {
  await page.addInitScript(() => {
    const starts: { at: number; now: number }[] = [];
    Object.assign(window, { starts });
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (at) {
      starts.push({ at: at ?? 0, now: this.context.currentTime });
      return start.call(this, at);
    };
  });
  await page.goto(app.url + CLASS);
  await page.getByRole('button', { name: 'Dry drill to the beat' }).click();
  const heard = () =>
    page.evaluate(() => (window as unknown as { starts: { at: number; now: number }[] }).starts);
  await expect.poll(async () => (await heard()).length, { timeout: 20_000 }).toBeGreaterThan(4);
  await page.getByRole('button', { name: 'Stop the beat' }).click();
  const beats = await heard();
  const [first] = beats;
  if (!first) throw new Error('no beat');
  // A learner's beat: thirty strokes a minute, each laid out before its time.
  beats.forEach(({ at, now }, n) => {
    expect(Math.abs(at - first.at - n * 2)).toBeLessThan(0.01);
    expect(at).toBeGreaterThan(now);
  });
});

test('the wall names nobody and shows the round, the steps and three cautions', async ({ page, app }) => {
  await page.goto(app.url + CLASS);
  await page.getByRole('button', { name: 'Begin the lesson' }).click();
  await more(page, 'Wall screen');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('timer', { name: 'Time left' })).toContainText('min');
  await expect(page.getByRole('region', { name: 'Steps' }).getByRole('listitem').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Mind' }).getByRole('listitem')).toHaveCount(3);
  for (const name of ['Noor', 'Tove', 'Maren']) await expect(page.getByText(name)).toHaveCount(0);
  await page.getByRole('button', { name: 'True size…' }).click();
  await page.getByRole('slider', { name: 'Length of the card' }).press('ArrowRight');
  await page.getByRole('button', { name: 'It is as long as the card' }).click();
  await expect(page.getByRole('img', { name: /^A piece at true size/ })).toBeVisible();
});

test('a class is run on two devices and closed with a knife missing only when it is said what happened', async ({
  page,
  browser,
  app,
}) => {
  await page.goto(app.url + CLASS);
  await page.getByRole('button', { name: 'Begin the lesson' }).click();
  const helper = await (await browser.newContext()).newPage();
  await helper.goto(`${app.url}/courses/1/rack/5?view=count`);
  await helper.getByLabel('Numbers').fill('1 2 3');
  await helper.getByRole('button', { name: 'Count out' }).click();
  await helper.getByRole('button', { name: /^2 / }).click();
  await helper.goto(app.url + CLASS);
  await page.getByRole('button', { name: /^Start (all|round)/ }).click();
  await expect(helper.getByRole('button', { name: /^Stop all/ })).toBeVisible();
  const marks = helper.getByRole('region', { name: 'Marks of this attempt' });
  await marks.getByRole('button', { name: 'Dull knife' }).click();
  await expect(
    page.getByRole('region', { name: 'Marks of this attempt' }).getByRole('button', { name: 'Dull knife' }),
  ).toHaveAttribute('aria-pressed', 'true');

  await more(page, 'Before you close…');
  const looked = page.getByRole('list', { name: 'What to look at' });
  await expect(looked).toContainText('2 of 3 not counted in: no. 1');
  await expect(looked).toContainText('Still cutting');
  await expect(looked).toContainText('its edge was marked 1 time');
  await looked.getByRole('button', { name: 'Stop all' }).click();
  await expect(looked).not.toContainText('Still cutting');
  await looked.getByRole('link', { name: 'Count in' }).click();
  await page.getByRole('button', { name: /^1 / }).click();
  await page.getByLabel(/^Who closes it/).fill('Mara');
  await page.getByRole('button', { name: 'Close the class' }).click();
  await expect(page.getByText(/no\. 3 missing\. Count again, or say what happened/)).toBeVisible();
  await page.getByLabel('What happened to the missing knife').fill('Lent to the galley, back on Monday.');
  await page.getByRole('button', { name: 'Close the class' }).click();
  await expect(page.getByRole('heading', { name: 'Closed' })).toBeVisible();
  await page.goto(`${app.url}/courses/1/class/5?show=closing`);
  await expect(page.getByText('This class is closed.')).toBeVisible();
});
