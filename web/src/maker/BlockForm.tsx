import { Joystick } from 'lucide-react';
import { lazy, Suspense, use, useState } from 'react';
import { manifestOf } from '../core';
import type { Schema } from '../core/labForm';
import { Button } from '../ui';
import { KnownSlips } from './KnownSlips';
import { apparatusOn, Offered, offersOf } from './offers';
import { SchemaForm } from './SchemaForm';
import type { Tree } from './tree';

// The bench brings the models with it; most fields need none.
const SetUp = lazy(() => import('./SetUp').then((m) => ({ default: m.SetUp })));

/** The fields of what is chosen, with what they may speak of by name. */
export function BlockForm({
  schema,
  sheet,
  one,
  onChange,
}: {
  schema: Schema;
  sheet: Tree;
  one: Tree;
  onChange: (one: Tree) => void;
}) {
  const [settingUp, setSettingUp] = useState(false);
  const ids = apparatusOn(sheet);
  const fetched = ids.map((id) => manifestOf(id));
  const manifests = Object.fromEntries(ids.map((id, i) => [id, use(fetched[i])]));
  const field = one.type === 'bench' ? 'setup' : one.type === 'films' ? 'fixed' : null;
  const apparatus = String(one.apparatus);
  return (
    <Offered value={offersOf(sheet, one, manifests)}>
      {field && ids.includes(apparatus) && (
        <div className="mb-3 flex items-center gap-3">
          <Button onClick={() => setSettingUp(true)}>
            <Joystick size={15} aria-hidden />
            Set it up on the bench
          </Button>
          <span className="text-fine text-soft">or setting by setting below</span>
        </div>
      )}
      <SchemaForm schema={schema} value={one} onChange={onChange} />
      {one.type === 'number' && <KnownSlips apparatus={String(sheet.apparatus)} block={one} onChange={onChange} />}
      {field && settingUp && (
        <Suspense>
          <SetUp
            apparatus={apparatus}
            setup={(one[field] ?? {}) as Tree}
            onClose={() => setSettingUp(false)}
            onUse={(setup) => {
              setSettingUp(false);
              onChange({ ...one, [field]: { ...ranges(one[field]), ...setup } });
            }}
          />
        </Suspense>
      )}
    </Offered>
  );
}

/** What is drawn for each student stays so. */
function ranges(of: unknown): Tree {
  return Object.fromEntries(
    Object.entries((of ?? {}) as Tree).filter(([, v]) => typeof v === 'object' && v !== null && 'from' in v),
  );
}
