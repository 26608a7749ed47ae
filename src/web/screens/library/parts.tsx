import { Fragment } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import { FREQUENCY, type Frequency } from '../../../core/schema/scale.ts';
import type { Amount } from '../../../core/schema/amount.ts';
import { amountInWords } from '../../../wording/quantities.ts';
import { PlateFigure } from '../../plates/PlateFigure.tsx';
import { spaced } from './words.ts';

/** A page of the Library: text on a white surface divided by hairlines. */
export const Sheet = styled.article`
  display: grid;
  gap: 18px;
  align-content: start;
  padding: 18px 28px 40px;
  background: var(--surface);
  min-width: 0;
  overflow: auto;
  & h1 {
    font-size: 24px;
  }
  & h2 {
    font-size: 16px;
    padding-bottom: 3px;
    border-bottom: 1px solid var(--hairline);
    margin-bottom: 6px;
  }
  & p {
    max-width: 76ch;
  }
`;

export const Quiet = styled.span`
  color: var(--quiet);
  font-size: 14px;
`;

/** Rows of name and value. */
export const Facts = styled.table`
  width: 100%;
  border-collapse: collapse;
  & th {
    text-align: left;
    font-weight: 400;
    vertical-align: top;
    padding: 3px 12px 3px 0;
  }
  & thead th {
    color: var(--quiet);
    font-size: 13px;
    font-weight: 500;
  }
  & td {
    padding: 3px 12px 3px 0;
    vertical-align: top;
  }
  & td.short {
    white-space: nowrap;
    color: var(--quiet);
  }
  & td.figures {
    font-family: var(--figures);
    font-size: 13px;
    white-space: nowrap;
  }
`;

export const Halves = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 22px 32px;
  align-items: start;
`;

/** Sections below each other. */
export const Stack = styled.div`
  display: grid;
  gap: 18px;
  align-content: start;
`;

const Track = styled.span`
  display: inline-block;
  width: 60px;
  height: 7px;
  vertical-align: middle;
  margin-right: 8px;
  border-left: 1px solid var(--ink);
  border-bottom: 1px solid var(--hairline);
  & span {
    display: block;
    height: 6px;
    background: var(--ink);
  }
`;

/** A share as a short bar, told in words beside it. */
export function ShareBar({ share }: { readonly share: number }) {
  return (
    <Track aria-hidden>
      <span style={{ width: `${100 * share}%` }} />
    </Track>
  );
}

interface HowOftenProps {
  readonly to: string;
  readonly name: string;
  readonly word: Frequency;
  /** Parameters of its drawing. */
  readonly plate?: string;
}

const Named = styled.div`
  display: flex;
  gap: 10px;
  align-items: center;
`;

/** The bar and its word stay on one line. */
const Whole = styled.td`
  white-space: nowrap;
`;

/** A row of {@link ReadingFeatures}: what it is, and how often. */
export function HowOften({ to, name, word, plate = 'none' }: HowOftenProps) {
  return (
    <tr>
      <th scope="row">
        <Named>
          <PlateFigure plate={plate} pixels={36} />
          <Link to={to}>{name}</Link>
        </Named>
      </th>
      <Whole>
        <ShareBar share={FREQUENCY[word]} />
        {spaced(word)}
      </Whole>
    </tr>
  );
}

/** Plants by name, with commas between, each leading to its page. */
export function PlantLinks({
  plants,
}: {
  readonly plants: readonly { readonly id: string; readonly name: string }[];
}) {
  return plants.map(({ id, name }, i) => (
    <Fragment key={id}>
      {i > 0 && ', '}
      <Link to={`/library/plant/${id}`}>{name}</Link>
    </Fragment>
  ));
}

/** How much, how often, how deep, for how long, where the library says it. */
export function AmountSaid({ amount }: { readonly amount: Amount | null }) {
  const text = amount === null ? '' : amountInWords(amount);
  return text === '' ? null : <Quiet>{text}</Quiet>;
}
