import { useEffect, useState } from 'react';
import { Autocomplete, Label, ListBox, SearchField } from 'react-aria-components';
import type { Town } from '../../contracts/towns.ts';
import { regionOf } from '../../core/schema/region.ts';
import { regionName } from '../../wording/regions.ts';
import { api } from '../api/api.ts';
import { chooserTexts } from '../texts/chooserTexts.ts';
import { Item, Scrolled, Search } from './parts.ts';

/** Typing rests so long before the gazetteer is asked, in milliseconds. */
const REST_MS = 250;
const LEAST_LETTERS = 2;

/** What was found for some words; `towns` null while nothing was asked or the answer is on its way. */
interface Found {
  readonly words: string | null;
  readonly towns: readonly Town[] | null;
  readonly problem: string | null;
}
const NOTHING: Found = { words: null, towns: null, problem: null };

const isAsked = (words: string): boolean => words.trim().length >= LEAST_LETTERS;

function useTowns(words: string, { lat, lon }: TownChooserProps['near']): Found {
  const [found, setFound] = useState(NOTHING);
  useEffect(() => {
    const asked = words.trim();
    if (!isAsked(words)) return undefined;
    let here = true;
    const ask = async (): Promise<void> => {
      const answer = await api.towns({ words: asked, lat, lon });
      if (!here) return;
      setFound(
        answer.ok
          ? { words, towns: answer.value.towns, problem: null }
          : { words, towns: null, problem: `${answer.error.message} ${answer.error.cure}` },
      );
    };
    const timer = setTimeout(() => void ask(), REST_MS);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [words, lat, lon]);
  return found.words === words ? found : NOTHING;
}

/** Where a town lies: "Maine, United States". */
function liesIn({ country, state }: Town): string {
  const region = regionOf(country, state);
  const name = regionName(country);
  return region === null || region === country ? name : `${regionName(region)}, ${name}`;
}

const keyOf = ({ name, lat, lon }: Town): string => `${name} ${lat} ${lon}`;

interface TownChooserProps {
  /** Towns near it come first; in degrees. */
  readonly near: { readonly lat: number; readonly lon: number };
  readonly autoFocus?: boolean;
  readonly onChoose: (town: Town) => void;
}

/** Finds a place by its town or postcode. */
export function TownChooser({ near, autoFocus = false, onChoose }: TownChooserProps) {
  const [typed, setTyped] = useState('');
  const { towns, problem } = useTowns(typed, near);
  return (
    <Autocomplete inputValue={typed} onInputChange={setTyped}>
      <SearchField autoFocus={autoFocus}>
        <Label>{chooserTexts.townOrPostcode}</Label>
        <Search />
      </SearchField>
      {isAsked(typed) && towns === null && problem === null && (
        <p role="status">{chooserTexts.lookingForTowns}</p>
      )}
      {problem !== null && <p role="alert">{problem}</p>}
      {towns && (
        <Scrolled aria-label={chooserTexts.towns}>
          <ListBox<Town>
            aria-label={chooserTexts.towns}
            items={towns}
            renderEmptyState={() => chooserTexts.noTownOfThatName}
          >
            {(town: Town) => (
              <Item
                id={keyOf(town)}
                textValue={town.name}
                onAction={() => {
                  setTyped('');
                  onChoose(town);
                }}
              >
                {town.name} <i>{liesIn(town)}</i>
              </Item>
            )}
          </ListBox>
        </Scrolled>
      )}
    </Autocomplete>
  );
}
