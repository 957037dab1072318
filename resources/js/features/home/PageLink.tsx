import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { closeHomeLink, homeQueries, linkAddress, openHomeLink } from '../../shared/api/homeQueries';
import { isOf } from '../../shared/api/keys';
import { day } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';

interface PageLinkProps {
  playerId: number;
  name: string;
  /** Whether there is a week to show. */
  hasWeek: boolean;
}

/** The player's own page: a link to hand over, open for twelve weeks, closed in one press. */
export function PageLink({ playerId, name, hasWeek }: PageLinkProps) {
  const link = useQuery(homeQueries.link(playerId));
  const queryClient = useQueryClient();
  const [said, setSaid] = useState('');
  const settle = { onSuccess: () => queryClient.invalidateQueries({ predicate: isOf('player', 'squad') }) };
  const open = useMutation({ mutationFn: () => openHomeLink(playerId), ...settle });
  const close = useMutation({ mutationFn: () => closeHomeLink(playerId), ...settle });
  if (link.isPending) return <p className="quiet">Looking for the page …</p>;
  const { data } = link;
  const fault = link.error ?? open.error ?? close.error;
  const copy = async (path: string) => {
    try {
      await navigator.clipboard.writeText(linkAddress(path));
      setSaid('Copied. Hand it to the player or a parent, nobody else.');
    } catch {
      setSaid(`This browser will not copy. The address: ${linkAddress(path)}`);
    }
  };
  return (
    <section className="tight" aria-label={`${name}'s page`}>
      {fault && (
        <p className="notice" role="alert">
          {fault.message}
        </p>
      )}
      {data ? (
        <>
          <p>
            {name}&rsquo;s page is open until {day(data.until)}
            {data.seenOn ? `, last looked at on ${day(data.seenOn)}` : ', not looked at yet'}.
            {data.code && (
              <>
                {' '}
                Code <strong className="num">{data.code}</strong>
              </>
            )}
          </p>
          <div className="acts-line">
            {data.path !== null && <Button onClick={() => void copy(data.path ?? '')}>Copy the link</Button>}
            <Button variant="text" onClick={() => open.mutate()} disabled={open.isPending}>
              {data.path === null ? 'Make a new link' : 'Twelve weeks more'}
            </Button>
            <Button variant="text" onClick={() => close.mutate()} disabled={close.isPending}>
              Close the page
            </Button>
          </div>
        </>
      ) : (
        <div className="acts-line">
          <Button onClick={() => open.mutate()} disabled={open.isPending}>
            Open a page for {name}
          </Button>
          <span className="quiet">
            A link without an account, for {name}&rsquo;s week alone{hasWeek ? '' : '; keep a week first, so that there is something on it'}.
          </span>
        </div>
      )}
      <p className="quiet" role="status">
        {said}
      </p>
    </section>
  );
}
