import { expect, test } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';

test('a new tree’s water is worked out from what is typed, and a slip is named with its cure', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Water for a new tree' })).toBeVisible();
  const result = page.getByText(/slowly on the root ball/);
  await page.getByRole('textbox', { name: 'Thickness of the trunk' }).fill('2 in');
  await expect(result).toContainText('7.6 to 11 L (2 to 3 gal)');
  await expect(result).toContainText('2 to 3 days');
  await noViolations(page);

  await page.getByRole('textbox', { name: 'Thickness of the trunk' }).fill('2 gal');
  await expect(
    page.getByText('"gal" is no unit for this. Write 2 in, 30 cm or 4 ft.'),
  ).toBeVisible();
  await page.getByRole('textbox', { name: 'Thickness of the trunk' }).fill('40 ft');
  await expect(page.getByText(/That is not likely: between/)).toBeVisible();
  await noViolations(page);

  await page.getByRole('textbox', { name: 'Thickness of the trunk' }).fill('3 in');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Thickness of the trunk' })).toHaveValue('3 in');
});

test('a soil test comes to kilograms of lime', async ({ page }) => {
  await page.goto('/bench/lime');
  await page.getByRole('textbox', { name: 'pH now' }).fill('5.2');
  await page.getByRole('textbox', { name: 'What is wanted' }).fill('6.5');
  await page.getByRole('combobox', { name: 'Kind of soil' }).selectOption('clay');
  await page.getByRole('textbox', { name: 'Area' }).fill('200 sq ft');
  await expect(page.getByText(/of ground limestone/)).toContainText('11 kg (23 lb) in all');
  await page.getByRole('textbox', { name: 'pH now' }).fill('7');
  await expect(page.getByText(/One of the two must be less/)).toBeVisible();
  await page.goto('/bench/nothing');
  await expect(page.getByText('There is no such calculator.')).toBeVisible();
});

test('a number of the plan opens its calculator, and the way back leads to the case', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('table').waitFor();
  await page.keyboard.press('n');
  await page
    .getByRole('textbox', { name: "The enquirer's words" })
    .fill('Planted a maple two weeks ago, 2 inch trunk, how much water does it need?');
  await page.getByRole('link', { name: 'Work it out on the Bench' }).first().click();
  await expect(page.getByText(/slowly on the root ball/)).toContainText('7.6 to 11 L (2 to 3 gal)');
  await page.getByRole('textbox', { name: 'Thickness of the trunk' }).fill('3 in');
  await page.getByRole('link', { name: 'Back to the case' }).click();
  await expect(page.getByRole('textbox', { name: "The enquirer's words" })).toHaveValue(/maple/);
});

test('a pasted soil test is read, classed and turned into amounts for the area', async ({
  page,
}) => {
  await page.goto('/bench/report');
  await page
    .getByRole('textbox', { name: 'The report, as it is read out or pasted' })
    .fill('pH 5.2\nP (Mehlich 3), 16, lb/acre\npotassium 60 ppm');
  await page.getByRole('textbox', { name: 'Area' }).fill('200 sq ft');
  const row = page.getByRole('row', { name: /phosphorus/ });
  await expect(row).toContainText('8 ppm');
  await expect(row).toContainText('very low');
  await expect(page.getByText(/Ground limestone: 6.5 kg \(14 lb\), in 2 goes/)).toBeVisible();
  await expect(page.getByText(/are locked away, whatever the test reads/)).toBeVisible();
  await noViolations(page);
  await page.reload();
  await expect(row).toContainText('very low');
  await page.getByRole('combobox', { name: 'Method of the laboratory' }).selectOption('olsen');
  await expect(row).toContainText('low');
  await page.getByRole('textbox', { name: /The report/ }).fill('pH 52');
  await expect(page.getByText(/"52" is not likely/)).toBeVisible();
  await page.getByRole('textbox', { name: /The report/ }).fill('nothing of use');
  await expect(page.getByText(/No value was understood/)).toBeVisible();
});
