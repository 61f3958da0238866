import type { Sheet } from '../core';

/** Goes on sending what was spoken in a work and never got through, whichever part is looked at. */
export async function sendVoices(sheet: Sheet, work: string) {
  const speaks = sheet.parts.some((p) => p.blocks.some((b) => b.type === 'explanation' && b.spoken > 0));
  if (speaks) await (await import('../voice')).postOf(work).send();
}
