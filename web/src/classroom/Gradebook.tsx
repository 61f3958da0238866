import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, Scale } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, askBlob, type Schemas } from '../api/client';
import { Shell } from '../shell/Shell';
import { Button, Dialog, menuBox, menuItem, Toggle, Trouble } from '../ui';
import { save } from '../ui/save';
import { CategoriesDialog } from './CategoriesDialog';
import { GradeCell, GradeLegend, wordsOf } from './GradeCell';

type Book = Schemas['GradebookView'];
type Chosen = { student: Schemas['GradeLine']; lab: Schemas['GradedLab']; cell: Schemas['GradeCell'] };

/** The labs of a class and what each student has of them. */
export function Gradebook() {
  const { classId = '' } = useParams();
  const [percent, setPercent] = useState(false);
  const [weighing, setWeighing] = useState(false);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const { data, error } = useQuery({
    queryKey: ['gradebook', classId],
    queryFn: () => ask(api.GET('/api/teaching/classes/{id}/gradebook', { params: { path: { id: classId } } })),
  });
  return (
    <Shell help="gradebook" wide>
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && (
        <>
          <div className="mb-3 flex items-center gap-4">
            <h1 className="mr-auto text-title font-bold">
              Gradebook{' '}
              <span className="font-normal text-soft">
                ·{' '}
                <Link to={`/classes/${data.id}`} className="text-indigo underline">
                  {data.name}
                </Link>
              </span>
            </h1>
            <Toggle label="In per cent" checked={percent} onChange={setPercent} />
            <Button onClick={() => setWeighing(true)} disabled={data.labs.length === 0}>
              <Scale size={15} aria-hidden />
              Categories
            </Button>
            <SaveBook book={data} percent={percent} />
          </div>
          {data.labs.length === 0 || data.students.length === 0 ? (
            <p>
              {data.labs.length === 0 ? (
                <>
                  This class has no labs yet.{' '}
                  <Link to="/catalogue" className="font-semibold text-indigo underline">
                    Choose one from the catalogue
                  </Link>
                </>
              ) : (
                'Nobody is in this class yet.'
              )}
            </p>
          ) : (
            <Table book={data} percent={percent} onChoose={setChosen} />
          )}
          {weighing && <CategoriesDialog book={data} onClose={() => setWeighing(false)} />}
          {chosen && <CellDialog chosen={chosen} classId={data.id} onClose={() => setChosen(null)} />}
        </>
      )}
    </Shell>
  );
}

