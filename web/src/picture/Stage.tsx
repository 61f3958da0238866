import { clsx } from 'clsx';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import {
  createContext,
  memo,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type PointerEvent as ReactPointerEvent,
  type ReactNode,
} from 'react';
import { flushSync } from 'react-dom';
import { IconButton } from '../ui';
import type { Picture } from './picture';

interface StageView {
  /** Screen pixels per picture element. */
  pixel: number;
  /** From the screen to the picture. */
  locate(clientX: number, clientY: number): { x: number; y: number };
}

export const StageContext = createContext<StageView>({ pixel: 1, locate: () => ({ x: 0, y: 0 }) });
export const useStage = () => useContext(StageContext);

const ZOOMS = [1, 1.5, 2, 3, 4, 6, 8, 12, 16, 24];

/** Where the picture hangs: fits it in, zooms into it, moves it about. What lies on it zooms with it. */
export function Stage({
  picture,
  children,
  label,
  className,
  under,
}: {
  picture: Picture;
  children: ReactNode;
  label: string;
  className?: string;
  under?: (ctx: CanvasRenderingContext2D, pixel: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [size, setSize] = useState({ w: 800, h: 500 });
  const [zoom, setZoom] = useState(1);
  const [centre, setCentre] = useState<{ x: number; y: number } | null>(null);
  const drag = useRef<{ x: number; y: number } | null>(null);

  useEffect(() => {
    const element = svg.current!;
    const observer = new ResizeObserver(() => setSize({ w: element.clientWidth || 1, h: element.clientHeight || 1 }));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const fit = Math.min(size.w / picture.width, size.h / picture.height);
  const pixel = fit * zoom;
  const w = size.w / pixel;
  const h = size.h / pixel;
  const at = zoom > 1 && centre ? centre : { x: picture.width / 2, y: picture.height / 2 };
  const view = { left: at.x - w / 2, top: at.y - h / 2 };

  const locate = (clientX: number, clientY: number) => {
    const box = svg.current!.getBoundingClientRect();
    return { x: view.left + (clientX - box.left) / pixel, y: view.top + (clientY - box.top) / pixel };
  };
  const zoomTo = (next: number, around = at) => {
    // The place under the pointer stays where it is.
    const k = zoom / next;
    setCentre({ x: around.x + (at.x - around.x) * k, y: around.y + (at.y - around.y) * k });
    setZoom(next);
  };
  const step = (by: number, around?: { x: number; y: number }) => {
    const i = Math.max(0, Math.min(ZOOMS.length - 1, ZOOMS.indexOf(zoom) + by));
    zoomTo(ZOOMS[i], around);
  };
  const latest = useRef({ step, zoomTo });
  latest.current = { step, zoomTo };
  const zoomBy = useCallback((by: number) => (by === 0 ? latest.current.zoomTo(1) : latest.current.step(by)), []);
  const grab = (e: ReactPointerEvent) => {
    if (e.button !== 0 || zoom === 1) return;
    drag.current = { x: e.clientX, y: e.clientY };
    svg.current!.setPointerCapture(e.pointerId);
  };
  const move = (e: ReactPointerEvent) => {
    if (!drag.current) return;
    const { x, y } = drag.current;
    drag.current = { x: e.clientX, y: e.clientY };
    flushSync(() => setCentre({ x: at.x - (e.clientX - x) / pixel, y: at.y - (e.clientY - y) / pixel }));
  };

  useLayoutEffect(() => {
    if (!under || !canvas.current) return;
    const ratio = window.devicePixelRatio || 1;
    const c = canvas.current;
    const [cw, ch] = [Math.round(size.w * ratio), Math.round(size.h * ratio)];
    if (c.width !== cw || c.height !== ch) {
      c.width = cw;
      c.height = ch;
    }
    const ctx = c.getContext('2d');
    if (!ctx) return;
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.clearRect(0, 0, cw, ch);
    const k = pixel * ratio;
    ctx.setTransform(k, 0, 0, k, -view.left * k, -view.top * k);
    under(ctx, pixel);
  });

  return (
    <div className={clsx('relative min-h-0 min-w-0 overflow-hidden bg-stage', className)}>
      {under && <canvas ref={canvas} className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden />}
      <svg
        ref={svg}
        className={clsx('absolute inset-0 h-full w-full touch-none', zoom > 1 && 'cursor-grab')}
        viewBox={`${view.left} ${view.top} ${w} ${h}`}
        role="group"
        aria-label={label}
        onPointerDown={grab}
        onPointerMove={move}
        onPointerUp={() => {
          drag.current = null;
        }}
        onWheel={(e) => step(e.deltaY < 0 ? 1 : -1, locate(e.clientX, e.clientY))}
      >
        <StageContext.Provider value={{ pixel, locate }}>{children}</StageContext.Provider>
      </svg>
      <ZoomButtons zoom={zoom} onStep={zoomBy} />
    </div>
  );
}

/** Closer, further, all of it (0). */
const ZoomButtons = memo(function ZoomButtons({ zoom, onStep }: { zoom: number; onStep: (by: number) => void }) {
  return (
    <div className="absolute right-2 bottom-2 flex gap-1">
      <IconButton label="Zoom in" onClick={() => onStep(1)} disabled={zoom === ZOOMS.at(-1)}>
        <ZoomIn size={16} />
      </IconButton>
      <IconButton label="Zoom out" onClick={() => onStep(-1)} disabled={zoom === 1}>
        <ZoomOut size={16} />
      </IconButton>
      <IconButton label="Show the whole picture" onClick={() => onStep(0)} disabled={zoom === 1}>
        <Maximize size={16} />
      </IconButton>
    </div>
  );
});

/** Lets something on the stage be dragged; gives the pointer's place in the picture. */
export function useStageDrag(
  onMove: (to: { x: number; y: number }, from: { x: number; y: number }) => void,
  ends?: { start?: (at: { x: number; y: number }) => void; end?: () => void },
) {
  const stage = useStage();
  const last = useRef<{ x: number; y: number } | null>(null);
  return {
    onPointerDown(e: ReactPointerEvent<SVGElement>) {
      if (e.button !== 0) return;
      e.stopPropagation();
      e.currentTarget.setPointerCapture(e.pointerId);
      last.current = stage.locate(e.clientX, e.clientY);
      ends?.start?.(last.current);
    },
    onPointerMove(e: ReactPointerEvent<SVGElement>) {
      if (!last.current) return;
      const to = stage.locate(e.clientX, e.clientY);
      const from = last.current;
      last.current = to;
      // Drawn before the next event: two moves of one frame would else both start from where the thing stood.
      flushSync(() => onMove(to, from));
    },
    onPointerUp() {
      if (!last.current) return;
      last.current = null;
      ends?.end?.();
    },
    onPointerCancel() {
      if (!last.current) return;
      last.current = null;
      ends?.end?.();
    },
  };
}

/** Steps for arrow keys: coarse, or fine with Shift; null for other keys. */
export function arrowStep(e: { key: string; shiftKey: boolean }, coarse: number, fine: number) {
  const d = e.shiftKey ? fine : coarse;
  switch (e.key) {
    case 'ArrowLeft':
      return { x: -d, y: 0 };
    case 'ArrowRight':
      return { x: d, y: 0 };
    case 'ArrowUp':
      return { x: 0, y: -d };
    case 'ArrowDown':
      return { x: 0, y: d };
    default:
      return null;
  }
}
