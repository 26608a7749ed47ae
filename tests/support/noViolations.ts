import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Expects no accessibility violation on the page, or on the part of it that a selector names. */
export async function noViolations(page: Page, part = 'html'): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).include(part).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' | ')}`),
  ).toEqual([]);
}
