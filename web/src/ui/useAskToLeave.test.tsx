import { render } from '@testing-library/react';
import { expect, test } from 'vitest';
import { onAPage } from './page.fixture';
import { useAskToLeave } from './useAskToLeave';

onAPage();

function Typing({ unkept }: { unkept: Set<string> }) {
  useAskToLeave(() => unkept.size > 0);
  return null;
}

function asksToLeave() {
  const leaving = new Event('beforeunload', { cancelable: true });
  window.dispatchEvent(leaving);
  return leaving.defaultPrevented;
}

test('whoever has something not kept yet is asked, as it is at that moment, and nobody after the page is left', () => {
  const unkept = new Set<string>();
  const { unmount } = render(<Typing unkept={unkept} />);
  expect(asksToLeave()).toBe(false);
  unkept.add('2,5 points');
  expect(asksToLeave()).toBe(true);
  unkept.clear();
  expect(asksToLeave()).toBe(false);
  unkept.add('again');
  unmount();
  expect(asksToLeave()).toBe(false);
});
