import type { Picture } from '../picture/picture';
import type { Laid, Point } from './kind/kind';
import { kindOf } from './kinds';
import { laidOf } from './placing';
import type { InstrumentState } from './kind/state';

/** The instruments that lie over a picture. `content` is the id of the group that the magnifier enlarges. */
export function InstrumentLayer({
  state: s,
  picture,
  content,
  points = [],
}: {
  state: InstrumentState;
  picture: Picture;
  content: string;
  points?: Point[];
}) {
  const lying = laidOf(s.tray, s.placing);
  const drawn = (layer?: 'below' | 'above') =>
    lying
      .filter((l) => kindOf(l.instrument).layer === layer)
      .map((l) => <One key={l.laidAs} {...{ s, picture, content, points, laid: l }} />);
  return (
    <>
      {drawn('below')}
      <g id={`${content}-instruments`}>{drawn()}</g>
      {drawn('above')}
    </>
  );
}

function One({
  s,
  laid,
  ...around
}: {
  s: InstrumentState;
  laid: Laid;
  picture: Picture;
  content: string;
  points: Point[];
}) {
  const { Drawing } = kindOf(laid.instrument);
  if (!Drawing) return null;
  return (
    <Drawing
      {...laid}
      {...around}
      state={s}
      onMove={s.readOnly ? undefined : (to) => s.setPlacing({ ...s.placing, [laid.laidAs]: to })}
    />
  );
}
