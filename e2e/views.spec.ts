import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { atRest, expect, test } from './app';

const VIEWS: [string, string, RegExp | string][] = [
  ['Rack', '/courses/1/rack', 'The rack'],
  ['Rack, due', '/courses/1/rack?view=due', 'What is due'],
  ['Rack, before class', '/courses/1/rack/5?view=check', /^Before class/],
  ['Rack, count', '/courses/1/rack/5?view=count', /^Count/],
  ['Rack, table', '/courses/1/rack?view=table', 'The rack as a table'],
  ['Rack, buying check', '/courses/1/rack?view=buy', 'Buying check'],
  ['Rack, looked over', '/courses/1/rack?view=buy&knife=12', /looked over$/],
  ['Playbook', '/courses/1/playbook?food=potato', 'Which knife for which cut'],
  [
    'Playbook, two knives',
    '/courses/1/playbook?food=carrot&cut=julienne&knife=chefs/200&against=santoku/165',
    'Which knife for which cut',
  ],
  ['Playbook, doctrines', '/courses/1/playbook?view=doctrines', 'Where practitioners disagree'],
  ['Playbook, kit', '/courses/1/playbook?view=kit', 'The smallest kit'],
  ['Playbook, own', '/courses/1/playbook?view=own', 'Our own values'],
  ['Bench', '/courses/1/bench?lean=5', 'Julienne of carrot'],
  [
    'Bench, side by side',
    '/courses/1/bench?food=potato&cut=batonnet&beside=food%3Dcarrot',
    'Batonnet of potato',
  ],
  ['Student card', '/courses/1/bench?view=card', 'Julienne of carrot'],
  ['Bench, onions side by side', '/courses/1/bench?view=onion&beside=method%3Dcentre', 'Dice of an onion'],
  ['Bench, onion', '/courses/1/bench?view=onion&method=below', 'Dice of an onion'],
  ['The whole course', '/courses/1/course', 'The whole course'],
  ['On paper', '/courses/1/plan/6/paper', 'On paper: Julienne, then brunoise'],
  ['Rotation', '/courses/1/plan/6/rotation', 'Rotation: Julienne, then brunoise'],
  ['Produce', '/courses/1/plan/8/produce', "Produce: The captain's table"],
  ['The order of a course', '/courses/1/plan/8/produce?view=course', 'Produce'],
  ['Ready', '/courses/1/plan/5/ready', /^Ready\?/],
  ['Start', '/start', 'A new course'],
  ['Plan', '/courses/1/plan/5', 'Sticks: batonnet, then julienne'],
  ['Plan, adding', '/courses/1/plan/6?add=1&food=carrot&cut=julienne', 'Julienne, then brunoise'],
  ['Class', '/courses/1/class/5?student=11', 'Batonnet of potato'],
  ['Ask me', '/courses/1/class/5?show=ask', 'Ask me'],
  ['Wall', '/courses/1/wall/5', 'Batonnet of potato'],
  ['Before you close', '/courses/1/class/5?show=closing', /^Before you close/],
  ['Class of lesson 4', '/courses/1/class/4?student=4', 'Coins of cucumber'],
  ['Sharp and dull', '/courses/1/class/5?show=sharp_dull', 'Sharp and dull'],
  ['Yard', '/courses/1/yard?student=4', 'Where everyone stands'],
  ['Course and students', '/courses/1/set-up', 'Course and students'],
  ['About', '/courses/1/about', /Yard Notch/],
  ['Who works here', '/courses/1/staff', 'Who works here'],
  ['Children', '/courses/2/plan', 'Courgette coins for soup'],
];

async function open(page: Page, url: string, heading: RegExp | string) {
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
  await atRest(page);
}

for (const scheme of ['light', 'dark'] as const) {
  for (const [name, path, heading] of VIEWS) {
    const when = scheme === 'light' ? 'by day' : 'in the evening';
    test(`${name} passes the accessibility check ${when}`, async ({ page, shown }) => {
      await page.addInitScript((value) => localStorage.setItem('mantine-color-scheme-value', value), scheme);
      await open(page, shown.url + path, heading);
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
        .analyze();
      const told = violations.map(
        (v) =>
          `${v.id}: ${v.nodes
            .map((n) => n.target.join(' '))
            .slice(0, 4)
            .join(' | ')}`,
      );
      expect(told).toEqual([]);
    });
  }
}

for (const width of [390, 1024]) {
  test(`no view is cut off at ${width} px`, async ({ page, shown }) => {
    test.setTimeout(150_000);
    await page.setViewportSize({ width, height: 800 });
    for (const [name, path, heading] of VIEWS) {
      await open(page, shown.url + path, heading);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, name).toBeLessThanOrEqual(0);
    }
  });
}

test('nothing is asked of any other machine, and no policy is broken', async ({ page, shown }) => {
  test.setTimeout(150_000);
  const elsewhere: string[] = [];
  const said: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(shown.url) && !request.url().startsWith('data:'))
      elsewhere.push(request.url());
  });
  page.on('console', (message) => {
    if (message.type() === 'error') said.push(message.text());
  });
  page.on('pageerror', (error) => said.push(String(error)));
  for (const [, path, heading] of VIEWS) await open(page, shown.url + path, heading);
  for (const key of ['/', '?']) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  expect(elsewhere).toEqual([]);
  expect(said).toEqual([]);
});

test('the page itself is reached with a strict policy and no store', async ({ request, shown }) => {
  const answer = await request.get(`${shown.url}/courses/1/yard`);
  const policy = answer.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'none'");
  expect(policy).not.toContain('unsafe');
  expect(answer.headers()['cache-control']).toBe('no-store');
});