function Table({ book, percent, onChoose }: { book: Book; percent: boolean; onChoose: (chosen: Chosen) => void }) {
  const categoryOf = new Map(book.categories.map((c) => [c.id, c.name]));
  const head = 'border-b px-1 pb-2 align-bottom font-semibold';
  return (
    <>
      {/* A label makes it reachable: whoever has no mouse scrolls it by keys. */}
      <div
        className="max-h-[calc(100vh-10.5rem)] w-fit max-w-full overflow-auto rounded-house border bg-sheet"
        tabIndex={0}
        role="region"
        aria-label="Gradebook"
      >
        <table className="text-left">
          <thead className="sticky top-0 z-20 bg-sheet text-fine">
            <tr>
              <th scope="col" className={`${head} sticky left-0 z-10 min-w-44 bg-sheet px-3`}>
                Student
              </th>
              {book.labs.map((lab) => (
                <th key={lab.assignmentId} scope="col" className={`${head} h-40`}>
                  <div className="mx-auto flex w-9 rotate-180 items-center [writing-mode:vertical-rl]">
                    <Link
                      to={`/assignments/${lab.assignmentId}`}
                      className="line-clamp-2 max-h-36 text-indigo underline"
                      title={lab.title}
                    >
                      {lab.title}
                    </Link>
                  </div>
                </th>
              ))}
              <th scope="col" className={`${head} px-3 text-right`}>
                Total
              </th>
            </tr>
            <tr className="text-soft">
              <th scope="row" className="sticky left-0 z-10 border-b bg-sheet px-3 py-1 font-normal">
                {percent ? 'per cent' : 'points it can bring'}
                {book.categories.length > 0 && ', category'}
              </th>
              {book.labs.map((lab) => (
                <td key={lab.assignmentId} className="border-b px-1 py-1 text-center leading-tight">
                  {!percent && <span className="mono">{lab.of}</span>}
                  {lab.category && (
                    <span className="block max-w-14 truncate" title={categoryOf.get(lab.category)}>
                      {categoryOf.get(lab.category)}
                    </span>
                  )}
                </td>
              ))}
              <td className="border-b" />
            </tr>
          </thead>
          <tbody>
            {book.students.map((student) => (
              <tr key={student.id} className="border-b">
                <th scope="row" className="sticky left-0 z-10 bg-sheet px-3 py-0.5 font-semibold whitespace-nowrap">
                  {student.name}
                </th>
                {student.cells.map((cell, i) => (
                  <td key={book.labs[i].assignmentId} className="p-0 text-center">
                    {cell && (
                      <GradeCell
                        cell={cell}
                        percent={percent}
                        label={`${student.name}, ${book.labs[i].title}`}
                        onChoose={() => onChoose({ student, lab: book.labs[i], cell })}
                      />
                    )}
                  </td>
                ))}
                <td className="mono px-3 text-right font-semibold">
                  {student.percent == null ? '' : `${student.percent} %`}
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot className="text-fine text-soft">
            <tr>
              <th scope="row" className="sticky left-0 z-10 bg-sheet px-3 py-1 font-normal">
                median of what is handed in, points
              </th>
              {book.labs.map((lab) => (
                <td key={lab.assignmentId} className="mono px-1 text-center">
                  {lab.median ?? ''}
                </td>
              ))}
              <td />
            </tr>
          </tfoot>
        </table>
      </div>
      <GradeLegend />
    </>
  );
}

/** What can be done with a student's lab. */
function CellDialog({ chosen, classId, onClose }: { chosen: Chosen; classId: string; onClose: () => void }) {
  const { student, lab, cell } = chosen;
  const queries = useQueryClient();
  const excuse = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/teaching/assignments/{id}/excused', {
          params: { path: { id: lab.assignmentId } },
          body: { studentId: student.id, excused: !cell.excused },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['gradebook', classId] });
      onClose();
    },
  });
  return (
    <Dialog open onClose={onClose} title={`${student.name} · ${lab.title}`}>
      <div className="flex flex-col gap-4">
        <p>{wordsOf(cell, lab.of)}</p>
        <Trouble error={excuse.error} />
        <div className="flex justify-end gap-2">
          <Button disabled={excuse.isPending} onClick={() => excuse.mutate()}>
            {cell.excused ? 'Count it again' : 'Excuse from this lab'}
          </Button>
          {cell.workId && (
            <Link
              to={`/work/${cell.workId}`}
              className={
                'inline-flex min-h-9 items-center rounded-house border border-copper bg-copper px-3.5 ' +
                'font-semibold text-on-copper'
              }
            >
              {cell.waiting ? 'Mark the work' : 'Open the work'}
            </Link>
          )}
        </div>
      </div>
    </Dialog>
  );
}

const FORMATS = [
  ['csv', 'as CSV'],
  ['xlsx', 'as XLSX, for spreadsheets'],
  ['ods', 'as ODS, for spreadsheets'],
] as const;

/** Saves the gradebook as a file, as it is shown. */
function SaveBook({ book, percent }: { book: Book; percent: boolean }) {
  const saving = useMutation({
    mutationFn: async (format: string) =>
      save(
        `${book.name}.${format}`,
        '',
        await askBlob(`/api/teaching/classes/${book.id}/gradebook/${format}?percent=${percent}`),
      ),
  });
  return (
    <>
      <Trouble error={saving.error} />
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <Button disabled={saving.isPending}>
            <Download size={15} aria-hidden />
            Save as a file
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className={menuBox} align="end">
            {FORMATS.map(([format, name]) => (
              <DropdownMenu.Item key={format} className={menuItem} onSelect={() => saving.mutate(format)}>
                {name}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}
