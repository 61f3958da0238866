import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { Button } from '../ui';

/** Where there is no room for it beside the sign the word stands below; the projector's type is larger, so sooner. */
const STACKED =
  'max-[90rem]:flex-col max-[90rem]:gap-0 max-[90rem]:px-1.5 max-[90rem]:text-[0.7rem] max-[90rem]:leading-tight' +
  ' in-data-[theme=projector]:max-[112rem]:flex-col in-data-[theme=projector]:max-[112rem]:gap-0' +
  ' in-data-[theme=projector]:max-[112rem]:px-1.5 in-data-[theme=projector]:max-[112rem]:text-[0.7rem]' +
  ' in-data-[theme=projector]:max-[112rem]:leading-tight';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  sign: ReactNode;
  word: string;
}

/** A button in the head of a bench: a sign and always its word. */
export function HeadButton({ sign, word, className, ...rest }: Props) {
  const on = rest['aria-pressed'] === true;
  return (
    <Button className={`${STACKED} ${on ? 'border-copper!' : ''} ${className ?? ''}`} {...rest}>
      {sign}
      {word}
    </Button>
  );
}
