import { expect, test } from 'vitest';
import students from '../../../docs/for-students.md?raw';
import teachers from '../../../docs/for-teachers.md?raw';
import notebook from '../../../docs/notebook.md?raw';
import running from '../../../docs/running.md?raw';
import { HELP } from './help';
import { found, passagesOf, snippet } from './passages';

const files: Record<string, string> = {
  'for-students': students,
  'for-teachers': teachers,
  notebook,
  running,
};

test('every place has a passage in the guides', () => {
  for (const [place, key] of Object.entries(HELP)) {
    const [guide, section] = key.split('/');
    const ids = [...files[guide].matchAll(/^## (.*)$/gm)].map((m) => m[1].toLowerCase().replaceAll(/[^a-z0-9]+/g, '-'));
    expect(ids, place).toContain(section);
  }
});

test('a search finds passages that hold every word, in headings and text, and no others', () => {
  const passages = passagesOf([
    {
      id: 'g',
      title: 'Guide',
      sections: [
        { id: 'a', title: 'Rulers', html: '<p>The zero is the end with the <b>small</b> stroke.</p>' },
        { id: 'b', title: 'Clocks', html: '<p>Zero it here.</p>' },
      ],
    },
  ]);
  expect(found(passages, 'zero').map((p) => p.key)).toEqual(['g/a', 'g/b']);
  expect(found(passages, 'ZERO ruler').map((p) => p.key)).toEqual(['g/a']);
  expect(found(passages, 'strong')).toEqual([]);
  expect(snippet(passages[0], 'small')).toBe('The zero is the end with the small stroke. …');
});
