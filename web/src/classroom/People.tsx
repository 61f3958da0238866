import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Printer, UserPlus } from 'lucide-react';
import Papa from 'papaparse';
import { useRef, useState } from 'react';
import { api, ask, askFile, type Schemas } from '../api/client';
import { save } from '../ui/save';
import { Shell } from '../shell/Shell';
import { Button, Dialog, inputClass, Select, Toggle, Trouble } from '../ui';
import { OneTimeCode } from './OneTimeCode';

type PersonView = Schemas['PersonView'];
const ROLES: Record<string, string> = { TEACHER: 'teacher', STUDENT: 'student', ADMINISTRATOR: 'administrator' };

/** Accounts, for the administrator. */
export function People() {
  const queries = useQueryClient();
  const [text, setText] = useState('');
  const [everyone, setEveryone] = useState(false);
  const [adding, setAdding] = useState(false);
  const [resetting, setResetting] = useState<PersonView | null>(null);
  const [code, setCode] = useState<Schemas['CodeView'] | null>(null);
  const { data, error } = useQuery({
    queryKey: ['people', text, everyone],
    queryFn: () => ask(api.GET('/api/admin/people', { params: { query: { text, staff: !everyone } } })),
    placeholderData: (before) => before,
  });
  const again = () => queries.invalidateQueries({ queryKey: ['people'] });
  const reset = useMutation({
    mutationFn: (id: string) => ask(api.POST('/api/admin/people/{id}/reset', { params: { path: { id } } })),
    onSuccess: (made) => {
      setResetting(null);
      setCode(made);
      void again();
    },
  });
  const turn = useMutation({
    mutationFn: (p: PersonView) =>
      ask(api.POST('/api/admin/people/{id}/active', { params: { path: { id: p.id } }, body: { active: !p.active } })),
    onSuccess: again,
  });
  return (
    <Shell>
      <div className="mb-5 flex flex-wrap items-center gap-4">
        <h1 className="mr-auto text-title font-bold">People</h1>
        <input
          type="search"
          aria-label="Find by name"
          placeholder="Find by name"
          maxLength={60}
          className={`${inputClass} w-56`}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <Toggle label="students too" checked={everyone} onChange={setEveryone} />
        <Button kind="main" onClick={() => setAdding(true)}>
          <UserPlus size={16} aria-hidden />
          Add people
        </Button>
      </div>
      <Trouble error={error ?? turn.error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data?.length === 0 && (
        <p>
          {text
            ? 'Nobody has such a name.'
            : 'No teacher yet. Add the first ones: each gets a one-time code to choose a secret with.'}
        </p>
      )}
      {data && data.length > 0 && (
        <table className="w-full rounded-house border bg-sheet text-left">
          <thead className="text-fine text-soft">
            <tr>
              {['Name', 'User name', 'Role', 'Signing in'].map((h) => (
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
            {data.map((p) => (
              <tr key={p.id} className={`not-last:border-b ${p.active ? '' : 'text-soft'}`}>
                <th scope="row" className="px-4 py-1.5 font-semibold">
                  {p.displayName}
                </th>
                <td className="mono px-4">{p.userName}</td>
                <td className="px-4">{ROLES[p.role]}</td>
                <td className="px-4">
                  {!p.active ? 'switched off' : p.hasSecret ? 'with a secret' : 'waits for a code to be used'}
                </td>
                <td className="px-3 py-1 text-right whitespace-nowrap">
                  <Button
                    small
                    kind="quiet"
                    aria-label={`Reset the secret of ${p.displayName}`}
                    onClick={() => setResetting(p)}
                  >
                    Reset secret
                  </Button>
                  <Button
                    small
                    kind="quiet"
                    aria-label={`${p.active ? 'Switch off' : 'Switch on'} ${p.displayName}`}
                    disabled={turn.isPending}
                    onClick={() => turn.mutate(p)}
                  >
                    {p.active ? 'Switch off' : 'Switch on'}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {data?.length === 200 && <p className="mt-2 text-soft">The first 200. Find others by name.</p>}
      {adding && (
        <AddPeople
          onClose={() => {
            setAdding(false);
            void again();
          }}
        />
      )}
      <OneTimeCode code={code} onClose={() => setCode(null)} />
      <Dialog
        open={!!resetting}
        onClose={() => setResetting(null)}
        title={`Reset the secret of ${resetting?.displayName ?? ''}`}
      >
        <div className="flex flex-col gap-4">
          <p>
            The present secret stops working at once, and wherever {resetting?.displayName} is signed in, that ends. You
            get a one-time code with which a new secret is chosen.
          </p>
          <Trouble error={reset.error} />
          <div className="flex justify-end gap-2">
            <Button onClick={() => setResetting(null)}>Cancel</Button>
            <Button kind="main" disabled={reset.isPending} onClick={() => reset.mutate(resetting!.id)}>
              Reset it
            </Button>
          </div>
        </div>
      </Dialog>
    </Shell>
  );
}

/** Lines of “name, user name” as typed, pasted from a spreadsheet, or from a CSV file. */
function peopleIn(text: string) {
  const lines = Papa.parse<string[]>(text.trim(), {
    delimiter: /\t/.test(text) ? '\t' : text.includes(';') ? ';' : ',',
    skipEmptyLines: 'greedy',
  }).data;
  const heading = /^(name|display ?name|full ?name|teacher)$/i.test(lines[0]?.[0]?.trim() ?? '');
  return (heading ? lines.slice(1) : lines).map(([displayName = '', userName = '']) => ({
    displayName: displayName.trim(),
    userName: userName.trim(),
  }));
}

function AddPeople({ onClose }: { onClose: () => void }) {
  const [role, setRole] = useState<'TEACHER' | 'ADMINISTRATOR'>('TEACHER');
  const [text, setText] = useState('');
  const picker = useRef<HTMLInputElement>(null);
  const body = () => ({ body: { role, people: peopleIn(text) } });
  const preview = useMutation({ mutationFn: () => ask(api.POST('/api/admin/people/preview', body())) });
  const make = useMutation({ mutationFn: () => ask(api.POST('/api/admin/people', body())) });
  const slips = useMutation({
    mutationFn: async () =>
      save(
        'Sign-in slips.pdf',
        'application/pdf',
        await askFile('/api/admin/people/slips', {
          slips: make.data!.map(({ displayName, userName, code }) => ({ displayName, userName, code })),
        }),
      ),
  });
  const lines = make.data ?? preview.data;
  const wrong = lines?.filter((l) => l.problem).length ?? 0;
  return (
    <Dialog open onClose={onClose} title={make.data ? 'These accounts are made' : 'Add people'} wide>
      <div className="flex flex-col gap-4">
        {!lines && (
          <form
            className="flex flex-col gap-4"
            onSubmit={(e) => {
              e.preventDefault();
              preview.mutate();
            }}
          >
            <Select
              label="They are"
              value={role}
              onChange={(r) => setRole(r as typeof role)}
              options={[
                { id: 'TEACHER', name: 'teachers' },
                { id: 'ADMINISTRATOR', name: 'administrators' },
              ]}
            />
            <label className="flex flex-col gap-1">
              <span className="font-semibold">One person a line: name, and if you like a comma and a user name</span>
              <textarea
                className={`${inputClass} mono min-h-40 py-2`}
                value={text}
                placeholder={'Hedvig Roe\nAnders Pell, a.pell'}
                onChange={(e) => setText(e.target.value)}
              />
            </label>
            <p className="text-soft">
              Lines can be pasted from a spreadsheet, or brought in as{' '}
              <button type="button" className="text-indigo underline" onClick={() => picker.current?.click()}>
                a CSV file
              </button>
              .
            </p>
            <input
              ref={picker}
              type="file"
              hidden
              accept=".csv,.tsv,.txt"
              aria-label="CSV file of people"
              onChange={(e) => {
                void e.target.files?.[0]?.text().then(setText);
                e.target.value = '';
              }}
            />
            <Trouble error={preview.error} />
            <Button kind="main" type="submit" disabled={!text.trim() || preview.isPending}>
              Show what this makes
            </Button>
          </form>
        )}
        {lines && (
          <>
            <div className="max-h-[50vh] overflow-auto rounded-house border">
              <table className="w-full text-left">
                <thead className="text-fine text-soft">
                  <tr>
                    {['Name', 'User name', make.data ? 'One-time code' : ''].map((h, i) => (
                      <th key={i} scope="col" className="border-b px-3 py-1.5 font-semibold">
                        {h}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {lines.map((l, i) => (
                    <tr key={i} className="not-last:border-b">
                      <td className="px-3 py-1">{l.displayName}</td>
                      <td className="mono px-3">{l.userName}</td>
                      <td className={`px-3 ${l.problem ? 'text-copper' : 'mono font-bold'}`}>
                        {l.problem ?? l.code ?? ''}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <Trouble error={make.error ?? slips.error} />
            {make.data ? (
              <>
                <p>
                  At <b className="mono">{location.host}/enter</b> each code lets its owner choose a secret. The codes
                  can’t be shown again: print the slips now.
                </p>
                <div className="flex justify-end gap-2">
                  <Button kind="main" disabled={slips.isPending} onClick={() => slips.mutate()}>
                    <Printer size={15} aria-hidden />
                    Save the slips
                  </Button>
                  <Button onClick={onClose}>Done</Button>
                </div>
              </>
            ) : (
              <div className="flex items-center justify-end gap-2">
                {wrong > 0 && (
                  <p className="mr-auto text-copper">
                    {wrong} {wrong === 1 ? 'line needs' : 'lines need'} a change first.
                  </p>
                )}
                <Button onClick={() => preview.reset()}>Change the list</Button>
                <Button kind="main" disabled={wrong > 0 || make.isPending} onClick={() => make.mutate()}>
                  Make {lines.length} {lines.length === 1 ? 'account' : 'accounts'}
                </Button>
              </div>
            )}
          </>
        )}
      </div>
    </Dialog>
  );
}
