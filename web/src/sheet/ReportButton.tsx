import { FileText } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { askReport } from '../api/client';
import { save } from '../ui/save';
import { workOut, type BlockOf, type Sheet } from '../core';
import { drawn, GraphPicture } from '../graph/GraphPicture';
import { lookOf, type Fitted } from '../graph/model';
import { pngOf } from '../graph/picture';
import { SketchPad } from '../graph/SketchPad';
import type { Journal } from '../notebook/journal';
import { tableOf } from '../notebook/table';
import { notesOf } from '../notebook/notes';
import { Button, symbolText } from '../ui';
import { expectedOf } from './expected';

const SIZE = { w: 640, h: 400 };
/** At the width of a page 640 picture elements three times over are about 300 to an inch. */
const SCALE = 3;

interface Drawing {
  block: string;
  alt: string;
  caption: string;
  words: string[];
  node: React.ReactNode;
}

/** The whole notebook as a PDF: the page draws the graphs, the server sets the rest. */
export function ReportButton({
  work,
  name,
  sheet,
  journal,
}: {
  work: string;
  name: string;
  sheet: Sheet;
  journal: Journal;
}) {
  const [making, setMaking] = useState<Drawing[] | null>(null);
  const [trouble, setTrouble] = useState('');
  const [place, setPlace] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  const make = useEffectEvent(async (drawn: Drawing[], leaving: AbortSignal) => {
    // What was typed a moment ago belongs in it, too.
    if (!(await journal.settle())) throw new Error('Not everything is kept yet. Try again when it is.');
    const svgs = [...box.current!.querySelectorAll<SVGSVGElement>('[data-drawing] > svg, [data-drawing] > div > svg')];
    const pictures = [];
    for (const [i, d] of drawn.entries())
      pictures.push({
        block: d.block,
        alt: d.alt,
        caption: d.caption,
        words: d.words,
        png: await base64(await pngOf(svgs[i], '', SCALE)),
      });
    save(
      `${name}.pdf`,
      '',
      await askReport(
        `/api/works/${work}/report`,
        { zone: Intl.DateTimeFormat().resolvedOptions().timeZone, pictures },
        setPlace,
        leaving,
      ),
    );
  });
  useEffect(() => {
    if (!making) return;
    const leaving = new AbortController();
    make(making, leaving.signal)
      .catch((e: unknown) => setTrouble(e instanceof Error ? e.message : String(e)))
      .finally(() => setMaking(null));
    return () => leaving.abort();
  }, [making]);
  return (
    <>
      {trouble && (
        <span role="alert" className="max-w-60 text-fine text-copper">
          {trouble}
        </span>
      )}
      <Button
        kind="quiet"
        disabled={!!making}
        title="The whole notebook as a PDF"
        onClick={() => {
          setTrouble('');
          setMaking(drawings(sheet, journal));
        }}
      >
        <FileText size={15} aria-hidden />
        <span className="sr-only min-[1150px]:not-sr-only">
          {making ? (place > 0 ? `Waiting, ${place} before you …` : 'Making the report …') : 'Report'}
        </span>
      </Button>
      {making && (
        <div ref={box} aria-hidden className="fixed top-0 -left-[9999px]" style={{ width: SIZE.w }}>
          {making.map((d) => (
            <div key={d.block} data-drawing>
              {d.node}
            </div>
          ))}
        </div>
      )}
    </>
  );
}

/** All that the page has to draw for it: graphs with something on them, and sketches. */
function drawings(sheet: Sheet, journal: Journal): Drawing[] {
  const blocks = sheet.parts.flatMap((p) => p.blocks);
  return blocks.flatMap((b): Drawing[] => {
    if (b.type === 'prediction' && b.sketch) {
      const strokes = notesOf(journal, b).read('sketch')?.strokes ?? [];
      return strokes.length
        ? [
            {
              block: b.id,
              alt: `Sketch of ${b.sketch.y.name} against ${b.sketch.x.name}`,
              caption: '',
              words: [],
              node: <SketchPad axes={b.sketch} strokes={strokes} fixed onStrokes={() => undefined} />,
            },
          ]
        : [];
    }
    if (b.type !== 'graph') return [];
    const table = tableOf(
      journal.all(),
      blocks.find((t): t is BlockOf<'table'> => t.type === 'table' && t.id === b.table)!,
    );
    const worked = workOut(table);
    const choice = lookOf(b, notesOf(journal, b).read('view'));
    const what = drawn(table, worked, choice, expectedOf(sheet, journal.all(), b.table));
    if (what.series.every((s) => s.points.length === 0)) return [];
    return [
      {
        block: b.id,
        alt: `Graph of ${what.ys.map((c) => c.name).join(', ')} against ${what.x?.name ?? ''}`,
        caption: choice.caption ?? '',
        words: what.fits.flatMap(wordsOf),
        node: (
          <svg width={SIZE.w} height={SIZE.h}>
            <GraphPicture table={table} worked={worked} choice={choice} size={SIZE} what={what} />
          </svg>
        ),
      },
    ];
  });
}

function wordsOf({ result }: Fitted): string[] {
  if (!result) return [];
  return [
    `${symbolText(result.equation)}, r² = ${result.rSquared}, ${result.points} points`,
    ...result.follows.flatMap((q) =>
      'text' in q && q.name ? [`${symbolText(q.name)} = ${q.formula} = ${q.text}`] : [],
    ),
  ];
}

function base64(blob: Blob): Promise<string> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done((reader.result as string).split(',')[1]);
    reader.onerror = () => fail(new Error('The picture of a graph could not be read.'));
    reader.readAsDataURL(blob);
  });
}
