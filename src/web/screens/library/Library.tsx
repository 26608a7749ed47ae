import { commonTexts } from '../../texts/commonTexts.ts';
import { libraryTexts } from '../../texts/libraryTexts.ts';
import { useEffect, useMemo, useState } from 'react';
import { Label, SearchField, ToggleButtonGroup } from 'react-aria-components';
import { NavLink, Outlet, useLocation } from 'react-router';
import { styled } from 'styled-components';
import { TextBox } from '../../kit/fields.tsx';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { listedLinks, SplitPage, Switch } from '../../kit/SplitPage.ts';
import { useKeys } from '../../kit/useKeys.ts';
import {
  SECTIONS,
  type SearchHit,
  type LibraryIndex,
  type SectionName,
} from '../../library/libraryIndex.ts';
import { useLibrary } from '../../library/useLibrary.ts';

const Side = styled.nav`
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  gap: 10px;
  min-height: 0;
  padding: 14px 0 0 16px;
  border-right: 1px solid var(--hairline);
`;
const Kinds = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 0 2px;
`;
const Kind = styled(Switch)`
  font-size: 14px;
`;
const Search = styled(SearchField)`
  padding-right: 14px;
  & label {
    display: block;
    font-size: 13px;
    color: var(--quiet);
    margin-bottom: 3px;
  }
`;
const List = styled.ul`
  overflow: auto;
  ${listedLinks}
  & i {
    display: block;
    color: var(--quiet);
    font-size: 13px;
    font-weight: 400;
  }
`;

const NAMES: Readonly<Record<SectionName, string>> = {
  cause: commonTexts.causes,
  plant: commonTexts.plants,
  finding: libraryTexts.findings,
  treatment: libraryTexts.treatments,
  care: libraryTexts.care,
  place: libraryTexts.places,
};

const isShelf = (word: unknown): word is SectionName => SECTIONS.some((name) => name === word);

function listOf(shelf: LibraryIndex, kind: SectionName, text: string): readonly SearchHit[] {
  const found = text.trim() === '' ? shelf.all : shelf.search(text);
  return found.filter((one) => one.shelf === kind);
}

/** Everything the library holds, to read: a list with a search on the left, the page chosen on the right. */
export function Library() {
  const { reading, failed, retry } = useLibrary();
  const first = useLocation().pathname.split('/')[2];
  const [kind, setKind] = useState<SectionName>(isShelf(first) ? first : 'cause');
  const [text, setText] = useState('');
  useEffect(() => {
    document.title = libraryTexts.librarySounding;
  }, []);
  useEffect(() => {
    if (isShelf(first)) setKind(first);
  }, [first]);
  useKeys({ '/': () => document.getElementById('library-search')?.focus() });
  const list = useMemo(
    () => (reading ? listOf(reading.shelf, kind, text) : []),
    [reading, kind, text],
  );
  return (
    <SplitPage>
      <Side aria-label={commonTexts.library}>
        <Search value={text} onChange={setText}>
          <Label>
            {libraryTexts.search} <Key>/</Key>
          </Label>
          <TextBox id="library-search" placeholder={libraryTexts.searchPlaceholder} />
        </Search>
        <Kinds
          aria-label={libraryTexts.whatToList}
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[kind]}
          onSelectionChange={(keys) => {
            const [next] = [...keys];
            if (isShelf(next)) setKind(next);
          }}
        >
          {SECTIONS.map((name) => (
            <Kind key={name} id={name}>
              {NAMES[name]}
            </Kind>
          ))}
        </Kinds>
        <List>
          {list.map(({ shelf, id, name, more }) => (
            <li key={id}>
              <NavLink to={`/library/${shelf}/${id}`}>
                {name}
                {more !== '' && <i>{more}</i>}
              </NavLink>
            </li>
          ))}
          {reading && list.length === 0 && (
            <li>
              <Notice>
                {libraryTexts.noneOfThe} {NAMES[kind].toLowerCase()} {libraryTexts.answersToThat}
              </Notice>
            </li>
          )}
        </List>
      </Side>
      {reading ? (
        <Outlet context={reading} />
      ) : (
        <div>
          {failed ? (
            <Notice tone="caution">
              {commonTexts.libraryNotLoaded} <Button onPress={retry}>{commonTexts.tryAgain}</Button>
            </Notice>
          ) : (
            <Notice>{libraryTexts.fetchingTheLibrary}</Notice>
          )}
        </div>
      )}
    </SplitPage>
  );
}
