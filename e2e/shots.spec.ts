import { fileURLToPath } from 'node:url';
import { atRest, expect, test } from './app';

const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

test('pictures of the main views @shots', async ({ page, app }) => {
  test.setTimeout(120_000);
  const shot = async (name: string, path: string, before?: () => Promise<void>) => {
    await page.goto(app.url + path);
    await atRest(page);
    await expect(page.getByText('One moment…')).toHaveCount(0);
    await before?.();
    // What hangs on the drawings comes after them.
    await page.waitForTimeout(1_000);
    await page.screenshot({ path: `${folder}${name}.png` });
  };
  await shot('plan', '/courses/1/plan/5?exercise=11');
  await shot('plan-exercise', '/courses/1/plan/6?add=1&food=carrot&cut=julienne');
  await shot('rotation', '/courses/1/plan/6/rotation', async () => {
    await page
      .getByRole('row', { name: /Tove Brandal/ })
      .getByRole('button')
      .nth(2)
      .click();
  });
  await shot('course', '/courses/1/course', async () => {
    await page.getByRole('button', { name: /^Brunoise/ }).click();
  });
  await shot('start', '/start', async () => {
    await page.getByRole('button', { name: /^Six short lessons/ }).click();
  });
  await shot('yard', '/courses/1/yard?student=4');
  await shot('rack', '/courses/1/rack?knife=12');
  await shot('check-sheet', '/courses/1/rack/5?view=check');
  await shot('playbook', '/courses/1/playbook?food=potato&cut=julienne&knife=chefs/200');
  await shot('doctrines', '/courses/1/playbook?view=doctrines', async () => {
    await page.getByRole('radio', { name: 'Level cuts, then verticals' }).check();
    await expect(page.getByText(/^Changes \d+ of/)).toBeVisible();
  });
  await shot('bench', '/courses/1/bench');
  await shot('onion', '/courses/1/bench?view=onion&method=below&depth=0.6&cuts=12');
  await shot('produce', '/courses/1/plan/8/produce');
  await shot('paper', '/courses/1/plan/5/paper?page=stations');
  await shot('class', '/courses/1/class/5?exercise=11&student=11', async () => {
    // The clock of a running attempt would differ from picture to picture: start and stop at once.
    await page.keyboard.press('s');
    await expect(page.getByRole('timer')).toBeVisible();
    await page.keyboard.press('s');
    await page.getByRole('button', { name: 'Grip sound' }).click();
    await page.getByRole('button', { name: 'Loose grip' }).click();
    await page
      .getByRole('textbox', { name: /One piece a line/ })
      .fill(
        '3.4 3.3 50\n3.6 3.4 51\n3.5 3.6 49\n3.7 3.5 50\n3.3 3.4 50\n3.6 3.6 48\n3.5 3.3 50\n3.8 3.5 51\n4.2 3.6 50\n3.4 3.5 50',
      );
    await expect(page.getByText('9 of 10 inside')).toBeVisible();
    await page.getByRole('complementary').evaluate((dock) => dock.scrollTo(0, 0));
    await page.mouse.move(0, 0);
  });
  // The questions differ from time to time: the page before the first one is answered is enough of a picture.
  await shot('ask', '/courses/1/class/5?show=ask', async () => {
    await page.getByRole('region', { name: 'Question' }).waitFor();
  });
  await shot('wall', '/courses/1/wall/5');
  await shot('staff', '/courses/1/staff', async () => {
    await page.getByLabel('Your name').fill('Mara Vey');
    await page.getByRole('button', { name: 'Use this name' }).click();
    await page.getByRole('button', { name: 'Have everybody sign in…' }).click();
    await page.getByLabel('Passphrase').fill('lantern on the quay');
    await page.getByRole('button', { name: 'Sign in from now on' }).click();
    const invite = page.getByRole('form', { name: 'Invite somebody' });
    for (const name of ['Ada Strand', 'Ivo Keel']) {
      await invite.getByLabel('Name').fill(name);
      await invite.getByRole('button', { name: 'Invite' }).click();
      await expect(page.getByText(`Give this link to ${name}`)).toBeVisible();
    }
    // A link is shown once.
    await page.reload();
  });
  await page.setViewportSize({ width: 390, height: 800 });
  await shot('class-phone', '/courses/1/class/5?student=4');
});
