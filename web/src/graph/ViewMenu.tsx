import { Popover } from 'radix-ui';
import { Button, inputClass, Select, symbolText, Toggle } from '../ui';
import { NumberBox } from './NumberBox';
import type { GraphChoice, GraphColumn } from './model';

const SHOWS: { id: NonNullable<GraphChoice['show']>; name: string }[] = [
  { id: 'points', name: 'points against another column' },
  { id: 'histogram', name: 'histogram' },
  { id: 'box', name: 'box plots' },
  { id: 'dots', name: 'dot plot' },
];

/** What a graph shows and how: kind, series, axes, ranges, bins, caption. */
export function ViewMenu({
  sketched,
  columns,
  x,
  ys,
  choice,
  onChoice,
}: {
  /** Whether there is a sealed sketch to show. */ sketched: boolean;
  columns: GraphColumn[];
  x?: GraphColumn;
  ys: GraphColumn[];
  choice: GraphChoice;
  onChoice: (c: GraphChoice) => void;
}) {
  const show = choice.show ?? 'points';
  const range = (more: GraphChoice['range']) => onChoice({ ...choice, range: { ...choice.range, ...more } });
  const others = columns.filter((c) => c.id !== x?.id && c.id !== ys[0]?.id);
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button small>View</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={6}
          align="end"
          collisionPadding={8}
          className={
            'z-40 flex max-h-(--radix-popover-content-available-height) w-88 flex-col gap-3 ' +
            'overflow-auto rounded-house border bg-sheet p-3 text-ink'
          }
          aria-label="View"
        >
          <Select
            label="Show"
            value={show}
            onChange={(s) => onChoice({ ...choice, show: s as GraphChoice['show'] })}
            options={SHOWS}
          />
          {(show === 'points' || show === 'box') && others.length > 0 && (
            <fieldset className="flex flex-wrap gap-x-4 gap-y-1">
              <legend className="text-fine text-soft">{show === 'box' ? 'Beside it' : 'Also upwards'}</legend>
              {others.map((c) => (
                <label key={c.id} className="flex items-center gap-1.5">
                  <input
                    type="checkbox"
                    className="h-4 w-4 accent-(--copper)"
                    checked={(choice.more ?? []).includes(c.id)}
                    onChange={(e) =>
                      onChoice({
                        ...choice,
                        more: e.target.checked
                          ? [...(choice.more ?? []), c.id]
                          : (choice.more ?? []).filter((m) => m !== c.id),
                      })
                    }
                  />
                  {symbolText(c.symbol)}
                </label>
              ))}
            </fieldset>
          )}
          {show === 'points' && (
            <>
              <div className="grid grid-cols-2 gap-2">
                <Toggle
                  label="error bars"
                  checked={!choice.noBars}
                  onChange={(on) => onChoice({ ...choice, noBars: !on })}
                />
                <Toggle
                  label="join the points"
                  checked={!!choice.join}
                  onChange={(join) => onChoice({ ...choice, join })}
                />
                <Toggle
                  label="log axis along"
                  checked={!!choice.logX}
                  onChange={(logX) => onChoice({ ...choice, logX })}
                />
                <Toggle
                  label="log axis up"
                  checked={!!choice.logY}
                  onChange={(logY) => onChoice({ ...choice, logY })}
                />
                <Toggle
                  label="residuals"
                  checked={!!choice.residuals}
                  onChange={(residuals) => onChoice({ ...choice, residuals })}
                />
                {sketched && (
                  <Toggle
                    label="my sketch"
                    checked={!choice.noSketch}
                    onChange={(on) => onChoice({ ...choice, noSketch: !on })}
                  />
                )}
              </div>
              <div className="grid grid-cols-[auto_auto_auto_auto] items-center gap-2 text-fine text-soft">
                along from
                <NumberBox label="Along from" value={choice.range?.x0} onChange={(x0) => range({ x0 })} />
                to
                <NumberBox label="Along to" value={choice.range?.x1} onChange={(x1) => range({ x1 })} />
                up from
                <NumberBox label="Up from" value={choice.range?.y0} onChange={(y0) => range({ y0 })} />
                to
                <NumberBox label="Up to" value={choice.range?.y1} onChange={(y1) => range({ y1 })} />
              </div>
            </>
          )}
          {(show === 'histogram' || show === 'dots') && (
            <div className="flex items-center gap-2 text-fine text-soft">
              bins of width
              <NumberBox
                label="Bin width"
                value={choice.bins?.width}
                onChange={(width) => onChoice({ ...choice, bins: { ...choice.bins, width } })}
              />
              from
              <NumberBox
                label="First bin from"
                value={choice.bins?.start}
                onChange={(start) => onChoice({ ...choice, bins: { ...choice.bins, start } })}
              />
            </div>
          )}
          <label className="flex flex-col gap-1 text-fine text-soft">
            Caption
            <input
              className={inputClass}
              value={choice.caption ?? ''}
              maxLength={200}
              onChange={(e) => onChoice({ ...choice, caption: e.target.value })}
            />
          </label>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
