import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { sendMarks, type MarkToSend } from '../../shared/api/runQueries';
import { lineTriesQuery } from '../../shared/api/staffQueries';
import type { LineTries, Try, TryMark } from '../../shared/api/staffSchemas';
import { day, lineWords, localTime, mark, sideWords } from '../../shared/lib/format';
import { Failed, Loading } from '../../shared/ui/States';
import { CorrectionDialog } from './CorrectionDialog';
import { isOf } from '../../shared/api/keys';

/** "How do you know?": every try on one record line, and everything that was said of each. */
export function TriesPage() {
  const playerId = Number(useParams().playerId);
  const { lineKey = '' } = useParams();
  const tries = useQuery(lineTriesQuery(playerId, lineKey));
  if (tries.isPending) return <Loading what="the tries" />;
  if (tries.isError)
    return (
      <div className="page">
        <Failed fault={tries.error} onRetry={() => void tries.refetch()} />
      </div>
    );
  const { data } = tries;
  const { line, standing } = data;
  return (
    <>
      <div className="head">
        <h1>
          <Link to={`/player/${playerId}`}>{data.playerName}</Link>: {line.drillName}
        </h1>
        <p className="quiet">
          {sideWords(line.side)}, {lineWords(line)}
          {standing.record && `. Record ${mark(standing.record.value, line.step)}, ${day(standing.record.on)}`}.
        </p>
      </div>
      <div className="page two" style={{ paddingTop: 0 }}>
        <section>
          <h2 className="sr">Tries</h2>
          <ol className="rows">
            {data.tries.map((one) => (
              <TryRow key={`${one.sessionId}/${one.tryNumber}`} one={one} data={data} />
            ))}
          </ol>
        </section>
        <section className="tight">
          <h2>What counts</h2>
          <p>The record is the best valid try. The day's value, for trends, is the median of its valid tries.</p>
          <p>
            Where two people saw another number, the more cautious one stands in until somebody chooses. A void or disputed try is kept and counts for nothing.
          </p>
          {Object.entries(line.rule)
            .filter(([key, words]) => key !== 'kind' && words !== '')
            .map(([key, words]) => (
              <p key={key} className="quiet">
                {ruleWords[key] ?? key}: {words}
              </p>
            ))}
        </section>
      </div>
    </>
  );
}

const ruleWords: Record<string, string> = { starts: 'Starts', stops: 'Stops', countsOnlyIf: 'Counts only if', voids: 'Void if', fault: 'A fault' };

interface TryRowProps {
  one: Try;
  data: LineTries;
}

function TryRow({ one, data }: TryRowProps) {
  const { line } = data;
  const [isCorrecting, setCorrecting] = useState(false);
  const decide = useDecision(data, one);
  const standing = one.marks.filter((said) => said.stands);
  const disputed = standing.find((said) => said.isDisputed);
  return (
    <li className="stack" style={{ gap: '0.4rem' }}>
      <div className="spread">
        <span>
          <strong>{day(one.on)}</strong>, try {one.tryNumber}
        </span>
        <span className="num" style={{ fontSize: '1.5rem' }}>
          {one.value === null ? '–' : mark(one.value, line.step)}
        </span>
      </div>
      <ul className="tight">
        {one.marks.map((said) => (
          <li key={said.uuid} className={said.stands ? undefined : 'quiet'}>
            <Said said={said} step={line.step} />{' '}
            {one.isOpen && said.stands && standing.length > 1 && (
              <button
                type="button"
                className="link"
                disabled={decide.isPending}
                onClick={() => decide.mutate({ value: said.value, isVoid: said.isVoid, reason: `As ${said.by} saw it.` })}
              >
                Choose {said.isVoid ? 'void' : mark(said.value, line.step)}
              </button>
            )}
          </li>
        ))}
      </ul>
      {one.isOpen && <p className="warn">{disputed ? 'Disputed, so it counts for nothing yet.' : 'Seen otherwise by two. The more cautious one stands in.'}</p>}
      {decide.isError && !isCorrecting && (
        <p className="notice" role="alert">
          {decide.error.message}
        </p>
      )}
      <div className="acts-line">
        <button type="button" className="link" onClick={() => setCorrecting(true)} aria-label={`Correct ${day(one.on)}, try ${one.tryNumber}`}>
          Correct
        </button>
        {disputed && standing.length === 1 && (
          <button
            type="button"
            className="link"
            disabled={decide.isPending}
            onClick={() => decide.mutate({ value: disputed.value, reason: 'It counts after all.' })}
          >
            Let it count
          </button>
        )}
      </div>
      {isCorrecting && (
        <CorrectionDialog
          title={`${data.playerName}, ${day(one.on)}, try ${one.tryNumber}`}
          line={line}
          value={standing[0]?.value ?? null}
          fault={decide.error}
          isPending={decide.isPending}
          onDecide={(decision) => decide.mutate(decision, { onSuccess: () => setCorrecting(false) })}
          onClose={() => setCorrecting(false)}
        />
      )}
    </li>
  );
}

function Said({ said, step }: { said: TryMark; step: number }) {
  return (
    <span>
      <span className="num">{said.isVoid ? 'void' : mark(said.value, step)}</span> {said.by}, {localTime(said.recordedAt)}, {said.ground}
      {said.source === 'home' && ', from home, counted by the player'}
      {said.isDisputed && ', disputed'}
      {said.reason && `: ${said.reason}`}
      {!said.stands && ' (replaced)'}
    </span>
  );
}

export interface Decision {
  value: number;
  reason: string;
  isVoid?: boolean;
  isDisputed?: boolean;
}

/** Says something new of a try: one more mark, in place of all that stand. Nothing is overwritten. */
function useDecision(data: LineTries, one: Try) {
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: async ({ value, reason, isVoid = false, isDisputed = false }: Decision) => {
      const said: MarkToSend = {
        uuid: crypto.randomUUID(),
        playerId: data.playerId,
        sessionId: one.sessionId,
        lineKey: data.line.key,
        tryNumber: one.tryNumber,
        value,
        isVoid,
        isDisputed,
        reason,
        recordedAt: new Date().toISOString(),
        supersedesUuids: one.marks.filter((mark) => mark.stands).map((mark) => mark.uuid),
      };
      const [result] = (await sendMarks([said])).results;
      if (result?.status === 'refused') throw new Error(result.message ?? 'The server would not take this number.');
    },
    onSuccess: () => queryClient.invalidateQueries({ predicate: isOf('player', 'squad', 'run') }),
  });
}
