import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { newCase, saved } from '../support/casePage.ts';
import { noViolations } from '../support/noViolations.ts';

const dates = (page: Page) => page.getByRole('region', { name: 'Dates of the plan' });

async function openDates(page: Page, text: string): Promise<void> {
  await newCase(page, text);
  await expect(page.getByRole('region', { name: 'Causes' })).toContainText('%');
  await page.keyboard.press('Alt+t');
  await expect(dates(page)).toBeVisible();
}

const BAGWORM = 'Big bags of twigs hang on my arborvitae and it is going brown.';

test('every step has its window with reason and band, its next ten days and its dates', async ({
  page,
}) => {
  await openDates(page, BAGWORM);
  const spray = dates(page).getByRole('region', { name: /^Spray Bt/ });
  await expect(spray).toContainText(/between 370 and 600 degree-days above 10 C; \d+ so far/);
  await expect(spray).toContainText('In 8 of 10 years');
  await noViolations(page);
  await page.keyboard.press('Alt+t');
  await expect(page.getByRole('region', { name: 'Causes' })).toBeVisible();
});

test('what was done stays done, and dates that were kept tell what moved', async ({ page }) => {
  await openDates(page, BAGWORM);
  await dates(page).getByRole('button', { name: 'Keep these dates' }).click();
  await expect(dates(page).getByRole('button', { name: 'Keep these dates instead' })).toBeVisible();
  const pick = dates(page).getByRole('region', { name: /^Pick the bags/ });
  await pick.getByRole('button', { name: /^Done on/ }).click();
  await expect(pick).toContainText('(done)');
  await saved(page);
  await page.reload();
  await expect(dates(page).getByRole('region', { name: /^Pick the bags/ })).toContainText('(done)');
});

test('the label and the harvest keep a spray off', async ({ page }) => {
  await openDates(
    page,
    'Striped yellow and black beetles and fat reddish grubs eat the leaves of my potatoes.',
  );
  const product = dates(page)
    .getByRole('region')
    .filter({ hasText: 'Days to harvest on the label' })
    .first();
  await expect(product).toBeVisible();
  await dates(page).getByLabel('Next harvest').fill('2026-06-16');
  await product.getByLabel('Days to harvest on the label').fill('7');
  await page.keyboard.press('Tab');
  await expect(product).toContainText('the label wants 7 days before the harvest on 16 June');
});

test('the dates of a plan are saved as a calendar file', async ({ page }) => {
  await openDates(page, BAGWORM);
  const waiting = page.waitForEvent('download');
  await dates(page).getByRole('button', { name: 'Dates as a calendar file' }).click();
  const text = await readFile(await (await waiting).path(), 'utf8');
  expect(text).toContain('Look at the plant again');
  expect(text).toMatch(/DTSTART;VALUE=DATE:2026\d{4}/);
});
