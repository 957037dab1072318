import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { endSignIn, signInsQuery } from '../../shared/api/staffQueries';
import { localTime } from '../../shared/lib/format';

/** The devices somebody is signed in on; a lost one is ended from here. */
export function SignInsSection() {
  const queryClient = useQueryClient();
  const signIns = useQuery(signInsQuery);
  const end = useMutation({ mutationFn: endSignIn, onSuccess: () => queryClient.invalidateQueries({ queryKey: signInsQuery.queryKey }) });
  return (
    <div className="tight">
      <h3>Where you are signed in</h3>
      {signIns.isError && <p className="notice">{signIns.error.message}</p>}
      <ul className="rows">
        {signIns.data?.signIns.map((one) => (
          <li key={one.id} className="spread">
            <span>
              {one.device} {one.isThis && <strong>(this one)</strong>}
              <br />
              <span className="quiet">last seen {localTime(one.seenAt)}</span>
            </span>
            {!one.isThis && (
              <button type="button" className="link" disabled={end.isPending} onClick={() => end.mutate(one.id)} aria-label={`Sign out ${one.device}`}>
                Sign out
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
