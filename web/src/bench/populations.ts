import type { Distribution, Manifest, SettingValues } from '../core';

/** What the populations of a distribution are called now: they are named by choices. */
export function populationNames(m: Manifest, d: Distribution, values: SettingValues) {
  return d.populations.map((p) => {
    const s = m.settings.find((x) => x.id === p);
    return s?.type === 'choice' ? (s.options.find((o) => o.id === values[p])?.name ?? p) : p;
  });
}
