import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { whatIfQuery } from '../../shared/api/seasonQueries';
import type { PlayedForward } from '../../shared/api/seasonSchemas';
import { familyWords } from '../../shared/lib/format';
import { Failed, Loading } from '../../shared/ui/States';

/** Four weeks played forward on the rules of the weeks behind, shown as a range: as it goes, and if something changes. */
export function WhatIf({ squadId }: { squadId: number }) {
  const answer = useQuery(whatIfQuery(squadId));
  const [chosen, setChosen] = useState<PlayedForward['what']>('other-foot-evening');
  if (answer.isPending) return <Loading what="the weeks ahead" />;
  if (answer.isError) return <Failed fault={answer.error} onRetry={() => void answer.refetch()} />;
  const [now] = answer.data.plays;
  const then = answer.data.plays.find(({ what }) => what === chosen);
  if (!now || !then) return <p className="quiet">It takes two sessions that were run to play the next weeks forward.</p>;
  return (
    <div className="tight card-note">
      <label className="tight">
        <span className="quiet">The next {answer.data.weeks} weeks with</span>
        <select className="choice wide" value={chosen} onChange={(event) => setChosen(event.target.value as PlayedForward['what'])}>
          {answer.data.plays.slice(1).map(({ what, words }) => (
            <option key={what} value={what}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <table className="plain">
        <thead>
          <tr>
            <td />
            <th scope="col">As it goes</th>
            <th scope="col">Then</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Evenings</th>
            <td className="num">{now.evenings}</td>
            <td className="num">{then.evenings}</td>
          </tr>
          <Row title="Touches of one player" now={now.touches} then={then.touches} words={(value) => value.toLocaleString('en')} />
          <Row title="With the other foot" now={now.weakerShare} then={then.weakerShare} words={(value) => `${Math.round(value * 100)}%`} />
          <Row title="Fullest week against the four before" now={now.load} then={then.load} words={(value) => `${value} ×`} />
          <tr>
            <th scope="row">Not met for three weeks at the end</th>
            <td>{fading(now)}</td>
            <td>{fading(then)}</td>
          </tr>
        </tbody>
      </table>
      <p className="quiet">
        Each evening ahead is one of your last eight, drawn by lot, five hundred times over: in eight of ten it lies in the range. It knows of no plan and no
        rain.
      </p>
    </div>
  );
}

interface RowProps {
  title: string;
  now: PlayedForward['load'];
  then: PlayedForward['load'];
  words: (value: number) => string;
}

function Row({ title, now, then, words }: RowProps) {
  const range = (of: PlayedForward['load']) => (of === null ? '–' : of.low === of.high ? words(of.middle) : `${words(of.low)} to ${words(of.high)}`);
  return (
    <tr>
      <th scope="row">{title}</th>
      <td>{range(now)}</td>
      <td>{range(then)}</td>
    </tr>
  );
}

const fading = ({ stale }: PlayedForward): string =>
  stale.length === 0
    ? 'nothing'
    : stale
        .slice(0, 3)
        .map(({ family, chance }) => (chance >= 0.995 ? familyWords(family) : `${familyWords(family)} (${Math.max(1, Math.round(chance * 100))} in 100)`))
        .join(', ');
