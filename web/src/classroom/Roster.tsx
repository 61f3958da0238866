import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, ArchiveRestore, ChevronDown, Pencil, Printer } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { Shell } from '../shell/Shell';
import { Button, menuBox, menuItem, Toggle, Trouble } from '../ui';
import { CalendarButton } from './CalendarDialog';
import { OneTimeCode } from './OneTimeCode';
import { Confirm, Rename, Move, SlipsDialog } from './RosterDialogs';

type Student = Schemas['Student'];
type Asking =
  | { what: 'out' | 'reset'; student: Student }
  | { what: 'move'; student: Student }
  | { what: 'rename' | 'code' | 'archive' | 'slips' }
  | null;

/** Who is in a class and how they sign in; what the class is called, and how it is joined. */
export function Roster() {
  const { classId = '' } = useParams();
  const queries = useQueryClient();
  const key = ['roster', classId];
  const path = { params: { path: { classId } } };
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => ask(api.GET('/api/classes/{classId}/roster', path)),
  });
  const [asking, setAsking] = useState<Asking>(null);
  const [code, setCode] = useState<Schemas['CodeView'] | null>(null);
  const act = useMutation({
    mutationFn: (deed: () => Promise<Schemas['Roster']>) => deed(),
    onSuccess: (roster) => {
      queries.setQueryData(key, roster);
      setAsking(null);
    },
  });
  const one = (student: Student) => ({ params: { path: { classId, studentId: student.id } } });
  const reset = useMutation({
    mutationFn: (student: Student) => ask(api.POST('/api/classes/{classId}/students/{studentId}/reset', one(student))),
    onSuccess: (made) => {
      setAsking(null);
      setCode(made);
      void queries.invalidateQueries({ queryKey: key });
    },
  });
  const here = data?.students.filter((s) => !s.leftAt) ?? [];
  const gone = data?.students.filter((s) => s.leftAt) ?? [];
  const close = () => {
    act.reset();
    reset.reset();
    setAsking(null);
  };
  return (
    <Shell>
      <Trouble error={error ?? (asking ? null : act.error)} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && (
        <>
          <p className="text-soft">
            <Link to="/" className="text-indigo underline">
              Classes
            </Link>{' '}
            / roster
          </p>
          <div className="mb-4 flex flex-wrap items-center gap-2">
            <h1 className="mr-auto text-title font-bold">
              {data.name}
              {data.archived && (
                <span className="ml-3 text-base font-normal text-copper">archived: work can be read, not changed</span>
              )}
            </h1>
            <Button onClick={() => setAsking({ what: 'rename' })}>
              <Pencil size={15} aria-hidden />
              Rename
            </Button>
            <Button
              onClick={() =>
                data.archived
                  ? act.mutate(() =>
                      ask(api.POST('/api/classes/{classId}/archive', { ...path, body: { archived: false } })),
                    )
                  : setAsking({ what: 'archive' })
              }
            >
              {data.archived ? <ArchiveRestore size={15} aria-hidden /> : <Archive size={15} aria-hidden />}
              {data.archived ? 'Take up again' : 'Archive'}
            </Button>
            <CalendarButton classId={data.id} name={data.name} />
            <Button kind="main" disabled={here.length === 0} onClick={() => setAsking({ what: 'slips' })}>
              <Printer size={15} aria-hidden />
              Sign-in slips
            </Button>
          </div>
          <section
            className="mb-5 flex flex-wrap items-center gap-x-6 gap-y-2 rounded-house border bg-sheet px-5 py-3"
            aria-label="Joining"
          >
            <span>
              class code{' '}
              <b className={`mono text-lead ${data.joinable ? '' : 'text-soft line-through'}`}>{data.code}</b>
            </span>
            <Toggle
              label="students can join with it"
              checked={data.joinable}
              onChange={(open) =>
                act.mutate(() => ask(api.POST('/api/classes/{classId}/joining', { ...path, body: { open } })))
              }
            />
            <Button small className="ml-auto" onClick={() => setAsking({ what: 'code' })}>
              New code
            </Button>
          </section>
          {here.length === 0 && (
            <p>
              Nobody is in this class yet. Students open <span className="mono">{location.origin}/join</span> and type
              the code <b className="mono">{data.code}</b>.
            </p>
          )}
          {here.length > 0 && (
            <Students
              list={here}
              menu={(s) => [
                { name: 'Reset the secret …', act: () => setAsking({ what: 'reset', student: s }) },
                { name: 'Move to another class …', act: () => setAsking({ what: 'move', student: s }) },
                { name: 'Take out of the class …', act: () => setAsking({ what: 'out', student: s }) },
              ]}
            />
          )}
          {gone.length > 0 && (
            <>
              <h2 className="mt-8 mb-2 text-lead font-bold">No longer in the class</h2>
              <Students
                list={gone}
                menu={(s) => [
                  {
                    name: 'Take back in',
                    act: () =>
                      act.mutate(() => ask(api.POST('/api/classes/{classId}/students/{studentId}/back', one(s)))),
                  },
                ]}
              />
            </>
          )}
          <OneTimeCode code={code} onClose={() => setCode(null)} />
          {asking?.what === 'rename' && (
            <Rename
              name={data.name}
              busy={act.isPending}
              error={act.error}
              onClose={close}
              onName={(name) =>
                act.mutate(() => ask(api.POST('/api/classes/{classId}/name', { ...path, body: { name } })))
              }
            />
          )}
          {asking?.what === 'slips' && (
            <SlipsDialog classId={classId} name={data.name} students={here} onClose={close} />
          )}
          {asking?.what === 'move' && (
            <Move
              student={asking.student}
              from={classId}
              busy={act.isPending}
              error={act.error}
              onClose={close}
              onMove={(to) =>
                act.mutate(() =>
                  ask(
                    api.POST('/api/classes/{classId}/students/{studentId}/move', {
                      ...one(asking.student),
                      body: { classId: to },
                    }),
                  ),
                )
              }
            />
          )}
          <Confirm
            open={asking?.what === 'code'}
            title="A new class code"
            yes="Make a new code"
            busy={act.isPending}
            error={act.error}
            onClose={close}
            onYes={() => act.mutate(() => ask(api.POST('/api/classes/{classId}/code', path)))}
          >
            The old code, {data.code}, leads nowhere from then on. Students who have joined are not touched by it.
          </Confirm>
          <Confirm
            open={asking?.what === 'archive'}
            title={`Archive ${data.name}`}
            yes="Archive it"
            busy={act.isPending}
            error={act.error}
            onClose={close}
            onYes={() =>
              act.mutate(() => ask(api.POST('/api/classes/{classId}/archive', { ...path, body: { archived: true } })))
            }
          >
            The class is over: nobody joins it, its labs leave the students’ pages, and its work can be read but not
            changed. You can take it up again at any time.
          </Confirm>
          {asking?.what === 'out' && (
            <Confirm
              open
              title={`Take ${asking.student.displayName} out`}
              yes="Take out"
              busy={act.isPending}
              error={act.error}
              onClose={close}
              onYes={() =>
                act.mutate(() => ask(api.POST('/api/classes/{classId}/students/{studentId}/out', one(asking.student))))
              }
            >
              {asking.student.displayName} no longer sees this class and its labs. The work is kept, and is there again
              when you take {asking.student.displayName} back in.
            </Confirm>
          )}
          {asking?.what === 'reset' && (
            <Confirm
              open
              title={`Reset the secret of ${asking.student.displayName}`}
              yes="Reset it"
              busy={reset.isPending}
              error={reset.error}
              onClose={close}
              onYes={() => reset.mutate(asking.student)}
            >
              The present secret stops working at once, and wherever {asking.student.displayName} is signed in, that
              ends. You get a one-time code with which a new secret is chosen.
            </Confirm>
          )}
        </>
      )}
    </Shell>
  );
}

