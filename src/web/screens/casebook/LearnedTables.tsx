import { Link } from 'react-router';
import type { Learned } from '../../../contracts/learned.ts';
import { Notice } from '../../kit/Notice.tsx';
import { Figures, Table } from '../../kit/Table.ts';
import { causeName } from '../../library/causeName.ts';
import type { LibraryIndex } from '../../library/libraryIndex.ts';
import { followTexts } from '../../texts/followTexts.ts';
import { learnedTexts } from '../../texts/learnedTexts.ts';
import { SaidTrueLine } from './SaidTrueLine.tsx';

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const trueOf = ({ isTrue, cases }: { readonly isTrue: number; readonly cases: number }): string =>
  cases === 0 ? '–' : `${isTrue} of ${cases}`;

/** Ranges of what was said, with how often it was true. */
export function BySureness({ bins }: Pick<Learned, 'bins'>) {
  return (
    <section>
      <h2>{learnedTexts.bySureness}</h2>
      <Table>
        <thead>
          <tr>
            <th scope="col">{learnedTexts.said}</th>
            <th scope="col">{learnedTexts.wasTrue}</th>
            <th scope="col">{learnedTexts.picture}</th>
          </tr>
        </thead>
        <tbody>
          {bins.map(({ from, to, said, share, ...rest }) => (
            <tr key={from}>
              <Figures>
                {percent(from)} to {percent(to)}
              </Figures>
              <Figures>{trueOf(rest)}</Figures>
              <td>
                {said !== null && share !== null && (
                  <SaidTrueLine said={said} share={share} low={rest.low} high={rest.high} />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p>{learnedTexts.legend}</p>
    </section>
  );
}

interface ByCauseProps extends Pick<Learned, 'causes'> {
  /** Null until the library is there. */
  readonly shelf: LibraryIndex | null;
}

/** What stood first, how often it was true, and what it was instead. */
export function ByCause({ causes, shelf }: ByCauseProps) {
  return (
    <section>
      <h2>{learnedTexts.byCause}</h2>
      <Table>
        <thead>
          <tr>
            <th scope="col">{learnedTexts.cause}</th>
            <th scope="col">{learnedTexts.wasTrue}</th>
            <th scope="col">{learnedTexts.picture}</th>
            <th scope="col">{learnedTexts.instead}</th>
          </tr>
        </thead>
        <tbody>
          {causes.map(({ cause, said, share, instead, ...rest }) => (
            <tr key={cause}>
              <td>
                <Link to={`/casebook?cause=${cause}`}>{causeName(cause, shelf)}</Link>
              </td>
              <Figures>{trueOf(rest)}</Figures>
              <td>
                {share !== null && (
                  <SaidTrueLine said={said} share={share} low={rest.low} high={rest.high} />
                )}
              </td>
              <td>
                {instead
                  .map(
                    (other) =>
                      `${causeName(other.cause, shelf)}${other.cases > 1 ? ` (${other.cases})` : ''}`,
                  )
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  );
}

interface ByPersonProps extends Pick<Learned, 'people'> {
  /** Whoever looks sees the lines of all. */
  readonly seesAll: boolean;
}

/** How often what was said proved true, by who closed the case. */
export function ByPerson({ people, seesAll }: ByPersonProps) {
  if (people.length === 0) return <div />;
  return (
    <section>
      <h2>{learnedTexts.byPerson}</h2>
      <Table>
        <thead>
          <tr>
            <th scope="col">{learnedTexts.person}</th>
            <th scope="col">{learnedTexts.wasTrue}</th>
          </tr>
        </thead>
        <tbody>
          {people.map(({ name, ...rest }) => (
            <tr key={name}>
              <td>{name}</td>
              <Figures>{trueOf(rest)}</Figures>
            </tr>
          ))}
        </tbody>
      </Table>
      {!seesAll && <p>{learnedTexts.ofOthers}</p>}
    </section>
  );
}

/** How plants did, by how much of the advice was done. */
export function FollowUps({ followUps }: Pick<Learned, 'followUps'>) {
  const [first] = followUps;
  const total = followUps.flatMap(({ results }) => results).reduce((n, { cases }) => n + cases, 0);
  return (
    <section>
      <h2>{learnedTexts.followUps}</h2>
      {total === 0 || !first ? (
        <Notice>{learnedTexts.noFollowUps}</Notice>
      ) : (
        <Table>
          <thead>
            <tr>
              <th scope="col">{learnedTexts.followed}</th>
              {first.results.map(({ result }) => (
                <th key={result} scope="col">
                  {followTexts.results[result]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {followUps.map(({ followed, results }) => (
              <tr key={followed}>
                <td>{followTexts.followed[followed]}</td>
                {results.map(({ result, cases }) => (
                  <Figures key={result}>{cases === 0 ? '' : cases}</Figures>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </section>
  );
}
