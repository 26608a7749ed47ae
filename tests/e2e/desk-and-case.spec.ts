import { closeCase } from '../support/casePage.ts';
import { expect, test, type Page } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';

const HOSTA = '/case/5e0a7d1c-0000-4000-8000-000000000002';
const words = (page: Page) => page.getByRole('textbox', { name: "The enquirer's words" });
const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();
const rank = (page: Page) =>
  page.getByRole('region', { name: 'Causes' }).getByRole('button').first();

async function newCase(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await page.keyboard.press('n');
  await expect(words(page)).toBeFocused();
}

test('from the first word to a dated plan, and the case is there tomorrow', async ({ page }) => {
  await newCase(page);
  await words(page).fill(
    'It is my box hedge. All the young leaves at the tips are cupped like little spoons.',
  );
  await expect(rank(page)).toContainText('Boxwood psyllid');
  await expect(page.getByRole('region', { name: 'Heard' })).toContainText(
    'Young leaves cupped like spoons',
  );
  const cupped = page.locator('mark', { hasText: 'cupped' });
  await expect(cupped.first()).toHaveAttribute('data-tone', 'said');
  const advice = page.getByRole('region', { name: 'Advice so far' });
  await expect(advice).toContainText(/\d{1,2} (Apr|May|Jun)/);
  await saved(page);
  await page.reload();
  await expect(words(page)).toHaveValue(/cupped like little spoons/);
  await page.keyboard.press('Alt+d');
  await expect(page.getByRole('table')).toContainText('cupped like little spoons');
});

test('an answer moves the ranking, and can be taken back', async ({ page }) => {
  await newCase(page);
  await words(page).fill('The leaves of my tomato have spots and the lower leaves turn yellow');
  const ask = page.getByRole('region', { name: 'Ask next' });
  await expect(ask.getByRole('listitem').first()).toBeVisible();
  const before = await page.getByRole('region', { name: 'Causes' }).innerText();
  await page.keyboard.press('Alt+y');
  await expect(page.getByRole('heading', { name: 'Answered' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Causes' })).not.toHaveText(before);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Answered' })).toBeHidden();
});

test('what was misheard is turned round, doubted or dropped by one press', async ({ page }) => {
  await page.goto(HOSTA);
  await expect(rank(page)).toContainText('Slugs and snails');
  await page
    .getByRole('button', { name: 'Leave out: Ragged holes through the middle of leaves' })
    .click();
  await expect(
    page.getByRole('button', { name: 'Undo: Ragged holes through the middle of leaves' }),
  ).toBeVisible();
  await page
    .getByRole('button', { name: 'Undo: Ragged holes through the middle of leaves' })
    .click();
  await saved(page);
});

test('nothing typed is lost when the server is away and the page dies', async ({ page }) => {
  await newCase(page);
  await saved(page);
  await page.route('**/events', (route) => route.abort());
  await words(page).fill('my roses have black spots');
  await expect(page.getByText('Kept on this device, server not reached')).toBeVisible();
  await page.reload();
  await expect(words(page)).toHaveValue('my roses have black spots');
  await page.unroute('**/events');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 10_000 });
});

test('a second plant of the same call has a tab of its own', async ({ page }) => {
  await newCase(page);
  await words(page).fill('roses with aphids');
  await page.keyboard.press('Alt+p');
  await expect(words(page)).toHaveValue('');
  await words(page).fill('and the lawn has moss');
  await page.getByRole('button', { name: 'roses with aphids' }).click();
  await expect(words(page)).toHaveValue('roses with aphids');
});

test('the plant, the place and the approach open in place', async ({ page }) => {
  await newCase(page);
  await page.getByRole('button', { name: /^Plant:/ }).click();
  await page.getByRole('searchbox', { name: 'Which plant' }).fill('japan');
  await page.getByRole('option', { name: /Japanese maple/ }).click();
  await expect(page.getByRole('button', { name: 'Plant: Japanese maple. Change' })).toBeVisible();
  // Enter takes the plant of that name, not the first that holds it.
  await page.getByRole('button', { name: /^Plant:/ }).click();
  await page.getByRole('searchbox', { name: 'Which plant' }).pressSequentially('pea');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Plant: Pea. Change' })).toBeVisible();
  await page.getByRole('button', { name: /^Place:/ }).click();
  await page.getByRole('searchbox', { name: /^Town/ }).fill('ellsworth, maine');
  await page.getByRole('option', { name: /Ellsworth/ }).click();
  await expect(page.getByRole('button', { name: 'Place: Ellsworth, Maine. Change' })).toBeVisible();
  await page.getByRole('button', { name: /^Place:/ }).click();
  await page.getByText('By degrees').click();
  await page.getByRole('textbox', { name: /^Latitude/ }).fill('95');
  await expect(page.getByText('Latitude is a number from -90 to 90')).toBeVisible();
  await page.getByRole('textbox', { name: /^Latitude/ }).fill('-33.9');
  await page.getByRole('button', { name: 'Use these degrees' }).click();
  await expect(page.getByRole('button', { name: /^Place: 33.9° S/ })).toBeVisible();
  await saved(page);
});

