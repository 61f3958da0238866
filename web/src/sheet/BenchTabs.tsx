export function Tabs({
  label,
  items,
  current,
  onChoose,
}: {
  label: string;
  items: { id: string; name: string }[];
  current: string;
  onChoose: (id: string) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex gap-1 border-b bg-stage px-2 pt-1">
      {items.map((i) => (
        <button
          key={i.id}
          type="button"
          aria-pressed={i.id === current}
          onClick={() => onChoose(i.id)}
          className="rounded-t-house border border-b-0 border-transparent px-3 py-0.5 text-fine hover:bg-line/50 aria-pressed:border-line aria-pressed:bg-sheet aria-pressed:font-semibold aria-pressed:text-copper"
        >
          {i.name}
        </button>
      ))}
    </div>
  );
}
