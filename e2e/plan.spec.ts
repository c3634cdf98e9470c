import type { Page } from '@playwright/test';
import { atRest, emptyLesson, expect, test } from './app';

const dock = (page: Page) => page.getByRole('complementary');
const chip = (page: Page) => page.getByRole('status').filter({ hasText: /min|time/ });

async function choose(page: Page, field: string, option: string) {
  await page
    .getByRole('combobox', { name: field })
    .or(page.getByLabel(field, { exact: true }))
    .first()
    .click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('an exercise is added by choosing julienne of carrot, and everything follows', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/${await emptyLesson(app)}`);
  await expect(chip(page)).toContainText('Fits, 42 min to spare');
  await page.keyboard.press('n');
  await choose(page, 'Cut', 'Julienne');
  await choose(page, 'Food', 'Carrot');
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor.getByRole('heading', { name: /Julienne of carrot/ })).toBeVisible();
  // Peeled first, then three segments squared to their thin ends.
  await expect(editor.getByRole('term').filter({ hasText: 'pieces a carrot' }).locator('..')).toContainText(
    '62',
  );
  await expect(editor.getByRole('term').filter({ hasText: 'strokes each' }).locator('..')).toContainText(
    '55',
  );
  await expect(editor).toContainText('14 for students, 1 to show, 2 spare');
  await expect(dock(page)).toContainText(
    '180 mm clears a 50 mm cut with 105 mm of travel, less 25 mm for the pinch.',
  );
  await expect(dock(page)).toContainText('Rolls.');
  await expect(dock(page)).toContainText('Local law, site rules');
  await expect(editor.getByRole('radio', { name: /^pinch/ })).toBeChecked();
  await expect(editor.getByRole('radio', { name: /^claw/ })).toBeChecked();
  await expect(editor.getByRole('radio', { name: /^heel/ })).toBeChecked();
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  await expect(page.getByRole('region', { name: 'Julienne of carrot' })).toContainText('62');
  await expect(page.getByRole('button', { name: /Julienne of carrot Practice 20 minutes/ })).toBeVisible();
  await expect(chip(page)).toContainText('Fits, 22 min to spare');
});

test('figures follow while the amount is typed', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=carrot&cut=julienne`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor).toContainText('1 each');
  await editor.getByLabel('Each student cuts').fill('200');
  await expect(editor).toContainText('4 each · 56 for students, 1 to show, 6 spare');
});

test('wrong knives are refused with the reason, and cannot be saved', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=carrot&cut=julienne`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  for (const [knife, reason] of [
    [/Serrated 230/, 'Teeth skate on firm plain carrot'],
    [/Paring 90/, 'A 90 mm blade this light needs force on the board'],
  ] as const) {
    await editor.getByRole('radio', { name: knife }).check({ force: true });
    await expect(
      dock(page).getByRole('listitem').filter({ hasText: 'Refused.' }).filter({ hasText: reason }),
    ).toBeVisible();
    await expect(editor.getByRole('button', { name: 'Add to the lesson' })).toBeDisabled();
  }
  await expect(editor.getByRole('radio', { name: /Chef's 200, no. 7/ })).toBeDisabled();
  await expect(dock(page)).toContainText('No. 7 failed its edge test');
  await editor.getByRole('radio', { name: /Flat chef's 210/ }).check({ force: true });
  await expect(editor.getByRole('button', { name: 'Add to the lesson' })).toBeEnabled();
});

test('tapping an 80 mm wedge of cabbage is refused', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=cabbage&cut=wedges&knife=santoku/165`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  await editor.getByRole('radio', { name: /^tap chop/ }).check({ force: true });
  await expect(dock(page)).toContainText('Tapping food 80 mm high: above 50 mm the aim is lost.');
  await expect(editor.getByRole('button', { name: 'Add to the lesson' })).toBeDisabled();
});

