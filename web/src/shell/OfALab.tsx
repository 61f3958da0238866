import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Above a page about a lab of a class: the way back, what the page is, and what is set for all of it. */
export function OfALab({
  lab,
  title,
  children,
}: {
  lab: { id: string; title: string; className: string };
  title: string;
  children: ReactNode;
}) {
  return (
    <>
      <p className="text-soft">
        <Link to="/" className="text-indigo underline">
          Classes
        </Link>{' '}
        / {lab.className} /{' '}
        <Link to={`/assignments/${lab.id}`} className="text-indigo underline">
          {lab.title}
        </Link>
      </p>
      <div className="mb-4 flex items-center gap-6">
        <h1 className="mr-auto text-title font-bold">{title}</h1>
        {children}
      </div>
    </>
  );
}
