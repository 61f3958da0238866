import { useEffect, useState, type ComponentType } from 'react';
import { Dialog } from '.';

/** A dialog that is fetched when it is asked for: few are, and what it does needs the server anyway. */
export function FetchedDialog<P extends { onClose: () => void }>({
  title,
  load,
  props,
}: {
  title: string;
  /** Fetches it; asked once. */
  load: () => Promise<ComponentType<P>>;
  props: P;
}) {
  const [Fetched, setFetched] = useState<ComponentType<P> | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    load().then(
      (dialog) => setFetched(() => dialog),
      () => setFailed(true),
    );
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  if (Fetched) return <Fetched {...props} />;
  return (
    <Dialog open onClose={props.onClose} title={title}>
      {failed ? (
        <p role="alert">{"The server can't be reached. Try again when the network is back; nothing is lost."}</p>
      ) : (
        <p role="status">On its way …</p>
      )}
    </Dialog>
  );
}
