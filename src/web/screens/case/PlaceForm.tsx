import { useState } from 'react';
import { styled } from 'styled-components';
import type { CasePlant, Clinic } from '../../../contracts/cases.ts';
import { regionOf } from '../../../core/schema/region.ts';
import { regionName } from '../../../wording/regions.ts';
import { TownChooser } from '../../choosers/TownChooser.tsx';
import { Button } from '../../kit/Button.tsx';
import { Field } from '../../kit/fields.tsx';
import { caseTexts } from '../../texts/caseTexts.ts';
import { useRecordEvent } from './common/useCase.ts';

function degrees(value: number, positive: string, negative: string): string {
  return `${Math.abs(value).toFixed(1)}° ${value >= 0 ? positive : negative}`;
}

/** The town that it was found by, the region of the clinic where the plant stands there, or else its coordinates. */
export function placeInWords(
  { lat, lon, town, country, state }: CasePlant['place'],
  clinic: Clinic | null,
): string {
  const region = regionOf(country ?? null, state ?? null);
  if (town !== undefined) return region === null ? town : `${town}, ${regionName(region)}`;
  if (clinic?.place.lat === lat && clinic.place.lon === lon) return clinic.region;
  return `${degrees(lat, 'N', 'S')} ${degrees(lon, 'E', 'W')}`;
}

const ByDegrees = styled.details`
  margin-top: 8px;
  & > summary {
    cursor: pointer;
    color: var(--teal);
    margin-bottom: 6px;
  }
`;

interface PlaceFormProps {
  readonly plant: CasePlant;
  readonly clinic: Clinic | null;
  readonly close: () => void;
}

/** Where the plant stands: by a town or postcode, at the clinic, or by degrees. */
export function PlaceForm({ plant, clinic, close }: PlaceFormProps) {
  const happen = useRecordEvent();
  const set = (place: CasePlant['place']): void => {
    happen({ kind: 'place-set', plantId: plant.id, place });
    close();
  };
  const isAtClinic = clinic?.place.lat === plant.place.lat && clinic.place.lon === plant.place.lon;
  return (
    <>
      <TownChooser
        near={clinic?.place ?? plant.place}
        autoFocus
        onChoose={({ name: town, lat, lon, country, state }) =>
          set({ lat, lon, town, country, ...(state === null ? {} : { state }) })
        }
      />
      {clinic && !isAtClinic && (
        <Button onPress={() => set(clinic.place)}>
          {caseTexts.atTheClinicsPlace(clinic.region)}
        </Button>
      )}
      <ByDegrees>
        <summary>{caseTexts.byDegrees}</summary>
        <Degrees place={plant.place} onSet={set} />
      </ByDegrees>
    </>
  );
}

interface DegreesProps {
  readonly place: CasePlant['place'];
  readonly onSet: (place: CasePlant['place']) => void;
}

function Degrees({ place: { lat: lat0, lon: lon0, height: height0 }, onSet }: DegreesProps) {
  const [lat, setLat] = useState(String(lat0));
  const [lon, setLon] = useState(String(lon0));
  const [height, setHeight] = useState(String(height0 ?? ''));
  const known = height.trim() === '' ? {} : { height: Number(height) };
  const place = { lat: Number(lat), lon: Number(lon), ...known };
  const good =
    lat.trim() !== '' &&
    lon.trim() !== '' &&
    Math.abs(place.lat) <= 90 &&
    Math.abs(place.lon) <= 180 &&
    (known.height === undefined || (known.height >= -450 && known.height <= 6000));
  return (
    <>
      <Field label={caseTexts.latitudeSouthIsNegative} value={lat} onChange={setLat} />
      <Field label={caseTexts.longitudeWestIsNegative} value={lon} onChange={setLon} />
      <Field label={caseTexts.heightInMetresIfKnown} value={height} onChange={setHeight} />
      <p>{good ? '' : caseTexts.placeInvalid}</p>
      <Button kind="main" isDisabled={!good} onPress={() => onSet(place)}>
        {caseTexts.useThisPlace}
      </Button>
    </>
  );
}
