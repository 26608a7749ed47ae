import { useEffect, useRef, useState, type ChangeEvent } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import { IMPORT_FIELDS, type ImportResult } from '../../../contracts/importing.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { FieldLabel, SelectBox } from '../../kit/fields.tsx';
import { HeadedPage as Page } from '../../kit/HeadedPage.ts';
import { Notice } from '../../kit/Notice.tsx';
import { Figures, Table } from '../../kit/Table.ts';
import { loadClinic } from '../../store/actions.ts';
import { store, useAppDispatch } from '../../store/store.ts';
import { FIELD_LABELS, importTexts } from '../../texts/importTexts.ts';
import { guessMapping, piecesOf, readImport, type ImportFile, type Mapping } from './readImport.ts';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px 16px;
  max-width: 980px;
  & select {
    width: 100%;
  }
`;
const Bar = styled.progress`
  width: 320px;
  accent-color: var(--teal);
`;
const Ways = styled.div`
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 16px 0;
`;

/** What was not taken in, by its line in the file. */
interface Refused {
  readonly line: number;
  readonly why: string;
}

/** How far the sending of a file is. */
interface Progress {
  readonly sent: number;
  readonly of: number;
  readonly taken: number;
  readonly known: number;
  readonly refused: readonly Refused[];
  readonly isRunning: boolean;
  /** Why it stopped before its end. */
  readonly stopped: string | null;
}

/** The line of an item: a table has its head before the first. */
const lineOf = (file: ImportFile, index: number): number => index + (file.kind === 'rows' ? 2 : 1);

/** Why a line was refused; a field is named as it is above. */
function reasonOf({ field, message, cure }: Problem): string {
  const label = FIELD_LABELS[field ?? ''];
  return `${label === undefined ? '' : `${label}: `}${message} ${cure}`;
}

function counted(before: Progress, file: ImportFile, results: readonly ImportResult[]): Progress {
  const refused = results.flatMap(({ problem }, i): Refused[] =>
    problem === null ? [] : [{ line: lineOf(file, before.sent + i), why: reasonOf(problem) }],
  );
  const countOf = (outcome: ImportResult['outcome']): number =>
    results.filter((one) => one.outcome === outcome).length;
  return {
    ...before,
    sent: before.sent + results.length,
    taken: before.taken + countOf('taken'),
    known: before.known + countOf('known'),
    refused: [...before.refused, ...refused],
  };
}

/** Takes cases in from a file: our own export, or a table whose columns are told. */
export function Import() {
  const dispatch = useAppDispatch();
  const [file, setFile] = useState<ImportFile | null>(null);
  const [unread, setUnread] = useState(false);
  const [mapping, setMapping] = useState<Mapping>({});
  const [progress, setProgress] = useState<Progress | null>(null);
  const isStopped = useRef(false);
  useEffect(() => {
    document.title = importTexts.pageTitle;
    if (store.getState().desk.clinic === null) void loadClinic(dispatch);
    return () => {
      isStopped.current = true;
    };
  }, [dispatch]);
  const choose = async ({ target }: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const text = await target.files?.[0]?.text();
    const read = text === undefined ? null : readImport(text);
    setFile(read);
    setUnread(text !== undefined && read === null);
    setMapping(read?.kind === 'rows' ? guessMapping(read.columns) : {});
    setProgress(null);
  };
  // By a function: it changes while the loop waits.
  const wasStopped = (): boolean => isStopped.current;
  const send = async (chosen: ImportFile): Promise<void> => {
    isStopped.current = false;
    let now: Progress = {
      ...{ sent: 0, of: chosen.items.length, taken: 0, known: 0, refused: [] },
      isRunning: true,
      stopped: null,
    };
    setProgress(now);
    for (const piece of piecesOf(chosen, mapping)) {
      if (wasStopped()) break;
      const done = await api.takeIn(chosen.kind, piece);
      if (!done.ok && done.error.code === 'too-large' && piece.length === 1)
        now = counted(now, chosen, [{ outcome: 'refused', number: null, problem: done.error }]);
      else if (!done.ok) {
        now = { ...now, stopped: `${done.error.message} ${done.error.cure}` };
        break;
      } else now = counted(now, chosen, done.value.results);
      setProgress(now);
    }
    setProgress({ ...now, isRunning: false });
  };
  const isMapped = file?.kind === 'cases' || (mapping.opened ?? '') !== '';
  return (
    <Page>
      <h1>{importTexts.title}</h1>
      <p>
        {importTexts.what} <Link to="/casebook">{importTexts.toCasebook}</Link>
      </p>
      <input
        type="file"
        aria-label={importTexts.file}
        accept=".jsonl,.csv,.txt,text/csv,application/jsonl"
        onChange={(event) => void choose(event)}
      />
      {unread && <Notice tone="caution">{importTexts.unread}</Notice>}
      {file?.kind === 'rows' && <Columns file={file} mapping={mapping} onChange={setMapping} />}
      {file && (
        <Ways>
          <Button
            kind="main"
            isDisabled={!isMapped || progress?.isRunning === true}
            onPress={() => void send(file)}
          >
            {importTexts.takeIn(file.items.length)}
          </Button>
          {progress?.isRunning === true && (
            <Button
              onPress={() => {
                isStopped.current = true;
              }}
            >
              {importTexts.stop}
            </Button>
          )}
          {!isMapped && <span>{importTexts.needsDay}</span>}
        </Ways>
      )}
      {progress && <Report progress={progress} />}
    </Page>
  );
}

interface ColumnsProps {
  readonly file: Extract<ImportFile, { kind: 'rows' }>;
  readonly mapping: Mapping;
  readonly onChange: (mapping: Mapping) => void;
}

function Columns({ file: { columns, items }, mapping, onChange }: ColumnsProps) {
  const [first] = items;
  return (
    <>
      <h2>{importTexts.columns}</h2>
      <Fields>
        {IMPORT_FIELDS.map((field) => (
          <label key={field}>
            <FieldLabel elementType="span">{FIELD_LABELS[field] ?? field}</FieldLabel>
            <SelectBox
              value={mapping[field] ?? ''}
              onChange={({ target }) => onChange({ ...mapping, [field]: target.value })}
            >
              <option value="">{importTexts.noColumn}</option>
              {columns.map((column) => (
                <option key={column} value={column}>
                  {importTexts.columnWith(column, (first?.[column] ?? '').slice(0, 30))}
                </option>
              ))}
            </SelectBox>
          </label>
        ))}
      </Fields>
    </>
  );
}

function Report({ progress }: { readonly progress: Progress }) {
  const { sent, of, taken, known, refused, isRunning, stopped } = progress;
  return (
    <section>
      <p role="status">
        {importTexts.progress(sent, of)} {importTexts.counts(taken, known, refused.length)}{' '}
        {!isRunning && sent < of && importTexts.notAll}
      </p>
      <Bar value={sent} max={of} aria-label={importTexts.title} />
      {stopped !== null && <Notice tone="caution">{stopped}</Notice>}
      {refused.length > 0 && (
        <>
          <h2>{importTexts.refused}</h2>
          <Table>
            <thead>
              <tr>
                <th scope="col">{importTexts.line}</th>
                <th scope="col">{importTexts.why}</th>
              </tr>
            </thead>
            <tbody>
              {refused.map(({ line, why }) => (
                <tr key={line}>
                  <Figures>{line}</Figures>
                  <td>{why}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
    </section>
  );
}
