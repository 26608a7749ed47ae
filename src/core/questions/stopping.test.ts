import { miniLibrary, type MiniCause } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { rankQuestions } from './questions.ts';
import { applyStoppingRule } from './stopping.ts';

const FINDINGS = ['typical', 'beside'].map((id) => ({ id, extra: { background: 'telltale' } }));
const trouble = (
  id: string,
  findings: Record<string, string>,
  common = 'occasional',
): MiniCause => ({
  id,
  findings,
  extra: { common, harm: { plant: 'severe', pace: 'weeks' } },
});

/** Whether anything is asked after the typical finding, where a question is worth something for another trouble. */
function stops(causes: readonly MiniCause[]): boolean {
  const library = miniLibrary(FINDINGS, causes);
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  const reports = [{ finding: findingId('typical'), value: true, sure: 0.99 }];
  const { posterior } = weighAll(library, network, reports, 0);
  const questions = rankQuestions(library, network, posterior, reports, new Set()).map((one) => ({
    ...one,
    netValue: 1,
  }));
  return applyStoppingRule(network, posterior, questions, [], reports.length).settled;
}

it('asks for no second trouble where one is certain', () => {
  expect(stops([trouble('a', { typical: 'always' }), trouble('b', { beside: 'always' })])).toBe(
    true,
  );
});

it('asks on while another may be it', () => {
  expect(
    stops([
      trouble('a', { typical: 'always' }),
      trouble('b', { typical: 'often', beside: 'often' }),
    ]),
  ).toBe(false);
});
