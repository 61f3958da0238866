import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { LongText } from './LongText';

afterEach(cleanup);

function Words({ begun }: { begun: string }) {
  const [text, setText] = useState(begun);
  return (
    <label>
      Why
      <LongText value={text} maxLength={20} onChange={setText} />
    </label>
  );
}

const field = () => screen.getByRole<HTMLTextAreaElement>('textbox');
const told = () => screen.getByRole('status').textContent;

function paste(text: string) {
  fireEvent.paste(field(), { clipboardData: { getData: () => text } });
  // What the browser puts in by itself: as much as there is room for.
  const value = (field().value + text.replace(/\r\n/g, '\n')).slice(0, 20);
  if (value !== field().value) fireEvent.input(field(), { target: { value }, inputType: 'insertFromPaste' });
}

test('nothing is said while there is room, then how much is left', () => {
  render(<Words begun="" />);
  expect(told()).toBe('');
  fireEvent.input(field(), { target: { value: 'a'.repeat(17) }, inputType: 'insertText' });
  expect(told()).toBe('');
  fireEvent.input(field(), { target: { value: 'a'.repeat(19) }, inputType: 'insertText' });
  expect(told()).toBe('Room for 1 character more');
  fireEvent.input(field(), { target: { value: 'a'.repeat(20) }, inputType: 'insertText' });
  expect(told()).toBe('No room for more. 20 characters are the most that can be kept.');
});

test('what of a paste found no room is told until something else is typed', () => {
  render(<Words begun="It swings " />);
  paste('slowly and then\r\nfaster');
  expect(field().value).toBe('It swings slowly and');
  expect(told()).toBe(
    'The last 12 characters of what you pasted found no room. 20 characters are the most that can be kept.',
  );
  fireEvent.input(field(), { target: { value: 'It swings' }, inputType: 'deleteContentBackward' });
  expect(told()).toBe('');
});

test('a paste into a full field is told, too', () => {
  render(<Words begun={'a'.repeat(20)} />);
  paste('b');
  expect(field().value).toBe('a'.repeat(20));
  expect(told()).toContain('The last 1 character of what you pasted');
});
