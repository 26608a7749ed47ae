import { caseTexts } from '../../texts/caseTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { useEffect, useState } from 'react';
import { Dialog, Heading, Label, SearchField } from 'react-aria-components';
import { styled } from 'styled-components';
import type { PlantId } from '../../../core/schema/common.ts';
import type { Finding, Part } from '../../../core/schema/finding.ts';
import type { CasePlant } from '../../../contracts/cases.ts';
import { newId } from '../../../contracts/ids.ts';
import { Button } from '../../kit/Button.tsx';
import { TextBox } from '../../kit/fields.tsx';
import { Sheet, Veil } from '../../kit/FloatingDialog.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { fetchLibrary } from '../../api/fetchLibrary.ts';
import { makeFindingSearch, type FindingSearch } from '../../library/findingSearch.ts';
import { PlateFigure } from '../../plates/PlateFigure.tsx';
import { Quietly } from './common/layout.ts';
import { PlantPicture } from './PlantPicture.tsx';
import { useRecordEvent } from './common/useCase.ts';

const Head = styled.header`
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding-bottom: 12px;
  & > :last-child {
    margin-left: auto;
  }
`;
const Body = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 20px;
  @media (max-width: 760px) {
    grid-template-columns: 1fr;
  }
`;
const FoundSection = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 18px;
  align-content: start;
  height: 396px;
  overflow: auto;
  margin-top: 10px;
`;
const Item = styled.li`
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  padding: 5px 0;
  border-top: 1px solid var(--hairline);
  font-size: 14px;
  line-height: 1.3;
`;
const SearchLabel = styled(Label)`
  display: block;
  margin-bottom: 5px;
  font-size: 13px;
  color: var(--quiet);
`;
const NoPlate = styled.span`
  width: 52px;
`;

const BY_SIGHT_SURE = 0.95;

function useFindingSearch(): { readonly search: FindingSearch | null; readonly failed: boolean } {
  const [search, setSearch] = useState<FindingSearch | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let here = true;
    fetchLibrary().then(
      (library) => {
        if (here) setSearch(() => makeFindingSearch(library));
      },
      () => {
        if (here) setFailed(true);
      },
    );
    return () => {
      here = false;
    };
  }, []);
  return { search, failed };
}

interface AddFindingProps {
  readonly plant: CasePlant;
  /** The plant as chosen or heard; what it can show comes first. */
  readonly host: PlantId | null;
  /** Words of the enquirer that are to be tied to a finding; empty for none. */
  readonly said: string;
  readonly onClose: () => void;
}

/** Adds what was not understood, or what is seen, by word or by sight. */
export function AddFinding({ plant, host, said, onClose }: AddFindingProps) {
  const happen = useRecordEvent();
  const { search, failed } = useFindingSearch();
  const [words, setWords] = useState(said);
  const [part, setPart] = useState<Part | null>(null);
  const known = new Map(plant.answers.map(({ finding, value }) => [finding, value]));
  const tell = ({ id }: Finding, value: boolean): void => {
    happen({
      kind: 'answer-given',
      plantId: plant.id,
      answer: { id: newId(), finding: id, value, sure: BY_SIGHT_SURE },
    });
    if (said !== '' && value) happen({ kind: 'phrase-tied', plantId: plant.id, finding: id, said });
  };
  const found = search?.({ words, part, plant: host }) ?? [];
  return (
    <Veil isOpen onOpenChange={(is) => !is && onClose()} isDismissable>
      <Sheet $width={960}>
        <Dialog>
          <Head>
            <Heading slot="title">{caseTexts.addAFinding}</Heading>
            {said !== '' && (
              <Quietly>
                {caseTexts.forWords}
                {said}”
              </Quietly>
            )}
            <Button onPress={onClose}>{commonTexts.done}</Button>
          </Head>
          <Body>
            <PlantPicture part={part} onPart={setPart} />
            <div>
              <SearchField autoFocus value={words} onChange={setWords}>
                <SearchLabel>{caseTexts.findingSearchLabel}</SearchLabel>
                <TextBox />
              </SearchField>
              {failed && <Notice tone="caution">{caseTexts.libraryNotLoaded}</Notice>}
              {search && found.length === 0 && <Notice>{caseTexts.noSuchFinding}</Notice>}
              <FoundSection>
                {found.map((one) => (
                  <FoundFinding
                    key={one.id}
                    finding={one}
                    state={known.get(one.id)}
                    onTell={(value) => tell(one, value)}
                  />
                ))}
              </FoundSection>
            </div>
          </Body>
        </Dialog>
      </Sheet>
    </Veil>
  );
}

interface FoundFindingProps {
  readonly finding: Finding;
  readonly state: boolean | string | undefined;
  readonly onTell: (value: boolean) => void;
}

function FoundFinding({ finding: { label, plate }, state, onTell }: FoundFindingProps) {
  const button = (text: string, value: boolean) => (
    <Button
      kind={state === value ? 'plain' : 'quiet'}
      onPress={() => onTell(value)}
      aria-label={`${text}: ${label}`}
    >
      {text}
    </Button>
  );
  return (
    <Item>
      {plate === undefined || plate === 'none' ? (
        <NoPlate />
      ) : (
        <PlateFigure plate={plate} pixels={52} />
      )}
      <span>{label}</span>
      {button(caseTexts.yes, true)}
      {button(caseTexts.no, false)}
    </Item>
  );
}
