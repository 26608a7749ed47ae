import { answerConsult } from '../../src/application/answerConsult.ts';
import type { ConsultResponse } from '../../src/contracts/consult.ts';
import { createConsultant } from '../../src/core/consult/consult.ts';
import { drawnBody } from '../support/drawnPlans.ts';
import { violationsOf } from '../support/planChecker.ts';
import { library } from '../support/wholeLibrary.ts';

const consultant = createConsultant(library);

function answerTo(body: unknown): ConsultResponse {
  const result = answerConsult(library, consultant, body);
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
}

const SEEDS = Array.from({ length: Number(process.env.PLANS ?? 100) }, (_, i) => 4000 + i);

it('keeps every rule of safety in plans drawn over causes, hosts, places, days and approaches', () => {
  let withProducts = 0;
  const broken = SEEDS.flatMap((seed) => {
    const body = drawnBody(seed);
    const answer = answerTo(body);
    if (answer.advice.steps.some(({ product }) => product)) withProducts++;
    return violationsOf(answer, body).map((what) => `${seed} ${body.plant} ${what}`);
  });
  expect(broken).toEqual([]);
  expect(withProducts).toBeGreaterThan(SEEDS.length / 10);
});
