import type { Hazard, Treatment } from '../../../core/schema/treatment.ts';
import { bothDegrees } from '../../../wording/advice.ts';
import { list } from '../../../wording/list.ts';
import { capital } from '../../../wording/midSentence.ts';
import { amountInWords } from '../../../wording/quantities.ts';
import { libraryTexts as texts } from '../../texts/libraryTexts.ts';
import { Facts } from './parts.tsx';

const WHO = {
  anyone: texts.anyone,
  arborist: texts.aCertifiedArborist,
  licensed: texts.aLicensedApplicator,
  wildlife: texts.wildlifeOfficer,
  'pest-control': texts.aPestControlOperator,
} as const;

const HARMED: Readonly<Record<Hazard, string>> = {
  pets: texts.harmsPets,
  people: texts.harmsPeople,
  bees: texts.harmsBees,
  wildlife: texts.harmsWildlife,
  water: texts.harmsWater,
  plants: texts.harmsPlants,
  aloft: texts.workAloft,
  'oil-or-soap': texts.burnsInHeat,
  systemic: texts.takenUp,
};

function weatherOf({ limits }: Treatment): string {
  if (limits === null) return texts.anyWeather;
  const { maxCelsius, minCelsius, rainFreeHours, maxWindKmh, timeOfDay } = limits;
  const said = [
    maxCelsius !== undefined && texts.notAbove(bothDegrees(maxCelsius)),
    minCelsius !== undefined && texts.notBelow(bothDegrees(minCelsius)),
    rainFreeHours !== undefined && texts.withoutRain(rainFreeHours),
    maxWindKmh !== undefined && texts.windUpTo(maxWindKmh),
    timeOfDay !== 'any' && texts.inThe(timeOfDay),
  ].filter((one) => one !== false);
  return said.length === 0 ? texts.anyWeather : capital(said.join('; '));
}

function kindOf({ classes, organic }: Treatment): string {
  const kind = classes.length === 0 ? texts.aPractice : capital(list(classes, 'and'));
  return `${kind}; ${organic ? texts.forOrganic : texts.notOrganic}`;
}

/** What a treatment is, who may do it, whom it may hurt, in which weather, how much and how often. */
export function TreatmentFacts({ treatment }: { readonly treatment: Treatment }) {
  const { who, hazards, effort, money, amount } = treatment;
  const rows: readonly (readonly [string, string])[] = [
    [texts.kindOfProduct, kindOf(treatment)],
    [texts.whoMay, WHO[who]],
    [
      texts.dangers,
      hazards.length === 0
        ? texts.noneKnown
        : capital(hazards.map((one) => HARMED[one]).join('; ')),
    ],
    [texts.weather, weatherOf(treatment)],
    [texts.effortMoney, `${capital(effort)}, ${money}`],
    ...(amount && amount.parts.length > 0
      ? [[texts.howMuch, capital(amountInWords(amount))] as const]
      : []),
  ];
  return (
    <Facts>
      <tbody>
        {rows.map(([name, said]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{said}</td>
          </tr>
        ))}
      </tbody>
    </Facts>
  );
}