test('a call-back is booked on the case and shows on the Desk', async ({ page }) => {
  await newCase(page);
  await page.getByRole('button', { name: /^Who:/ }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Petra Lowe');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Call back: not booked. Change' }).click();
  await page.getByLabel(/^Day to call back/).fill('2026-06-16');
  await saved(page);
  await page.goto('/');
  await expect(page.getByRole('complementary', { name: 'To be done' })).toContainText('Petra Lowe');
});

test('a closed case is read as it was answered', async ({ page }) => {
  await newCase(page);
  await page.locator('#words').fill('white powder on my rose leaves, it wipes off');
  const advice = page.getByRole('region', { name: 'Advice so far' });
  await expect(advice).toContainText('powdery mildew');
  await closeCase(page);
  await expect(advice).toContainText('as answered when the case was closed');
  await saved(page);
  await page.reload();
  await expect(advice).toContainText('as answered when the case was closed');
  await page.getByRole('button', { name: 'Open again' }).click();
  await expect(advice).not.toContainText('as answered when the case was closed');
  await expect(advice).toContainText('powdery mildew');
});

test('what it proved to be is kept, teaches what is common, and the teaching can be switched off', async ({
  page,
}) => {
  await page.goto(HOSTA);
  await expect(rank(page)).toContainText('Slugs and snails');
  await page.getByRole('button', { name: /^Came of it: not heard yet/ }).click();
  const panel = page.getByRole('region', { name: 'What came of it' });
  await panel.getByText('Slugs and snails', { exact: true }).click();
  await panel.getByText('We had it in the hand').click();
  await saved(page);
  await page.reload();
  await expect(panel).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/^Confirmed here 0.8 times/)).toBeVisible();
  await page.getByRole('button', { name: /^Came of it: Slugs and snails/ }).click();
  await page.getByRole('button', { name: 'Do not learn from cases' }).click();
  await expect(page.getByText('Confirmed cases are kept but not used.')).toBeVisible();
  await expect(page.getByText(/^Confirmed here/)).toBeHidden();
  await page.getByRole('button', { name: 'Learn from cases' }).click();
  await page.getByRole('button', { name: 'Not known after all' }).click();
  await saved(page);
});

test('pointing at a knot shows the ranking without it', async ({ page }) => {
  await page.goto(HOSTA);
  await expect(rank(page)).toContainText('Slugs and snails');
  await page.getByRole('button', { name: /^Ragged holes/ }).hover();
  await expect(page.getByText('as they would stand without that')).toBeVisible();
});

test('both pages are accessible in either theme', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('sounding.theme', 'light'));
  for (const [path, shown] of [
    ['/', page.getByRole('table')],
    [HOSTA, rank(page)],
  ] as const) {
    await page.goto(path);
    await expect(shown).toBeVisible();
    await noViolations(page);
    await page.getByRole('button', { name: 'Dark' }).click();
    await expect(page.getByRole('button', { name: 'Light' })).toBeVisible();
    await noViolations(page);
  }
});

test('an address that leads nowhere and a case that does not exist say so', async ({ page }) => {
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'Nothing at this address' })).toBeVisible();
  await page.goto('/case/5e0a7d1c-0000-4000-8000-00000000ffff');
  await expect(page.getByRole('alert')).toContainText('There is no such case.');
});

test('the case page does not scroll at 1280 by 800', async ({ page }) => {
  await page.goto(HOSTA);
  await expect(rank(page)).toBeVisible();
  const [content, shown] = await page.evaluate(() => [
    document.documentElement.scrollHeight,
    window.innerHeight,
  ]);
  expect(content).toBeLessThanOrEqual(shown);
});
