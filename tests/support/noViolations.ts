import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * Expects no accessibility violation on the page, or on the part of it that a selector names.
 * The pages have no frames, so the rules run in the page itself, and only violations are gathered.
 */
export async function noViolations(page: Page, part = 'html'): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .include(part)
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' | ')}`),
  ).toEqual([]);
}
