import type { LucideIcon } from 'lucide-react';

/** An icon of the size that those on the tray have. */
export const icon = (Icon: LucideIcon) =>
  function TrayIcon() {
    return <Icon size={16} aria-hidden />;
  };
