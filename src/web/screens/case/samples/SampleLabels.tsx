import { styled } from 'styled-components';
import { sampleTexts } from '../../../texts/sampleTexts.ts';
import { Barcode } from './Barcode.tsx';

const Label = styled.article`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 16px;
  max-width: 150mm;
  margin-bottom: 8mm;
  padding: 4mm 5mm !important;
  border: 1px solid #000000;
  background: #ffffff;
  color: #000000;
  font-size: 13px;
  break-inside: avoid;
  & h2 {
    font: 600 24px/1.1 var(--figures);
  }
  & dl {
    display: grid;
    grid-template-columns: 26mm 1fr;
    gap: 1px 8px;
    grid-column: 1 / -1;
    margin: 6px 0 0;
  }
  & dd {
    margin: 0;
  }
`;

/** What one label says; it names the case, and nobody. */
export interface LabelOfSample {
  readonly number: string;
  readonly plant: string;
  readonly kind: string;
  readonly suspects: readonly string[];
  readonly laboratory: string;
}

interface SampleLabelsProps {
  readonly clinic: string;
  readonly labels: readonly LabelOfSample[];
}

/** Labels to stick on bags and boxes. */
export function SampleLabels({ clinic, labels }: SampleLabelsProps) {
  return (
    <>
      {labels.map(({ number, plant, kind, suspects, laboratory }) => (
        <Label key={number}>
          <div>
            <div>{sampleTexts.labelTitle}</div>
            <h2>{number}</h2>
            {laboratory !== '' && <div>{laboratory}</div>}
          </div>
          <Barcode text={number} />
          <dl>
            <dt>{sampleTexts.labelPlant}</dt>
            <dd>{plant}</dd>
            <dt>{sampleTexts.labelKind}</dt>
            <dd>{kind}</dd>
            <dt>{sampleTexts.labelSuspects}</dt>
            <dd>{suspects.join(', ')}</dd>
            <dt>{sampleTexts.labelTaken}</dt>
            <dd>____________________</dd>
            <dt>{sampleTexts.labelFrom}</dt>
            <dd>{clinic}</dd>
          </dl>
        </Label>
      ))}
    </>
  );
}
