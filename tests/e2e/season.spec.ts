import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';

async function openSeason(page: Page): Promise<void> {
  await page.goto('/season');
  await expect(page.getByRole('region', { name: 'Now' })).toBeVisible();
}

test('shows what is active now and next with dates and bands, without violations', async ({
  page,
}) => {
  await openSeason(page);
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Plum curculio');
  await expect(page.getByRole('region', { name: 'Next', exact: true })).toContainText('±');
  await expect(page.getByText(/Heat above 10 C by today: \d+ degree-days/)).toBeVisible();
  await expect(page.getByRole('row', { name: /^22 Jun/ })).toContainText('%');
  await noViolations(page);
});

test('a plant narrows the season, and its cause is one press away', async ({ page }) => {
  await openSeason(page);
  await page.getByRole('button', { name: /^Plant:/ }).click();
  await page.getByRole('searchbox', { name: 'Which plant' }).fill('magnolia');
  await page
    .getByRole('option', { name: /^Magnolia/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Plant: Magnolia. Change' })).toBeVisible();
  const scale = page.getByRole('link', { name: 'Magnolia scale' }).first();
  await expect(scale).toBeVisible();
  await scale.click();
  await expect(page.getByRole('heading', { name: 'Magnolia scale' })).toBeVisible();
});

test('the dates are saved as a calendar file', async ({ page }) => {
  await openSeason(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Dates as a calendar file' }).click();
  const file = await (await waiting).path();
  const text = await readFile(file, 'utf8');
  expect(text).toContain('BEGIN:VEVENT');
  expect(text).toMatch(/DTSTART;VALUE=DATE:2026\d{4}/);
});

test('a station file with faults is refused line by line, a good one takes the place of the simulated days', async ({
  page,
}) => {
  await openSeason(page);
  await page.getByRole('button', { name: 'Weather: Simulated station. Change' }).click();
  const choose = async (csv: string): Promise<void> => {
    const waiting = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a file' }).click();
    await (
      await waiting
    ).setFiles({ name: 'station.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  };
  await choose('date,min_c,max_c,rain_mm\n2026-06-11,9,95,0');
  await expect(page.getByRole('alert')).toContainText('Line 2: max_c 95 cannot be');
  await choose('date,min_c,max_c,rain_mm\n2026-06-11,9,19,0\n2026-06-12,10,21,2.5');
  await expect(page.getByText(/2 days from 11 Jun to 12 Jun were taken in/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Weather: The clinic/ })).toBeVisible();
});
