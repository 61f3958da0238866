import { onAPage } from '../ui/page.fixture';
import { fireEvent, render, screen } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { initialSettings, manifestOf, printFixed, printShort, workOut } from '../core';
import { openRun } from '../core/models';
import { pictureOfRun, toMetres } from '../picture/picture';
import { SettingsPanel } from './SettingsPanel';
import { arrowStep } from '../picture/Stage';

onAPage();

const m = await manifestOf('pendulum');

test('settings come from the manifest, and only those that apply', () => {
  const change = vi.fn();
  const { rerender } = render(<SettingsPanel m={m} values={initialSettings(m)} onChange={change} />);
  expect(screen.queryByLabelText(/Gravity, your own/)).toBeNull();
  fireEvent.change(screen.getByLabelText('Gravity'), { target: { value: 'own' } });
  expect(change).toHaveBeenCalledWith('place', 'own');
  rerender(<SettingsPanel m={m} values={{ ...initialSettings(m), place: 'own' }} onChange={change} />);
  expect(screen.getAllByLabelText(/Gravity, your own/).length).toBeGreaterThan(0);
});

test('a typed value is taken with Enter; a bad one stays to be mended, with its range', () => {
  const change = vi.fn();
  render(<SettingsPanel m={m} values={initialSettings(m)} onChange={change} />);
  const mass = screen.getByRole('textbox', { name: /Mass of the bob/ });
  fireEvent.change(mass, { target: { value: '0.3 kg' } });
  fireEvent.keyDown(mass, { key: 'Enter' });
  expect(change).toHaveBeenCalledWith('mass', 300);
  fireEvent.change(mass, { target: { value: '5 kg' } });
  fireEvent.keyDown(mass, { key: 'Enter' });
  expect(screen.getByRole('alert').textContent).toBe("Mass of the bob: can't be 5000 g. Allowed: 20 to 1000 g");
  expect((mass as HTMLInputElement).value).toBe('5 kg');
  expect(change).toHaveBeenCalledTimes(1);
});

test('a place in the picture is the same place in metres', () => {
  const run = openRun('pendulum', initialSettings(m), 1);
  const frame = run.frame('side');
  const picture = pictureOfRun(m, run.scene(), frame);
  const bob = toMetres(picture, picture.get('bob.x'), picture.get('bob.y'));
  expect(Math.hypot(bob.x, bob.y)).toBeCloseTo(1, 12);
  expect(picture.get('bob.radius') / picture.scale).toBeCloseTo(0.02, 12);
});

test('arrow keys step coarsely, with Shift finely', () => {
  expect(arrowStep({ key: 'ArrowUp', shiftKey: false }, 10, 1)).toEqual({ x: 0, y: -10 });
  expect(arrowStep({ key: 'ArrowLeft', shiftKey: true }, 10, 1)).toEqual({ x: -1, y: 0 });
  expect(arrowStep({ key: 'a', shiftKey: false }, 10, 1)).toBeNull();
});

test('the browser rounds and prints as the JVM does', () => {
  const printed = (text: string) =>
    workOut({
      columns: [
        { id: 'a', name: '', symbol: 'a', unit: '', kind: 'measured' },
        { id: 'b', name: '', symbol: 'b', unit: '', kind: 'calculated', formula: 'a × 1' },
      ],
      rows: [{ id: 'r1', cells: { a: text } }],
    }).columns[1].text(0);
  expect(['1.3005', '1.30049', '2.5', '9.9996', '−0.000123456', '123456789', '0'].map(printed)).toEqual([
    '1.301',
    '1.300',
    '2.500',
    '10.00',
    '−0.0001235',
    '1.235 × 10⁸',
    '0',
  ]);
  expect([printFixed(2.345, 2), printFixed(-0.001, 2), printShort(0.1), printShort(1500)]).toEqual([
    '2.35',
    '0.00',
    '0.1',
    '1500',
  ]);
});
