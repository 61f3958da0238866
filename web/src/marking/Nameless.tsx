import { Eye, EyeOff } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { Button } from '../ui';

/** Shows a work for all to see, or again with all that its teacher may know of it. */
export function Nameless({ on }: { on: boolean }) {
  const [params, setParams] = useSearchParams();
  const turn = () => {
    if (on) params.delete('nameless');
    else params.set('nameless', '');
    setParams(params, { replace: true });
  };
  return (
    <Button kind="quiet" onClick={turn} title={on ? 'Show the name, points and marks' : 'Show it without the name'}>
      {on ? <Eye size={16} aria-hidden /> : <EyeOff size={16} aria-hidden />}
      <span className={on ? '' : 'sr-only'}>{on ? 'Without the name' : 'Show without the name'}</span>
    </Button>
  );
}
