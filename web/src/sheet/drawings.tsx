import type { ReactNode } from 'react';
import { workOut, type BlockOf, type Sheet } from '../core';
import { DrawingPicture } from '../drawing/DrawingPicture';
import { isBlank } from '../drawing/tools';
import { drawn, GraphPicture } from '../graph/GraphPicture';
import { lookOf, type Fitted } from '../graph/model';
import { SketchPad } from '../graph/SketchPad';
import type { Journal } from '../notebook/journal';
import { notesOf } from '../notebook/notes';
import { tableOf } from '../notebook/table';
import { askReport, base64 } from '../api/desk';
import { symbolText } from '../ui';
import { save } from '../ui/save';
import { pngOf } from '../ui/svgFile';
import { expectedOf } from './expected';

const SIZE = { w: 640, h: 400 };

/** What the page draws for a report, with its words. */
export interface Drawing {
  block: string;
  alt: string;
  caption: string;
  words: string[];
  node: ReactNode;
}

/** All that the page has to draw for it: graphs with something on them, and sketches. */
export function drawings(sheet: Sheet, journal: Journal): Drawing[] {
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
    if (b.type === 'drawing') {
      const drawn = notesOf(journal, b).read('drawn') ?? {};
      return !isBlank(drawn)
        ? [
            {
              block: b.id,
              // What is on it the report says in words below.
              alt: 'Drawing',
              caption: '',
              words: [],
              node: <DrawingPicture drawing={{ paper: b.paper, drawn }} label="Drawing" />,
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

/** At the width of a page 640 picture elements three times over are about 300 to an inch. */
const SCALE = 3;

/** Has the report made of what was drawn in a box, and hands it to the person. */
export async function makeReport(
  box: HTMLElement,
  drawn: Drawing[],
  to: { work: string; name: string; journal: Journal; onPlace: (place: number) => void; leaving: AbortSignal },
) {
  // What was typed a moment ago belongs in it, too.
  if (!(await to.journal.settle())) throw new Error('Not everything is kept yet. Try again when it is.');
  const svgs = [...box.querySelectorAll<SVGSVGElement>('[data-drawing] > svg, [data-drawing] > div > svg')];
  const pictures = [];
  for (const [i, d] of drawn.entries())
    pictures.push({
      block: d.block,
      alt: d.alt,
      caption: d.caption,
      words: d.words,
      png: await base64(await pngOf(svgs[i], '', SCALE)),
    });
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const pdf = await askReport(`/api/works/${to.work}/report`, { zone: timeZone, pictures }, to.onPlace, to.leaving);
  save(`${to.name}.pdf`, '', pdf);
}
