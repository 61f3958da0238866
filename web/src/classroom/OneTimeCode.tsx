import { Button, Dialog } from '../ui';

/** A one-time code, shown once. */
export function OneTimeCode({
  code,
  onClose,
}: {
  code: { displayName: string; userName: string; code: string } | null;
  onClose: () => void;
}) {
  return (
    <Dialog open={!!code} onClose={onClose} title={`A one-time code for ${code?.displayName ?? ''}`}>
      {code && (
        <div className="flex flex-col gap-4">
          <p>
            The old secret is gone. At <b className="mono">{location.host}/enter</b> this code lets {code.displayName}{' '}
            choose a new one. It works once, within 14 days, and can’t be shown again.
          </p>
          <p
            className="mono rounded-house border bg-stage px-4 py-3 text-center text-title"
            data-testid="one-time-code"
          >
            {code.code}
          </p>
          <p className="text-soft">
            User name: <b className="mono text-ink">{code.userName}</b>
          </p>
          <Button kind="main" onClick={onClose}>
            I have passed it on
          </Button>
        </div>
      )}
    </Dialog>
  );
}
