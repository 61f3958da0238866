import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Button, Dialog, Select } from '.';

const FOR = [
  { id: 'false', name: 'students, to be filled in' },
  { id: 'true', name: 'the teacher, with key and rubrics' },
];
const SIZES = [
  { id: 'A4', name: 'A4' },
  { id: 'LETTER', name: 'Letter' },
];

/** Saves a lab as a PDF to print; `ready` first makes sure that what is printed is there. */
export function PaperDialog({ at, name, ready }: { at: string; name: string; ready?: () => Promise<boolean> }) {
  const [open, setOpen] = useState(false);
  const [key, setKey] = useState('false');
  const [size, setSize] = useState('A4');
  const begin = async () => {
    if (!ready || (await ready())) setOpen(true);
  };
  return (
    <>
      <Button small={!!ready} kind={ready ? 'quiet' : 'plain'} onClick={() => void begin()}>
        <Printer size={15} aria-hidden />
        On paper
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} title={`“${name}” on paper`}>
        <div className="flex flex-col gap-4">
          <Select label="For" value={key} onChange={setKey} options={FOR} />
          <Select label="Size" value={size} onChange={setSize} options={SIZES} />
          <p className="text-soft">
            Lines to write on, empty tables and squared paper stand where answers go. What can only be done at the
            screen is named.
          </p>
          <a
            href={`${at}/paper?size=${size}&key=${key}`}
            download={`${name}${key === 'true' ? ' with key' : ''}.pdf`}
            className={
              'inline-flex min-h-9 items-center justify-center rounded-house border border-copper bg-copper ' +
              'px-3.5 font-semibold text-on-copper hover:brightness-110'
            }
            onClick={() => setOpen(false)}
          >
            Save the PDF
          </a>
        </div>
      </Dialog>
    </>
  );
}
