import { createConsultant } from '../../src/core/consult/consult.ts';
import { extract } from '../../src/core/language/extract.ts';
import { makeLanguageContext } from '../../src/core/library/languageContext.ts';
import { enquiry } from '../../src/test/enquiry.ts';
import { library } from '../support/wholeLibrary.ts';

const languageContext = makeLanguageContext(library);
const consultant = createConsultant(library);

const REMARK = "Leeks look like something tunneled in and they're shredded with white windows.";

it('keeps what was half understood apart from what was heard', () => {
  const { findings, halfHeard } = extract(languageContext, REMARK);
  expect(findings).toEqual([]);
  const [mines] = halfHeard.filter(({ finding }) => finding === 'leaf-mines');
  expect(mines?.sure).toBeGreaterThan(0.12);
  expect(mines?.sure).toBeLessThan(0.6);
});

it('asks back what was half understood before it asks what is to be seen', () => {
  const [first, second] = consultant(enquiry(REMARK)).ask;
  expect(first?.finding).toBe('leaf-mines');
  const { start = 0, end = 0 } = first?.saidAt ?? {};
  expect(REMARK.slice(start, end)).toMatch(/tunneled|windows/);
  expect(second?.kind).toBe('change');
});

it('asks nothing back where something was heard', () => {
  const { ask } = consultant(enquiry(`${REMARK} They are wilting.`));
  expect(ask.every(({ saidAt }) => saidAt === null)).toBe(true);
});
