import { isRouteErrorResponse, Link, useLocation, useNavigate, useRouteError } from 'react-router';
import { Button } from './Button';
import { useTitle } from './useTitle';

/** What is shown in the place of a view that failed: what happened, what is safe, what can be done. */
export function ViewFault() {
  const error = useRouteError();
  const go = useNavigate();
  const here = useLocation();
  useTitle('A fault');
  const what = isRouteErrorResponse(error) ? error.statusText : error instanceof Error ? error.message : String(error);
  return (
    <section role="alert" className="mx-auto flex h-full max-w-xl flex-col justify-center gap-3 p-6">
      <h1 className="font-title text-2xl">This view could not be shown</h1>
      <p>
        Nothing is lost: what you changed is saved, or kept in this browser until it is. The rest of the studio works
        on.
      </p>
      <p className="text-muted">
        The fault: <span className="figures">{what}</span>
      </p>
      <p className="flex gap-3">
        <Button look="main" onClick={() => void go(here, { replace: true })}>
          Show it again
        </Button>
        <Button onClick={() => location.reload()}>Load the page anew</Button>
        <Link to="/library" className="self-center underline underline-offset-2">
          To the library
        </Link>
      </p>
    </section>
  );
}