function Students({ list, menu }: { list: Student[]; menu: (s: Student) => { name: string; act: () => void }[] }) {
  return (
    <table className="w-full rounded-house border bg-sheet text-left">
      <thead className="text-fine text-soft">
        <tr>
          {['Student', 'User name', 'Signing in'].map((h) => (
            <th key={h} scope="col" className="border-b px-4 py-2 font-semibold">
              {h}
            </th>
          ))}
          <th className="border-b">
            <span className="sr-only">What to do</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {list.map((s) => (
          <tr key={s.id} className="not-last:border-b">
            <th scope="row" className="px-4 py-1.5 font-semibold">
              {s.displayName}
            </th>
            <td className="mono px-4">{s.userName}</td>
            <td className={`px-4 ${s.hasSecret && s.active ? 'text-soft' : 'text-copper'}`}>
              {!s.active ? 'switched off' : s.hasSecret ? 'with a secret' : 'waits for a code to be used'}
            </td>
            <td className="px-3 text-right">
              <DropdownMenu.Root>
                <DropdownMenu.Trigger asChild>
                  <Button small kind="quiet" aria-label={`What to do with ${s.displayName}`}>
                    Change
                    <ChevronDown size={14} aria-hidden />
                  </Button>
                </DropdownMenu.Trigger>
                <DropdownMenu.Portal>
                  <DropdownMenu.Content align="end" className={menuBox}>
                    {menu(s).map((m) => (
                      <DropdownMenu.Item key={m.name} className={menuItem} onSelect={m.act}>
                        {m.name}
                      </DropdownMenu.Item>
                    ))}
                  </DropdownMenu.Content>
                </DropdownMenu.Portal>
              </DropdownMenu.Root>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
