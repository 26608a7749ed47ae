import { expect, test, type Page } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';

const search = (page: Page) => page.getByRole('searchbox', { name: /Search/ });
// The list beside an entry is the same on every page; it is checked where it is short.
const heading = (page: Page, name: string) => page.getByRole('heading', { level: 1, name });

test('a cause is found in spite of a slip, read, and held against its look-alike', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Library', exact: true }).click();
  await expect(heading(page, 'What the Library holds')).toBeVisible();
  await page.keyboard.press('/');
  await expect(search(page)).toBeFocused();
  await search(page).fill('septria leaf');
  await page.getByRole('link', { name: /^Septoria leaf spot/ }).click();
  await expect(heading(page, 'Septoria leaf spot')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Seen: \d+ Ju/ })).toBeVisible();
  await expect(page.getByText(/^Source: /)).toBeVisible();
  await page.getByRole('link', { name: 'Side by side' }).first().click();
  await expect(heading(page, 'Septoria leaf spot or early blight')).toBeVisible();
  await expect(page.getByRole('row', { name: /gray middle/ })).toContainText('nearly always');
  await noViolations(page);
});

test('a plant lists its troubles, its normal looks and its care', async ({ page }) => {
  await page.goto('/library/plant/tomato');
  await expect(heading(page, 'Tomato')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Troubles/ })).toBeVisible();
  await page.getByRole('link', { name: 'Leaf roll of tomato' }).click();
  await expect(heading(page, 'Leaf roll of tomato')).toBeVisible();
  await page.getByRole('button', { name: 'Dark' }).click();
  await noViolations(page, 'article');
});

test('the case page leads to the library, and an unknown page says what to do', async ({
  page,
}) => {
  await page.goto('/case/5e0a7d1c-0000-4000-8000-000000000002');
  const causes = page.getByRole('region', { name: 'Causes' });
  await expect(causes.getByRole('button').first()).toContainText('Slugs and snails');
  await causes.getByRole('link', { name: 'All about it in the Library' }).click();
  await expect(heading(page, 'Slugs and snails')).toBeVisible();
  await page.goto('/library/cause/no-such-thing');
  await expect(page.getByRole('alert')).toContainText('no page of that name');
  await page
    .getByRole('button', { name: 'Places' })
    .or(page.getByRole('radio', { name: 'Places' }))
    .click();
  await search(page).fill('zzzz');
  await expect(page.getByText(/None of the places answers/)).toBeVisible();
  await noViolations(page);
});

test('a page of each shelf can be read', async ({ page }) => {
  for (const [path, name] of [
    ['finding/leaf-spots', 'Spots on the leaves'],
    ['treatment/insecticidal-soap', 'Insecticidal soap'],
    ['care/care-mulch', 'How to mulch'],
    ['place/columbus', 'Columbus, Ohio, USA'],
  ] as const) {
    await page.goto(`/library/${path}`);
    await expect(heading(page, name)).toBeVisible();
    await noViolations(page, 'article');
  }
});
