import katex from 'katex';

/** Draws the formulas of a text in MathML, which browsers set and read aloud; one that can't be read stays in TeX. */
export function draw(text: HTMLElement) {
  for (const formula of text.querySelectorAll<HTMLElement>('.formula:not([data-tex])')) {
    const tex = formula.textContent ?? '';
    formula.dataset.tex = tex;
    try {
      formula.innerHTML = katex.renderToString(tex, {
        output: 'mathml',
        displayMode: formula.classList.contains('alone'),
        trust: false,
        maxExpand: 200,
        maxSize: 20,
      });
    } catch {
      formula.title = 'This formula can’t be drawn';
    }
  }
}
