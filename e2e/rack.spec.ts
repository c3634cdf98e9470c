import type { Page } from '@playwright/test';
import { expect, test } from './app';

const dock = (page: Page) => page.getByRole('complementary');

const TABLE = `number,type,length,hand,stored
201,chefs,200,,strip
202,chefs,200,,strip
203,paring,90,,roll 2
204,Paring,3 1/2 in,,roll 2
205,santoku,165,,strip
206,no such knife,165,,strip
207,nakiri,165,,strip
208,birds_beak,300,,roll 2
209,petty,130,,strip
210,bread,230,,strip
211,slicer,300,,strip
212,single_bevel_slicer,270,left,locked box
`;

test('twelve knives come in from a table, the two bad rows told before anything is kept', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/rack?view=table`);
  await page.getByLabel('Or paste rows').fill(TABLE);
  await expect(page.getByText('10 sound, 2 wrong')).toBeVisible();
  const rows = page.getByRole('table', { name: 'Rows read' });
  await expect(rows.getByRole('row').filter({ hasText: '206, no such knife' })).toContainText('is not known');
  await expect(rows.getByRole('row').filter({ hasText: '208, birds_beak' })).toContainText(
    "60 to 75 mm for a bird's-beak knife",
  );
  await page.getByRole('button', { name: 'Add the 10 sound ones' }).click();
  await expect(page.getByText('10 knives are on the rack; 2 rows were left')).toBeVisible();
  await page.goto(`${app.url}/courses/1/rack`);
  await expect(page.getByText('62 knives, 60 fit for class')).toBeVisible();
  await expect(page.getByRole('button', { name: /^No\. 212, Single-bevel 270/ })).toBeVisible();
});

test('a failed paper test takes a knife out of the lesson, and the shortfall is shown', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=potato&cut=turned`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  await editor.getByText('whole foods').click();
  await editor.getByLabel('Your own minutes for each').fill('5');
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  // A page that is left in the same instant sends nothing.
  await expect(editor).toHaveCount(0);
  await page.goto(`${app.url}/courses/1/rack/6?view=check`);
  const knives = page.getByRole('region', { name: 'Knives' });
  await expect(knives).toContainText('10 short');
  await page.goto(`${app.url}/courses/1/rack?knife=25`);
  await dock(page).getByText('2', { exact: true }).click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(dock(page)).toContainText('Out of class until it passes a test.');
  await expect(page.getByText('3 failed the edge test')).toBeVisible();
  await page.goto(`${app.url}/courses/1/rack/6?view=check`);
  await expect(knives).toContainText('11 short');
  await expect(dock(page)).toContainText('Short of 11 for turned potato');
});

test('the check sheet is ticked with who and when, and the tick is kept', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack/5?view=check`);
  await page.getByRole('checkbox', { name: 'First-aid box at hand' }).click();
  await expect(page.getByText(/Who is checking: nothing was given/)).toBeVisible();
  await page.getByLabel('Who is checking').fill('Mara');
  await page.getByRole('checkbox', { name: 'First-aid box at hand' }).click();
  await expect(page.getByText('Mara, 18:1')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'First-aid box at hand' })).toBeChecked();
  await expect(page.getByText('1 of')).toBeVisible();
});

test('eight go out, seven come in, and the class stays open until it is said what happened', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/rack/5?view=count`);
  await page.getByLabel('Numbers').fill('1-6 12 13');
  await page.getByRole('button', { name: 'Count out' }).click();
  await expect(page.getByRole('status').filter({ hasText: '8 out' })).toBeVisible();
  await page.getByLabel('Numbers').fill('1-6 12');
  await page.getByRole('button', { name: 'Count in' }).click();
  await expect(page.getByRole('status').filter({ hasText: '1 missing' })).toBeVisible();
  await dock(page).getByLabel('Who closes it').fill('Mara');
  await dock(page).getByRole('button', { name: 'Close the class' }).click();
  await expect(dock(page)).toContainText('8 went out and 7 came in: no. 13 missing.');
  await dock(page).getByLabel('What happened to the missing knife').fill('Chipped; in the locked box.');
  await dock(page).getByRole('button', { name: 'Close the class' }).click();
  await expect(dock(page)).toContainText('1 missing. Chipped; in the locked box.');
});

