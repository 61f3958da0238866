import { KeyRound, LogOut } from 'lucide-react';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import type { HelpPlace } from './help';
import { Help } from './Help';
import { Button } from '../ui';
import { useMe, useSignOut } from './session';

// Whoever works in a lab doesn't change a secret.
const MySecret = lazy(() => import('./MySecret').then((m) => ({ default: m.MySecret })));

/** The sign of the house, drawn here: a picture of its own would be missing where the network is. */
function Cauldron() {
  return (
    <svg
      viewBox="0 0 32 32"
      width="26"
      height="26"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.2"
      strokeLinecap="round"
      aria-hidden
    >
      <path d="M5 12h22M8 12c-2 9 2 14 8 14s10-5 8-14M10 26l-2 3M22 26l2 3" />
      <path d="M12 8c-1.5-1.5 1.5-3 0-5M17 8c-1.5-1.5 1.5-3 0-5" stroke="var(--copper)" />
    </svg>
  );
}

export function Mark() {
  return (
    <Link to="/" className="flex items-center gap-2 rounded-house text-lead font-bold">
      <Cauldron />
      Cauldron
    </Link>
  );
}

/** The frame of ordinary pages: name, places, sign out. */
export function Shell({ children, help, wide }: { children: ReactNode; help?: HelpPlace; wide?: boolean }) {
  const me = useMe();
  const signOut = useSignOut();
  const [changing, setChanging] = useState(false);
  const place = ({ isActive }: { isActive: boolean }) =>
    `rounded-house px-2 py-1 ` +
    `${isActive ? 'font-bold underline decoration-copper decoration-2 underline-offset-8' : 'hover:bg-line/50'}`;
  return (
    <div className="flex min-h-full flex-col">
      <header className="flex h-14 items-center gap-6 border-b bg-sheet px-6">
        <Mark />
        {me && (
          <nav aria-label="Main" className="flex gap-2">
            <NavLink to="/" end className={place}>
              {me.role === 'TEACHER' ? 'Classes' : me.role === 'ADMINISTRATOR' ? 'People' : 'My labs'}
            </NavLink>
            {me.role === 'ADMINISTRATOR' && (
              <NavLink to="/acts" className={place}>
                What was done
              </NavLink>
            )}
            {me.role === 'STUDENT' && (
              <NavLink to="/points" className={place}>
                My points
              </NavLink>
            )}
            {me.role === 'TEACHER' && (
              <NavLink to="/catalogue" className={place}>
                Catalogue
              </NavLink>
            )}
            {me.role === 'TEACHER' && (
              <NavLink to="/my-labs" className={place}>
                My labs
              </NavLink>
            )}
          </nav>
        )}
        {me && (
          <div className="ml-auto flex items-center gap-3">
            <span className="text-soft">
              {me.displayName} · <span className="mono">{me.userName}</span>
            </span>
            <Help at={help ?? (me.role === 'TEACHER' ? 'classes' : me.role === 'ADMINISTRATOR' ? 'people' : 'labs')} />
            <Button small kind="quiet" onClick={() => setChanging(true)}>
              <KeyRound size={15} aria-hidden />
              My secret
            </Button>
            {changing && (
              <Suspense>
                <MySecret open onClose={() => setChanging(false)} />
              </Suspense>
            )}
            <Button small kind="quiet" onClick={signOut}>
              <LogOut size={15} />
              Sign out
            </Button>
          </div>
        )}
      </header>
      <main className={wide ? 'flex-1 px-5 py-3' : 'mx-auto w-full max-w-5xl flex-1 px-6 py-8'}>{children}</main>
    </div>
  );
}
