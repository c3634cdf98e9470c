import type { Page } from '@playwright/test';
import { expect, pick, test } from './app';

const dock = (page: Page) => page.getByRole('complementary');
const cell = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

test('potato: serrated is refused with its reason, two knives are set against each other, one goes into a lesson', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/playbook?food=carrot`);
  await pick(page, 'Food', 'Potato');
  await expect(page.getByText('Potato · 20 kinds on the rack')).toBeVisible();
  await cell(page, /^julienne, Serrated 230: refused/).click();
  await expect(dock(page)).toContainText('Teeth skate on firm plain potato (firmness 3 of 5).');
  await expect(dock(page).getByRole('button', { name: 'Add' })).toBeDisabled();

  await cell(page, /^julienne, Chef's 200: \d+ of 100/).click();
  await expect(dock(page).getByRole('img', { name: 'Grip: pinch' })).toBeVisible();
  await expect(dock(page).getByRole('img', { name: 'Hold: claw' })).toBeVisible();
  await expect(dock(page).getByRole('img', { name: /middle third marked/ })).toBeVisible();
  await pick(page, 'Set against another knife', 'Santoku 165');
  const versus = page.getByRole('region', { name: 'Two knives compared' });
  await expect(versus.getByRole('region', { name: 'Santoku 165' })).toContainText('Flat edge');
  await expect(versus.getByRole('region', { name: "Chef's 200" })).not.toContainText('Flat edge');
  await expect(page).toHaveURL(/against=santoku/);

  await pick(page, 'Lesson', /^6 · /);
  await dock(page).getByRole('button', { name: 'Add', exact: true }).click();
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor.getByRole('heading', { name: /Julienne of potato/ })).toBeVisible();
  await expect(editor.getByRole('radio', { name: /^Chef's 200 ×6/ })).toBeChecked();
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  await expect(page.getByRole('region', { name: 'Julienne of potato' })).toContainText("Chef's 200");
});

test('the matrix is walked with the keyboard alone', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/playbook?food=potato&cut=baton&knife=chefs/200`);
  await cell(page, /^baton, Chef's 200:/).focus();
  await page.keyboard.press('ArrowDown');
  await expect(cell(page, /^batonnet, Chef's 200:/)).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(cell(page, /^batonnet, Chef's 180/)).toBeFocused();
  await expect(dock(page)).toContainText("Chef's 180");
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('v');
  await expect(page.getByRole('region', { name: 'Two knives compared' })).toBeHidden();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('v');
  await expect(page).not.toHaveURL(/against=flat_chefs/);
});

test('any food, one student, and all types are asked of the same matrix', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/playbook?food=any`);
  await cell(page, /^julienne, Flat chef's 210/).click();
  await expect(dock(page)).toContainText(/Fits \d+ of \d+ foods that are cut so/);
  await page.goto(`${app.url}/courses/1/playbook?food=potato`);
  await pick(page, 'For', 'Rafa Solis');
  await cell(page, /^julienne, Flat chef's 210: refused/).click();
  await expect(dock(page)).toContainText('longer than this student is cleared for');
  await page.getByText('All types', { exact: true }).click();
  await expect(page.getByText('19 knife types')).toBeVisible();
});

test('the onion and the index finger follow the doctrines, which say what they change', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/playbook?food=onion&cut=small_dice`);
  await expect(dock(page)).toContainText('Verticals or radial cuts, no level cut');
  await expect(dock(page)).not.toContainText('Level cut:');
  await page.getByText('Doctrines', { exact: true }).click();
  await page.getByRole('radio', { name: 'Level cuts, then verticals' }).check();
  await expect(dock(page)).toContainText(/Changes \d+ of \d+ suggestions/);
  await expect(dock(page).getByRole('list', { name: 'Changed suggestions' })).toContainText('level cut');
  await page.getByRole('radio', { name: 'Only for a light tip-draw' }).check();
  await page.getByRole('button', { name: 'Save the doctrines' }).click();
  await expect(dock(page)).toContainText('Choose another answer');
  await page.goto(`${app.url}/courses/1/playbook?food=onion&cut=small_dice`);
  await expect(dock(page)).toContainText('Level cut:');
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=raw_fish&cut=slice&knife=slicer/300`);
  const editor = page.getByRole('region', { name: 'New exercise' });
  await editor.getByRole('radio', { name: /^index on the spine/ }).check({ force: true });
  await expect(dock(page)).toContainText('Allowed in this course for the light tip-draw only.');
  await expect(editor.getByRole('button', { name: 'Add to the lesson' })).toBeEnabled();
});

test('the smallest kit covers the course, or says what nothing covers', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/playbook?view=kit`);
  // As many cuts as the course's lessons have, whatever their draft has put into them.
  const lessons = (await (await fetch(`${app.url}/api/courses/1/plan`)).json()) as {
    sessions: { blocks: { title: string }[] }[];
  };
  const cuts = new Set(lessons.sessions.flatMap(({ blocks }) => blocks.map(({ title }) => title)));
  await expect(page.getByRole('region', { name: 'The kit' })).toContainText(
    new RegExp(`covers? all ${cuts.size}`),
  );
  await expect(page.getByRole('region', { name: 'What each knife adds' })).toContainText(`of ${cuts.size}`);
  await page.getByLabel('Least fit that covers a cut').fill('95');
  await expect(page.getByRole('region', { name: 'No kit' })).toContainText('would come nearest');
});

test('the cheapest kit is reckoned from the prices, and says when it is over the budget', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/playbook?view=kit`);
  const kit = page.getByRole('region', { name: 'The kit' });
  await page.getByText('Lowest cost', { exact: true }).click();
  await expect(kit).toContainText(/Costs [\d.]+, within the budget|Costs [\d.]+, over the budget/);
  await page.getByLabel('Budget, in your currency').fill('1');
  await expect(kit).toContainText('over the budget: nothing cheaper covers them');
  await page.getByLabel('Budget, in your currency').fill('5000');
  await expect(kit).toContainText('within the budget');
});

test('a copied set of standards is edited, differs where it was edited, and can be removed', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/playbook?view=own`);
  await page.getByRole('textbox', { name: 'julienne, thickness', exact: true }).fill('a bit');
  await page.getByLabel('Name of a copy').fill('Harbour sizes');
  await page.getByRole('button', { name: 'Save as a copy' }).click();
  await expect(page.getByText(/Julienne, thickness: “a bit”/).first()).toBeVisible();
  await page.getByRole('textbox', { name: 'julienne, thickness', exact: true }).fill('2.5');
  await page.getByRole('button', { name: 'Save as a copy' }).click();
  await expect(dock(page)).toContainText('Standard set: own harbour sizes');
  await expect(dock(page)).toContainText('3.175 → 2.5');
  await page.goto(`${app.url}/courses/1/set-up`);
  await pick(page, 'Sizes', 'Harbour sizes');
  await page.getByRole('button', { name: 'Save the course' }).click();
  await page.goto(`${app.url}/courses/1/plan/6?add=1&food=carrot&cut=julienne`);
  await expect(page.getByRole('region', { name: 'New exercise' })).toContainText('2.5 × 3.2 × 50');
  await page.goto(`${app.url}/courses/1/playbook?view=own`);
  await dock(page).getByRole('button', { name: 'Remove the copy' }).click();
  await expect(dock(page)).toContainText('is used by Galley hands, autumn watch');
});