test('a knife found at the last moment is counted in with one tap', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack/5?view=count`);
  await page.getByRole('button', { name: /^Out: the \d+ that this lesson needs/ }).click();
  // Whichever knives the lesson needs: the first that is out comes in.
  const first = page.getByRole('list', { name: 'Knives out' }).getByRole('button').first();
  await first.click();
  await expect(page.getByRole('status').filter({ hasText: '1 in' })).toBeVisible();
});

test('care is written down, wrong angles are refused, parts are named, a food is laid against the blade', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/rack?knife=12`);
  await expect(dock(page)).toContainText('Stone now.');
  await dock(page)
    .getByRole('combobox', { name: 'Write down' })
    .or(dock(page).getByRole('textbox', { name: 'Write down' }))
    .click();
  await page.getByRole('option', { name: 'Sharpened on the stone' }).click();
  await dock(page).getByLabel('Degrees').fill('45');
  await dock(page).getByRole('button', { name: 'Write it down' }).click();
  await expect(dock(page)).toContainText('grinds a second, blunt edge on');
  await dock(page).getByLabel('Degrees').fill('13');
  await dock(page).getByRole('button', { name: 'Write it down' }).click();
  await expect(dock(page)).not.toContainText('Stone now.');
  await expect(dock(page).getByRole('list', { name: 'History' })).toContainText(
    'stone, 10 strokes a side at 13°, grits 1000 and 6000',
  );
  await dock(page).getByRole('tab', { name: 'Angle' }).click();
  await expect(dock(page)).toContainText('10.6 mm');
  await dock(page).getByLabel('Degrees per side').fill('45');
  await expect(dock(page)).toContainText('is over 25° a side');
  await dock(page).getByRole('button', { name: 'Name the parts' }).click();
  await expect(dock(page).getByText('bolster', { exact: true })).toBeVisible();
  await dock(page).getByLabel('Lay a food against it').click();
  await page.getByRole('option', { name: 'White cabbage' }).click();
  await expect(dock(page)).toContainText('Long enough: 25 mm of travel across 160 mm of white cabbage.');
});

test('the rack orders itself for a hand and says why', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack`);
  const first = page.getByRole('list', { name: 'Knives' }).getByRole('listitem').first();
  await expect(first).toContainText('Slicer 300');
  await page.getByRole('combobox', { name: 'For this hand' }).click();
  await page.getByRole('option', { name: 'Small hand' }).click();
  await expect(first).toContainText('180 mm sits well in a hand of 165 mm');
});

test('the due list has what failed first, then the stone, then the morning', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack?view=due`);
  const lines = page.getByRole('list', { name: 'Due' }).getByRole('listitem');
  await expect(lines.first()).toContainText("Failed its test: Chef's 200");
  await expect(page.getByRole('list', { name: 'Due' })).toContainText("Stone now: Flat chef's 210");
  await expect(page.getByRole('list', { name: 'Due' })).toContainText('Hone today');
});

test('a knife is looked over, bought, and looked over again on the rack', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack?view=buy`);
  await expect(dock(page)).toContainText('Still to look at: edge, blade, rivets, balance, hand');
  await page.getByText('Not straight', { exact: true }).click();
  await expect(dock(page)).toContainText('Leave it: edge.');
  await page.getByText('Straight', { exact: true }).click();
  await page.getByText('Flat', { exact: true }).click();
  await page.getByRole('combobox', { name: 'Rivets and joints' }).click();
  await page.getByRole('option', { name: 'Flush' }).click();
  await page.getByLabel('Balance point, mm from the heel').fill('48');
  await expect(dock(page)).toContainText('the blade leads');
  await page.getByLabel('Balance point, mm from the heel').fill('12');
  await expect(dock(page)).toContainText('12 mm ahead of the heel: where the pinch sits.');
  await page.getByRole('combobox', { name: 'Made of' }).click();
  await page.getByRole('option', { name: 'Stainless steel' }).click();
  await page.getByLabel('Length of the hand it is for, mm').fill('185');
  await page.getByLabel('Cost').fill('60');
  await expect(dock(page)).toContainText(/It can be taken; know before you do: price|Take it/);
  // Bought without a number: told at its field, and what was seen is still there.
  await page.getByRole('button', { name: 'Bought: put it on the rack' }).click();
  await expect(page.getByLabel('Number')).toHaveAccessibleDescription(/Number/);
  await expect(page.getByLabel('Balance point, mm from the heel')).toHaveValue('12');
  await page.getByLabel('Number').fill('77');
  await page.getByRole('button', { name: 'Bought: put it on the rack' }).click();
  await expect(dock(page).getByRole('heading', { level: 2 })).toContainText('No. 77');
  await expect(dock(page)).toContainText(
    'inspected: edge straight, no warp, rivets flush, balance 12 mm ahead of the heel, stainless steel',
  );
  await page.getByRole('tab', { name: 'Record' }).click();
  await page.getByRole('link', { name: 'Look it over' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No. 77 looked over');
  await page.getByText('Warped or wavy', { exact: true }).click();
  await expect(dock(page)).toContainText('Leave it: blade.');
  await page.getByRole('button', { name: 'Write it into its record' }).click();
  await expect(dock(page)).toContainText('inspected: warped');
});
