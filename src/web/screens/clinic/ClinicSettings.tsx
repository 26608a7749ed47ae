import { useState, type SubmitEvent } from 'react';
import { styled } from 'styled-components';
import { MAX_NAME, MAX_RETENTION, MIN_RETENTION, type Clinic } from '../../../contracts/cases.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { Field, WholeNumber } from '../../kit/fields.tsx';
import { clinicRead } from '../../store/deskSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { clinicTexts } from '../../texts/clinicTexts.ts';

const Form = styled.form`
  display: grid;
  grid-template-columns: 1fr 1fr auto auto;
  gap: 6px 16px;
  align-items: end;
  & > div + div {
    margin-top: 0;
  }
  & > p {
    grid-column: 1 / -1;
    color: var(--quiet);
    font-size: 14px;
  }
  @media (max-width: 760px) {
    grid-template-columns: 1fr;
  }
`;

/** What the clinic says of itself, and how long it keeps the names of those who asked. */
export function ClinicSettings({ clinic }: { readonly clinic: Clinic }) {
  const dispatch = useAppDispatch();
  const [name, setName] = useState(clinic.name);
  const [region, setRegion] = useState(clinic.region);
  const [days, setDays] = useState<number | null>(clinic.retentionDays);
  const [said, setSaid] = useState<string | null>(null);
  const save = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    const retentionDays = days ?? clinic.retentionDays;
    const saved = await api.changeClinic({ name, region, retentionDays });
    setSaid(saved.ok ? clinicTexts.saved : `${saved.error.message} ${saved.error.cure}`);
    if (saved.ok) dispatch(clinicRead(saved.value));
  };
  return (
    <section aria-labelledby="settings">
      <h2 id="settings">{clinicTexts.settings}</h2>
      <Form onSubmit={(event) => void save(event)}>
        <Field label={clinicTexts.clinicName} value={name} max={MAX_NAME} onChange={setName} />
        <Field label={clinicTexts.region} value={region} max={MAX_NAME} onChange={setRegion} />
        <WholeNumber
          label={clinicTexts.retention}
          value={days}
          least={MIN_RETENTION}
          most={MAX_RETENTION}
          onChange={setDays}
        />
        <Button type="submit" isDisabled={name.trim() === '' || region.trim() === ''}>
          {clinicTexts.save}
        </Button>
        <p>{clinicTexts.retentionWhat}</p>
        <p role="status">{said}</p>
      </Form>
    </section>
  );
}
