import type { Page } from '@playwright/test';
import { expect, pick, test } from './app';

const PIECES =
  '3.4 3.3 50\n3.6 3.4 51\n3.5 3.6 49\n3.7 3.5 50\n3.3 3.4 50\n3.6 3.6 48\n3.5 3.3 50\n3.8 3.5 51\n4.2 3.6 50\n3.4 3.5 50';

const station = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Stations' }).getByRole('button', { name });

/** A button of what is seen at work. */
const mark = (page: Page, name: string | RegExp) =>
  page.getByRole('region', { name: 'Marks of this attempt' }).getByRole('button', { name });

/** Opens the julienne of lesson 5 at a student. */
async function open(page: Page, url: string, name: string) {
  await page.goto(`${url}/courses/1/class/5`);
  await page.getByText('Julienne of carrot', { exact: true }).first().click();
  await expect(page.getByRole('heading', { name: 'Julienne of carrot' })).toBeVisible();
  await station(page, name).click();
}

async function attempt(page: Page) {
  await page.getByRole('button', { name: /Start (the|another) attempt/ }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('button', { name: 'Stop the attempt' }).click();
  await expect(page.getByRole('button', { name: 'Start another attempt' })).toBeVisible();
}

test('a student is timed, marked, measured and judged on the spot', async ({ page, app }) => {
  await open(page, app.url, 'Noor Hale');
  await attempt(page);
  await page.getByRole('button', { name: 'Grip sound' }).click();
  await page.getByRole('button', { name: 'Hold sound' }).click();
  await page.getByRole('button', { name: 'Loose grip' }).click();
  await expect(page.getByText('“Pinch the blade: if I nudge it, it must not move.”')).toBeVisible();
  await page.getByRole('textbox', { name: /One piece a line/ }).fill(PIECES);
  const panel = page.getByRole('region', { name: 'Measured pieces' });
  await expect(panel).toContainText('9 of 10 inside: proves 59 %');
  await expect(panel).toContainText('bias +0.43');
  await expect(panel).toContainText('The guide hand moves too far each time.');
  await expect(panel).toContainText('“A hair less between strokes');
  await expect(
    panel.getByRole('img', { name: /thickness: mean 3.6 mm, inside from 2.4 to 4 mm, 9 of 10 inside/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep this sample' }).click();
  await expect(panel).toContainText('Kept from the last attempt');
  await page.reload();
  await expect(panel).toContainText('9 of 10 inside: proves 59 %');
  await expect(mark(page, 'Loose grip')).toHaveAttribute('aria-pressed', 'true');
});

test('the whole attempt is run from the keyboard', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/class/5`);
  await expect(station(page, 'Tove Brandal')).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press(']');
  await expect(station(page, 'Ishaan Roy')).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('s');
  await expect(page.getByRole('timer')).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByRole('timer')).toBeHidden();
  await page.keyboard.press('m');
  await page.keyboard.type('1/4 1/4 2in\n6.4 6.3 50');
  await expect(page.getByRole('region', { name: 'Measured pieces' })).toContainText('2 of 2 inside');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('region', { name: 'Measured pieces' })).toContainText(
    'Kept from the last attempt',
  );
});

test('a Stop fault ends the attempt and pauses the student', async ({ page, app }) => {
  await open(page, app.url, 'Juno Pike');
  await page.getByRole('button', { name: 'Start the attempt' }).click();
  await page.getByRole('button', { name: 'Fingertip ahead' }).click();
  await expect(
    page.getByText('“Stop. Curl the fingertips back: the knuckle leads, the thumb hides.”'),
  ).toBeVisible();
  await expect(station(page, 'Juno Pike')).toContainText('paused');
  await expect(page.getByRole('button', { name: 'Start another attempt' })).toBeDisabled();
  await page.goto(`${app.url}/courses/1/yard?student=7`);
  await expect(page.getByRole('complementary')).toContainText('Next: Safe first: julienne');
  await expect(
    page.getByRole('row', { name: /Juno Pike/ }).getByRole('img', { name: /Julienne: safe lapsed/ }),
  ).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Looked at together: go on' }).click();
  await expect(station(page, 'Juno Pike')).not.toContainText('paused');
  await page.getByRole('button', { name: 'Start another attempt' }).click();
  await expect(page.getByRole('timer', { name: 'Time of the attempt' })).toBeVisible();
});

test('every touch is undone with one, and a wrong mark is corrected later beside the original', async ({
  page,
  app,
}) => {
  await open(page, app.url, 'Noor Hale');
  await page.getByRole('button', { name: 'Start the attempt' }).click();
  await mark(page, 'Loose grip').click();
  await mark(page, 'Loose grip').click();
  await expect(mark(page, /Loose grip/)).toContainText('×2');
  await page.getByRole('button', { name: 'Undo: Noor Hale: Loose grip' }).click();
  await expect(mark(page, 'Loose grip')).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('u');
  await expect(mark(page, 'Loose grip')).toHaveAttribute('aria-pressed', 'false');
  // A Stop fault that was touched by mistake lets the attempt run on.
  await mark(page, 'Fingertip ahead').click();
  await expect(station(page, 'Noor Hale')).toContainText('paused');
  await page.getByRole('button', { name: 'Undo: Noor Hale: Fingertip ahead' }).click();
  await expect(page.getByRole('timer', { name: 'Time of the attempt' })).toBeVisible();
  await expect(page.getByText('Everything is sent.')).toBeVisible();

  await mark(page, 'Grip sound').click();
  await mark(page, 'Praise').click();
  await expect(page.getByText('Everything is sent.')).toBeVisible();
  await page.getByRole('button', { name: /marks, when and by whom/ }).click();
  const made = page.getByRole('list', { name: 'Marks, when and by whom' });
  await made.getByRole('button', { name: 'Correct Grip sound…' }).click();
  await pick(page, 'What was seen in truth', 'Loose grip');
  await made.getByLabel('Who corrects it').fill('Mara Vey');
  await made.getByRole('button', { name: 'Correct it' }).click();
  await expect(made.getByLabel('Why')).toHaveAccessibleDescription(/Why/);
  await made.getByLabel('Why').fill('It was the blade, not the pinch.');
  await made.getByRole('button', { name: 'Correct it' }).click();
  await expect(made).toContainText('Mara Vey, 18:1');
  await expect(made).toContainText('It was the blade, not the pinch.');
  await expect(made).toContainText('instead of Grip sound');
  await expect(mark(page, /^Grip sound$/)).toHaveAttribute('aria-pressed', 'false');
});

test('everybody starts and stops with one touch, and one undo takes it back', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/class/5?exercise=11`);
  const round = page.getByRole('group', { name: 'The round' });
  const start = round.getByRole('button', { name: /^Start (all|round 1): \d+/ });
  const many = Number(/\d+$/.exec((await start.textContent()) ?? '')?.[0]);
  expect(many).toBeGreaterThan(3);
  await start.click();
  await expect(round.getByRole('button', { name: `Stop all: ${many}` })).toBeVisible();
  await expect(page.getByText('Everything is sent.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo: .*start/ }).click();
  await expect(round.getByRole('button', { name: /^Stop all/ })).toBeHidden();
  await round.getByRole('button', { name: /^Start (all|round 1): \d+/ }).click();
  await round.getByRole('button', { name: `Stop all: ${many}` }).click();
  await expect(page.getByRole('list', { name: 'Stations' }).getByText('blind ten due')).toHaveCount(many);
});

test('only knives within the clearance are handed out', async ({ page, app }) => {
  await open(page, app.url, 'Ada Quill');
  await expect(page.getByRole('complementary')).toContainText('only to 130 mm');
  await page
    .getByRole('combobox', { name: 'Knife in hand' })
    .or(page.getByLabel('Knife in hand'))
    .first()
    .click();
  const offered = await page.getByRole('option').allTextContents();
  expect(offered.length).toBeGreaterThan(0);
  expect(offered.every((name) => name.startsWith('Petty 130'))).toBe(true);
});

test('wrong pieces are told at the field, and nothing typed is lost', async ({ page, app }) => {
  await open(page, app.url, 'Noor Hale');
  await attempt(page);
  const field = page.getByRole('textbox', { name: /One piece a line/ });
  const panel = page.getByRole('region', { name: 'Measured pieces' });
  for (const [typed, said] of [
    ['3.1\n1/0', 'Line 2: “1/0” has 0 below the line'],
    ['3.1 kg', 'has the unit “kg”'],
    ['-3', 'is below zero'],
    ['0', 'Allowed: 0.2 to 400 mm'],
    ['3000', 'Allowed: 0.2 to 400 mm'],
    ['NaN', 'is not a length'],
  ] as const) {
    await field.fill(typed);
    await expect(panel).toContainText(said);
  }
  // A paste arrives as one change; typing ten thousand lines through the test tool would take minutes.
  await field.evaluate((element, text) => {
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(element, text);
    element.dispatchEvent(new Event('input', { bubbles: true }));
  }, '3.1\n'.repeat(10_000));
  await expect(panel).toContainText('“10000” are too many for one sample. Allowed: 1 to 500');
  await field.fill('3.1 abc');
  await page.getByRole('button', { name: 'Keep this sample' }).click();
  await expect(panel).toContainText('has the unit “abc”');
  await expect(field).toHaveValue('3.1 abc');
  await field.fill('3.1');
  await expect(panel).toContainText('1 of 1 inside');
  await expect(panel).toContainText('Too few pieces to say anything but their size.');
});

test('a best-four sample needs four pieces and says that it proves nothing', async ({ page, app }) => {
  await open(page, app.url, 'Noor Hale');
  await attempt(page);
  await page.getByText('Best four').click();
  const panel = page.getByRole('region', { name: 'Measured pieces' });
  await expect(panel).toContainText('no evidence for a notch');
  await page.getByRole('textbox', { name: /One piece a line/ }).fill('3.1\n3.2\n3.2');
  await expect(panel).toContainText('Allowed: exactly 4 pieces');
  await page.getByRole('textbox', { name: /One piece a line/ }).fill('3.1\n3.2\n3.2\n3.3');
  await expect(panel).toContainText('99.4 of 100 inside where the pile is inside only 40 of 100');
});

test('a near-miss is written down under what to do first', async ({ page, app }) => {
  await open(page, app.url, 'Lio Tern');
  await page.getByRole('button', { name: 'Nick or near-miss…' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('stop the class, press with a clean cloth');
  await sheet.getByRole('button', { name: 'Write it down' }).click();
  await expect(sheet).toContainText('What happened: nothing was given');
  await sheet.getByLabel('What happened').fill('Board slid on a wet cloth; no cut.');
  await sheet.getByRole('button', { name: 'Write it down' }).click();
  await expect(sheet).toBeHidden();
  await page.goto(`${app.url}/courses/1/yard?student=14`);
  await expect(page.getByRole('complementary')).toContainText('Board slid on a wet cloth; no cut.');
});

test('the verdict says which fault explains the pieces best, or that it is unclear', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/class/5?exercise=11&student=11`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByRole('timer')).toBeVisible();
  await page.keyboard.press('s');
  const panel = page.getByRole('region', { name: 'Measured pieces' });
  const pieces = panel.getByRole('textbox', { name: /One piece a line/ });
  await pieces.fill('4.9 3.2\n5.0 3.1\n4.8 3.3\n4.9 3.2\n5.1 3.2\n4.9 3.3');
  const causes = panel.getByRole('group', { name: 'What explains it best' });
  await expect(causes).toContainText('Most likely: planks too thick, sticks right');
  await pieces.fill('3.2 3.2\n3.1 3.3\n3.3 3.2\n3.2 3.1\n3.2 3.2\n3.1 3.2');
  await expect(causes).toBeHidden();
  await pieces.fill('3.7 3.2\n3.4 3.3\n3.6 3.2\n3.4 3.1\n3.5 3.2');
  await expect(causes).toContainText(/^Unclear: .* or .*/);
});

test('a sharp and a dulled knife are told apart by figures, by the instructor on soft food', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/class/5`);
  await page.getByRole('button', { name: 'More of this class' }).click();
  await page.getByRole('menuitem', { name: 'Sharp and dull…' }).click();
  await expect(page.getByText(/Only the instructor cuts with the dulled knife, on soft food/)).toBeVisible();
  await page.getByLabel('Who showed it').fill('Mara');
  const sharp = page.getByRole('region', { name: 'Sharp', exact: true });
  const dulled = page.getByRole('region', { name: 'Dulled', exact: true });
  for (const [part, pieces, strokes, crushed] of [
    [sharp, '3.1\n3.2\n3.3\n3.2\n3.1', '24', '0'],
    [dulled, '2.4\n3.9\n3.2\n4.4\n2.7', '33', '7'],
  ] as const) {
    await part.getByLabel(/^One piece a line: thickness/).fill(pieces);
    await part.getByLabel('Strokes').fill(strokes);
    await part.getByLabel('Crushed').fill(crushed);
  }
  const dock = page.getByRole('complementary');
  await expect(dock.getByRole('status')).toContainText(
    '7 of 20 faces crushed and not 0 of 20, 33 strokes and not 24',
  );
  await expect(dock.getByRole('row', { name: /^spread of thickness/ })).toContainText('better');
  // More crushed than looked at: told at its field, and nothing that was typed is lost.
  await dulled.getByLabel('Crushed').fill('30');
  await page.getByRole('button', { name: 'Keep it with the lesson' }).click();
  await expect(dulled.getByLabel('Crushed')).toHaveAccessibleDescription(/Crushed/);
  await dulled.getByLabel('Crushed').fill('7');
  await page.getByRole('button', { name: 'Keep it with the lesson' }).click();
  await expect(dock).toContainText('Shown by Mara and kept with this lesson');
  await page.reload();
  await expect(dock).toContainText('Shown by Mara and kept with this lesson');
  await dock.getByRole('button', { name: 'Take back…' }).click();
  await dock.getByLabel('Why').fill('The wrong knife.');
  await dock.getByRole('button', { name: 'Take it back' }).click();
  await expect(dock).not.toContainText('Shown by Mara');
});

test('the clock of a lesson: begun, too long, cut to end in time, a step taken back, and seen by another device', async ({
  page,
  context,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/class/5`);
  const clock = (of: Page) => of.getByRole('region', { name: 'Clock of the lesson' });
  const parts = (of: Page) => clock(of).getByRole('list', { name: 'Parts of the lesson' });
  await expect(clock(page)).toContainText('Not begun yet');
  await clock(page).getByRole('button', { name: 'Begin the lesson' }).click();
  await expect(parts(page).locator('[aria-current=step]')).toHaveText('Arrive');
  await expect(clock(page).getByRole('timer', { name: 'Time left' })).toContainText('left');

  // Until it is too long, however much there was to spare.
  const more = clock(page).getByRole('button', { name: '+2 min' });
  await expect(async () => {
    await more.click();
    await expect(more).toBeEnabled();
    await expect(clock(page)).toContainText(/ \d+ min late/, { timeout: 200 });
  }).toPass();
  await clock(page)
    .getByRole('button', { name: /other ways/ })
    .click();
  const ways = clock(page).getByRole('list', { name: 'How to end in time' });
  await ways.getByRole('button', { name: 'Do it' }).first().click();
  await expect(ways).toBeHidden();
  await expect(clock(page)).not.toContainText('late');
  await clock(page).getByRole('button', { name: 'Undo: The rest was changed' }).click();
  await expect(clock(page)).toContainText(/ \d+ min late/);

  // What another device does is seen here at once.
  const second = await context.newPage();
  await second.goto(`${app.url}/courses/1/class/5`);
  await clock(second)
    .getByRole('button', { name: /^On to/ })
    .click();
  await expect(parts(second).locator('[aria-current=step]')).toHaveText('Stations');
  await expect(parts(page).locator('[aria-current=step]')).toHaveText('Stations');
  await clock(page).getByRole('button', { name: 'Stop clock' }).click();
  await expect(clock(page).getByRole('timer')).toContainText('clock stopped');
});
