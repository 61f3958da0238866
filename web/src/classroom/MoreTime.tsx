import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Button, Dialog, Field, Trouble } from '../ui';
import { forInput, sent } from './TermsFields';

/** A due time of one student's own. */
export function MoreTime({
  list,
  student,
  onClose,
}: {
  list: Schemas['ClassList'];
  student: Schemas['StudentLine'];
  onClose: () => void;
}) {
  const queries = useQueryClient();
  const [until, setUntil] = useState(forInput(student.dueAt ?? list.dueAt));
  const extend = useMutation({
    mutationFn: (dueAt?: string) =>
      ask(
        api.POST('/api/teaching/assignments/{id}/extensions', {
          params: { path: { id: list.id } },
          body: { studentId: student.studentId, dueAt },
        }),
      ),
    onSuccess: () => {
      onClose();
      void queries.invalidateQueries({ queryKey: ['class-list', list.id] });
    },
  });
  return (
    <Dialog open onClose={onClose} title={`More time for ${student.name}`}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          extend.mutate(sent(until));
        }}
      >
        <Field
          label="Due"
          type="datetime-local"
          required
          value={until}
          onChange={(e) => setUntil(e.target.value)}
          hint="For this student alone; the others keep their time"
        />
        <Trouble error={extend.error} />
        <div className="flex justify-end gap-2">
          {student.dueAt && <Button onClick={() => extend.mutate(undefined)}>As all others</Button>}
          <Button kind="main" type="submit" disabled={extend.isPending}>
            Keep it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
