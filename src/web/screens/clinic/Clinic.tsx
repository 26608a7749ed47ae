import { useEffect } from 'react';
import { styled } from 'styled-components';
import { useCan } from '../../store/useCan.ts';
import { loadClinic } from '../../store/actions.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { clinicTexts } from '../../texts/clinicTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { AtHand } from './AtHand.tsx';
import { AuditList } from './AuditList.tsx';
import { ClinicSettings } from './ClinicSettings.tsx';
import { Contacts } from './Contacts.tsx';
import { OwnAccount } from './OwnAccount.tsx';
import { People } from './People.tsx';

const Page = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 24px 32px;
  align-content: start;
  padding: 20px 24px 40px;
  overflow: auto;
  & h1 {
    grid-column: 1 / -1;
    font-size: 24px;
  }
  & h2 {
    padding-bottom: 8px;
    font-size: 18px;
  }
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Column = styled.div`
  display: grid;
  gap: 28px;
  align-content: start;
  min-width: 0;
`;

/** The clinic: who works here, what was done, and the account of whoever looks. */
export function Clinic() {
  const dispatch = useAppDispatch();
  const clinic = useAppSelector((state) => state.desk.clinic);
  const [seesPeople, seesLog] = [useCan('people.read'), useCan('audit.read')];
  const writes = useCan('clinic.write');
  const hasAccount = useCan('own.write');
  useEffect(() => {
    document.title = clinicTexts.title;
    if (store.getState().desk.clinic === null) void loadClinic(dispatch);
  }, [dispatch]);
  return (
    <Page>
      <h1>{clinic?.name ?? commonTexts.clinic}</h1>
      <Column>
        {seesPeople && <People />}
        {writes && clinic && <ClinicSettings key={clinic.name} clinic={clinic} />}
        <Contacts writes={writes} />
        {seesLog && <AuditList />}
      </Column>
      <Column>
        {hasAccount && <OwnAccount />}
        {clinic && <AtHand today={clinic.today} />}
      </Column>
    </Page>
  );
}
