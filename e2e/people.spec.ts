import { expect, test } from './app';

const PASTED = [
  'Name\tHand\tSize\tAllergies',
  'Una Vale\tleft\tsmall\tcelery',
  'Bo Larkin\tR\tL\t',
  'Cleo Marsh\tperhaps\tsmall\t',
  '\tleft\tsmall\t',
  'Maren Oake\t\t\tnuts',
].join('\n');

test('a spreadsheet of names with two bad lines is pasted, mended and kept', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/2/set-up`);
  const paste = page.getByRole('region', { name: 'Paste the names' });
  await paste.getByLabel('One student a line').fill(PASTED);
  await expect(paste.getByText('3 students, 2 lines to mend')).toBeVisible();
  await expect(paste.getByText('“perhaps” is not understood')).toBeVisible();
  await expect(paste.getByText(/known to the school/)).toBeVisible();
  await paste.getByRole('combobox', { name: 'Newcomers are cleared to' }).click();
  await page.getByRole('option', { name: /130 mm/ }).click();
  await paste.getByRole('button', { name: 'Add 3 students' }).click();
  await expect(paste.getByText('3 students added; 2 lines are left to mend')).toBeVisible();
  const students = page.getByRole('region', { name: 'Students', exact: true });
  await expect(students).toContainText('Una Vale left hand, small, cleared to 130 mm · allergic: celery');
  // Known to the school: hand and clearance came along, the new allergy was added.
  await expect(students).toContainText('Maren Oake left hand');
  // What was not understood is still there.
  await expect(paste.getByLabel('One student a line')).toHaveValue(/^Cleo Marsh\tperhaps/);
  await paste.getByLabel('One student a line').fill('Cleo Marsh, small');
  await paste.getByRole('button', { name: 'Add 1 student' }).click();
  await expect(students).toContainText('Cleo Marsh right hand, small, cleared to 130 mm');
});

test('the same people are taken into another course with their evidence', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/2/set-up`);
  const along = page.getByRole('region', { name: 'Take people along' });
  await along.getByLabel('People the school knows').fill('Pell');
  await page.getByRole('option', { name: /Pell Quist · Galley hands/ }).click();
  await page.keyboard.press('Escape');
  await along.getByRole('button', { name: 'Take 1 person along' }).click();
  await expect(along.getByText('1 person is in the course.')).toBeVisible();
  for (const course of [1, 2]) {
    await page.goto(`${app.url}/courses/${course}/yard`);
    const row = page.getByRole('row', { name: /Pell Quist/ });
    await expect(
      row.getByRole('img', { name: 'Slice: safe cut, true cut, even cut, paced open, held open' }),
    ).toBeVisible();
  }
});

test('knives are put on an empty rack by count', async ({ page, empty }) => {
  await page.goto(empty.url);
  await page.goto(`${empty.url}/courses/new`);
  await page.getByLabel('Name of the course').fill('Tuesday knives');
  await page.getByLabel('School').fill('Harbour');
  await page.getByLabel('Kitchen').fill('room 4');
  await page.getByRole('button', { name: 'Make the course' }).click();
  await page.getByRole('link', { name: 'Rack' }).click();
  const field = page.getByRole('textbox', { name: 'By count' });
  await field.fill("6 chef's 200, 4 paring 90, 1 bread, 2 swords");
  await expect(page.getByText("6 × Chef's 200 mm, numbers 1 to 6")).toBeVisible();
  await expect(page.getByText('“swords” is not known')).toBeVisible();
  await field.fill("6 chef's 200, 4 paring 90, 1 bread");
  await page.getByRole('button', { name: 'Add 11 knives' }).click();
  await expect(page.getByRole('button', { name: /^No\. 11, Serrated 230, sharp/ })).toBeVisible();
});
