/** Whether a key belongs to whoever types, or to the browser. */
export function isTyping(e: KeyboardEvent) {
  const on = e.target as HTMLElement;
  return e.ctrlKey || e.metaKey || e.altKey || /^(input|textarea|select)$/i.test(on.tagName);
}
