import { useState, type SubmitEvent } from 'react';
import { styled } from 'styled-components';
import {
  MAX_ADDRESS,
  MAX_NAME,
  MAX_RETENTION,
  MIN_RETENTION,
  type Clinic,
} from '../../../contracts/cases.ts';
import { placeSchema } from '../../../contracts/consult.ts';
import { APPROACHES } from '../../../core/advice/context.ts';
import { allCountries, statesOf } from '../../../wording/regions.ts';
import { SPELLINGS } from '../../../wording/spelling.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { TownChooser } from '../../choosers/TownChooser.tsx';
import { Field, OneOf, WholeNumber } from '../../kit/fields.tsx';
import { clinicRead } from '../../store/deskSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { APPROACH_WORDS } from '../../texts/caseTexts.ts';
import { clinicTexts, SPELLING_WORDS } from '../../texts/clinicTexts.ts';

const Form = styled.form`
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 8px 16px;
  align-items: end;
  & > * {
    grid-column: span 3;
  }
  && > div + div {
    margin-top: 0;
  }
  & > [data-third] {
    grid-column: span 2;
  }
  & > [data-whole] {
    grid-column: 1 / -1;
  }
  & > p {
    grid-column: 1 / -1;
    color: var(--quiet);
    font-size: 14px;
  }
  & select {
    width: 100%;
    max-width: none;
    height: 36px;
  }
  @media (max-width: 760px) {
    & > *,
    & > [data-third] {
      grid-column: 1 / -1;
    }
  }
`;

/** The place of three typed numbers; null where they are none. */
function placeOf(lat: string, lon: string, height: string): Clinic['place'] | null {
  const at = (text: string): number => (text.trim() === '' ? NaN : Number(text));
  const known = height.trim() === '' ? {} : { height: at(height) };
  const place = placeSchema.safeParse({ lat: at(lat), lon: at(lon), ...known });
  return place.success ? place.data : null;
}

/** What the clinic says of itself, and how long it keeps the names of those who asked. */
export function ClinicSettings({ clinic }: { readonly clinic: Clinic }) {
  const dispatch = useAppDispatch();
  const [name, setName] = useState(clinic.name);
  const [region, setRegion] = useState(clinic.region);
  const [address, setAddress] = useState(clinic.address);
  const [hours, setHours] = useState(clinic.hours);
  const [languages, setLanguages] = useState(clinic.languages);
  const [country, setCountry] = useState(clinic.country ?? '');
  const [state, setState] = useState(clinic.state ?? '');
  const [spelling, setSpelling] = useState(clinic.spelling);
  const [lat, setLat] = useState(String(clinic.place.lat));
  const [lon, setLon] = useState(String(clinic.place.lon));
  const [height, setHeight] = useState(String(clinic.place.height ?? ''));
  const [approach, setApproach] = useState(clinic.approach);
  const [days, setDays] = useState<number | null>(clinic.retentionDays);
  const [said, setSaid] = useState<string | null>(null);
  const place = placeOf(lat, lon, height);
  const save = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    if (!place) return;
    const saved = await api.changeClinic({
      ...{ name, region, address, hours, languages, place, approach, spelling },
      country: country || null,
      state: state || null,
      retentionDays: days ?? clinic.retentionDays,
    });
    setSaid(saved.ok ? clinicTexts.saved : `${saved.error.message} ${saved.error.cure}`);
    if (saved.ok) dispatch(clinicRead(saved.value));
  };
  const isWhole = name.trim() !== '' && region.trim() !== '' && place !== null;
  return (
    <section aria-labelledby="settings">
      <h2 id="settings">{clinicTexts.settings}</h2>
      <Form onSubmit={(event) => void save(event)}>
        <Field label={clinicTexts.clinicName} value={name} max={MAX_NAME} onChange={setName} />
        <Field label={clinicTexts.region} value={region} max={MAX_NAME} onChange={setRegion} />
        <Field
          label={clinicTexts.address}
          value={address}
          max={MAX_ADDRESS}
          onChange={setAddress}
        />
        <Field label={clinicTexts.hours} value={hours} max={MAX_ADDRESS} onChange={setHours} />
        <Field
          label={clinicTexts.languages}
          value={languages}
          max={MAX_NAME}
          onChange={setLanguages}
        />
        <OneOf
          label={clinicTexts.approach}
          value={approach}
          choices={APPROACHES.map((one) => [one, APPROACH_WORDS[one]])}
          onChange={setApproach}
        />
        <OneOf
          label={clinicTexts.spelling}
          value={spelling}
          choices={SPELLINGS.map((one) => [one, SPELLING_WORDS[one]])}
          onChange={setSpelling}
        />
        <div data-whole>
          <TownChooser
            near={clinic.place}
            onChoose={(town) => {
              setLat(town.lat.toFixed(4));
              setLon(town.lon.toFixed(4));
              setHeight('');
              setCountry(town.country);
              setState(town.state ?? '');
            }}
          />
        </div>
        <div data-third>
          <Field label={clinicTexts.latitude} value={lat} onChange={setLat} />
        </div>
        <div data-third>
          <Field label={clinicTexts.longitude} value={lon} onChange={setLon} />
        </div>
        <div data-third>
          <Field label={clinicTexts.height} value={height} onChange={setHeight} />
        </div>
        <p>{place ? clinicTexts.placeWhat : clinicTexts.placeWrong}</p>
        <div data-third>
          <OneOf
            label={clinicTexts.country}
            value={country}
            choices={[['', clinicTexts.countryNotSaid], ...allCountries()]}
            onChange={(code) => {
              setCountry(code);
              setState('');
            }}
          />
        </div>
        <div data-third>
          <OneOf
            label={clinicTexts.state}
            value={state}
            choices={[['', clinicTexts.stateNotSaid], ...statesOf(country)]}
            onChange={setState}
          />
        </div>
        <div data-third>
          <WholeNumber
            label={clinicTexts.retention}
            value={days}
            least={MIN_RETENTION}
            most={MAX_RETENTION}
            onChange={setDays}
          />
        </div>
        <p>{clinicTexts.countryWhat}</p>
        <p>{clinicTexts.retentionWhat}</p>
        <div>
          <Button kind="main" type="submit" isDisabled={!isWhole}>
            {clinicTexts.save}
          </Button>
        </div>
        <p role="status">{said}</p>
      </Form>
    </section>
  );
}