test('another option can be taken, and its warning stays with the exercise', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/${await emptyLesson(app)}?add=1&food=carrot&cut=julienne`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  await editor.getByRole('radio', { name: /Petty 130 ×2/ }).check({ force: true });
  await expect(dock(page)).toContainText('A narrow blade wanders in dense carrot.');
  await editor.getByRole('radio', { name: /^middle/ }).check({ force: true });
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  const card = page.getByRole('region', { name: 'Julienne of carrot' });
  await expect(card).toContainText('warnings kept');
  await page.reload();
  await expect(card).toContainText('Petty 130 · pinch · claw · push cut · middle third');
  await expect(dock(page)).toContainText('A narrow blade wanders in dense carrot.');
});

test('the time rule says by how much and where the lesson runs over, and a way out mends it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  await expect(chip(page)).toContainText('Runs 8 min over, in Clean-down');
  await page.getByRole('button', { name: 'Take 8 min from Practice 2' }).click();
  await expect(chip(page)).toContainText('Fills its time exactly');
  await page.getByRole('button', { name: 'Save the time rule' }).click();
  await expect(page.getByRole('button', { name: 'Save the time rule' })).toBeHidden();
  await page.reload();
  await expect(
    page.getByRole('button', { name: /Julienne of carrot Practice 2 22 minutes, from 59 to 81/ }),
  ).toBeVisible();
});

test('segments are changed with the keyboard alone', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  await page.getByRole('button', { name: /^Measuring 12 minutes/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Measuring 11 minutes/ })).toBeVisible();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByRole('button', { name: /^Measure 6 minutes/ })).toBeVisible();
  await expect(chip(page)).toContainText('Runs 2 min over, in Knife count');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: /^Measuring 12 minutes/ })).toBeVisible();
});

test('an edge is dragged, and the rule follows', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  const segment = page.getByRole('button', { name: /Julienne of carrot Practice 2 30 minutes/ });
  await expect(segment).toBeVisible();
  // The rule takes its width when everything around it is there.
  await atRest(page);
  await page.evaluate(() => document.fonts.ready);
  const box = await segment.boundingBox();
  if (!box) throw new Error('the segment is not drawn');
  await page.mouse.move(box.x + box.width - 1, box.y + 30);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 80, box.y + 30, { steps: 6 });
  await page.mouse.up();
  await expect(segment).toBeHidden();
  await expect(chip(page)).toContainText(/Fits|Fills/);
});

test('a segment is taken along by the pointer and put down elsewhere, and an own part is added', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  const segment = page.getByRole('button', { name: /^Julienne of carrot Practice 2/ });
  await expect(segment).toBeVisible();
  await atRest(page);
  await page.evaluate(() => document.fonts.ready);
  const box = await segment.boundingBox();
  if (!box) throw new Error('the segment is not drawn');
  await page.mouse.move(box.x + 60, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x - 120, box.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect(
    page.getByRole('button', { name: /^Julienne of carrot Practice 1 30 minutes, from 39/ }),
  ).toBeVisible();
  const editor = page.getByRole('region', { name: 'Segment Practice 1' });
  await editor.getByLabel('Add after it').click();
  await page.getByRole('option', { name: 'Own part' }).click();
  await editor.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: /^Own part 10 minutes/ }).click();
  const own = page.getByRole('region', { name: 'Segment Own part' });
  await own.getByLabel('Called').fill('The cook of the Petrel');
  await own.getByLabel('Called').blur();
  const named = page.getByRole('region', { name: 'Segment The cook of the Petrel' });
  await named.getByLabel('Keeps its minutes').check();
  await expect(
    page.getByRole('button', { name: /^The cook of the Petrel 10 minutes, .* keeps its minutes/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save the time rule' }).click();
  await expect(page.getByRole('button', { name: 'Save the time rule' })).toBeHidden();
  await page.reload();
  await expect(page.getByRole('button', { name: /^The cook of the Petrel 10 minutes/ })).toBeVisible();
});

test('a lesson that is overrun says what to drop first, and an exercise is left out with its practice', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/plan/5?segment=4`);
  await page.getByLabel('Minutes of Demonstration').fill('60');
  await expect(chip(page)).toContainText('Runs 60 min over');
  const ways = page.getByRole('region', { name: 'What to drop first' });
  await expect(ways).toContainText('It comes last, so that nothing of the day is built on it');
  await ways.getByText(/more, which cost the class more/).click();
  await ways.getByRole('button', { name: /^Leave out Julienne of carrot/ }).click();
  await expect(chip(page)).toContainText(/Fits|Fills/);
  await expect(ways).toBeHidden();
  await page.getByRole('button', { name: 'Save the time rule' }).click();
  await expect(page.getByRole('region', { name: 'Julienne of carrot' })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Batonnet of potato' })).toBeVisible();
});

test('a dull knife leaves Plan, with the reason', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack?knife=12`);
  await page.getByRole('tab', { name: 'Record' }).click();
  await page.getByRole('complementary').getByText('Dull', { exact: true }).click();
  await page.getByLabel('Note').fill('Tears paper at the tip.');
  await page.getByRole('button', { name: 'Save the knife' }).click();
  await expect(page.getByText('3 failed the edge test')).toBeVisible();
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=carrot&cut=julienne`);
  await expect(page.getByRole('radio', { name: /Flat chef's 210 ×3/ })).toBeVisible();
  await expect(dock(page)).toContainText('No. 12 failed its edge test.');
});

test('an allergy in the class is the first thing said', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=celery&cut=batonnet`);
  await expect(dock(page)).toContainText('Allergy in this class. Sef Marsh must not meet celery.');
});

test('an order for cabbage, bread and fish is one that an instructor signs', async ({ page, app }) => {
  const lesson = `${app.url}/courses/1/plan/6`;
  // Nothing is said of the amount: what is usual is proposed.
  for (const [food, cut] of [
    ['cabbage', 'wedges'],
    ['bread', 'slice'],
    ['raw_fish', 'portion'],
  ] as const) {
    await page.goto(`${lesson}?add=1&food=${food}&cut=${cut}`);
    const editor = page.getByRole('region', { name: 'New exercise' });
    await editor.getByRole('button', { name: 'Add to the lesson' }).click();
    await expect(editor).toBeHidden();
  }
  // And by weight: salad for all from the heads that are shared.
  await page.goto(`${lesson}?add=1&food=cabbage&cut=chiffonade`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor.getByRole('radio', { name: 'grams' })).toBeChecked();
  await editor.getByLabel('Each student cuts').fill('150');
  await editor.getByLabel('Your own minutes for each').fill('6');
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  await expect(editor).toBeHidden();
  await page.goto(`${lesson}/produce`);
  const order = page.getByRole('region', { name: 'To order' });
  const line = (food: RegExp) => order.getByRole('row', { name: food });
  await expect(line(/white cabbages/)).toContainText('8 white cabbages');
  await expect(line(/white cabbages/)).toContainText('Wedges of white cabbage; Chiffonade of white cabbage');
  await expect(line(/bread/)).toContainText('4 loaves of bread');
  await expect(line(/bread/)).toContainText('Allergen:');
  await expect(line(/fish/)).toContainText('17 raw fish fillets');
});
