import { styled } from 'styled-components';
import type { CaseRecord } from '../../../../contracts/cases.ts';
import { Choices } from '../../../kit/fields.tsx';
import { followTexts } from '../../../texts/followTexts.ts';
import { useRecordEvent } from '../common/useCase.ts';

const Row = styled.div`
  margin-top: 10px;
  & [role='radiogroup'] {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 4px;
  }
`;

const CHOICES = [
  { id: 'yes', text: followTexts.consent.yes },
  { id: 'no', text: followTexts.consent.no },
  { id: 'not-asked', text: followTexts.consent.notAsked },
] as const;
type Said = (typeof CHOICES)[number]['id'];

const saidOf = (agreed: boolean | null): Said => {
  if (agreed === null) return 'not-asked';
  return agreed ? 'yes' : 'no';
};
const agreedOf = (said: Said): boolean | null => (said === 'not-asked' ? null : said === 'yes');

/** What the enquirer agrees to. */
export function ConsentFields({ record: { consent } }: { readonly record: CaseRecord }) {
  const happen = useRecordEvent();
  return (
    <>
      <Row>
        <Choices
          label={followTexts.mayCall}
          value={saidOf(consent.callBack)}
          choices={CHOICES}
          onChange={(said) =>
            void happen({ kind: 'consent-set', consent: { callBack: agreedOf(said) } })
          }
        />
      </Row>
      <Row>
        <Choices
          label={followTexts.mayKeepPictures}
          value={saidOf(consent.photographs)}
          choices={CHOICES}
          onChange={(said) =>
            void happen({ kind: 'consent-set', consent: { photographs: agreedOf(said) } })
          }
        />
      </Row>
    </>
  );
}
