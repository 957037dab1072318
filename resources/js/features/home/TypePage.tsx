import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { homeQueries, sendSheets } from '../../shared/api/homeQueries';
import type { HomeSheets } from '../../shared/api/homeSchemas';
import { isOf } from '../../shared/api/keys';
import { localNow, many, sideWords } from '../../shared/lib/format';
import { readNumber } from '../../shared/lib/homeNumbers';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Field';
import { Failed, Loading } from '../../shared/ui/States';
import { useSquadId } from '../../shared/ui/SquadChoice';

type Sheet = HomeSheets['sheets'][number];

/** A stack of sheets, one player after the other: the boxes of the paper, by keyboard. */
export function TypePage() {
  const { squadId } = useSquadId();
  const sheets = useQuery(homeQueries.sheets(squadId));
  const [params, setParams] = useSearchParams();
  if (sheets.isPending) return <Loading what="the sheets" />;
  if (sheets.isError)
    return (
      <div className="page">
        <Failed fault={sheets.error} onRetry={() => void sheets.refetch()} />
      </div>
    );
  const all = sheets.data.sheets;
  const at = Math.max(
    0,
    all.findIndex((one) => one.playerId === Number(params.get('player'))),
  );
  const sheet = all[at];
  const next = all[at + 1];
  return (
    <>
      <div className="head">
        <h1>Type in sheets</h1>
        <p className="quiet">The boxes of the paper. A day nobody wrote anything for stays empty.</p>
        <div className="acts">
          <Link className="button text" to="/squad/home">
            Back to practice at home
          </Link>
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        {!sheet && <p>No week is kept yet, so there is no sheet.</p>}
        {sheet && (
          <>
            <Choice
              label="Whose sheet"
              value={String(sheet.playerId)}
              options={all.map((one): [string, string] => [String(one.playerId), one.name])}
              onValue={(value) => setParams({ player: value }, { replace: true })}
            />
            <TypedSheet
              key={sheet.playerId}
              squadId={squadId}
              sheet={sheet}
              onNext={next ? () => setParams({ player: String(next.playerId) }, { replace: true }) : undefined}
              nextName={next?.name}
            />
          </>
        )}
      </div>
    </>
  );
}

interface TypedSheetProps {
  squadId: number;
  sheet: Sheet;
  onNext: (() => void) | undefined;
  nextName: string | undefined;
}

/** Days lie back from yesterday, a day apart, until the paper says otherwise. */
const daysBack = (count: number): string[] => {
  const today = Date.parse(localNow().slice(0, 10));
  return Array.from({ length: count }, (_, i) => new Date(today - (count - i) * 86_400_000).toISOString().slice(0, 10));
};

function TypedSheet({ squadId, sheet, onNext, nextName }: TypedSheetProps) {
  const [dates, setDates] = useState(() => daysBack(sheet.days.length));
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [refused, setRefused] = useState<string[]>([]);
  const queryClient = useQueryClient();
  const cell = (day: number, key: string) => `${day} ${key}`;
  const items = sheet.days[0]?.items ?? [];
  const read = sheet.days.flatMap((day, d) =>
    day.items.map((item) => {
      const numbers = item.asks.map((ask) => ({ ask, number: readNumber(texts[cell(d, ask.line.key)] ?? '', ask.line) }));
      return { d, item, numbers };
    }),
  );
  const faults = read.flatMap(({ numbers }) => numbers).filter(({ number }) => number !== null && 'fault' in number);
  const written = read.flatMap(({ d, item, numbers }) => {
    const sound = numbers.flatMap(({ ask, number }) =>
      number && !('fault' in number) ? [{ lineKey: ask.line.key, value: number.value, parts: number.parts }] : [],
    );
    const isDone = texts[cell(d, item.drill)] === 'x';
    return sound.length > 0 || isDone ? [{ playerId: sheet.playerId, drill: item.drill, on: dates[d] ?? '', numbers: sound }] : [];
  });
  const keep = useMutation({
    mutationFn: () =>
      sendSheets(
        squadId,
        written.map((one) => ({ uuid: crypto.randomUUID(), ...one })),
      ),
    onSuccess: async ({ results }) => {
      const not = results.filter(({ status }) => status === 'refused');
      setRefused(not.map(({ index, message }) => `${items.find((one) => one.drill === written[index]?.drill)?.name ?? ''}: ${message ?? 'not taken'}`));
      await queryClient.invalidateQueries({ predicate: isOf('squad') });
      if (not.length > 0) return;
      setTexts({});
      onNext?.();
    },
  });
  return (
    <form
      className="stack"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div className="scroll">
        <table className="plain typed-sheet">
          <thead>
            <tr>
              <th scope="col">{sheet.name}</th>
              {sheet.days.map((day, d) => (
                <th key={day.number} scope="col">
                  Day {day.number}
                  <input
                    type="date"
                    aria-label={`Date of day ${day.number}`}
                    value={dates[d] ?? ''}
                    onChange={(event) => setDates((before) => before.map((one, i) => (i === d ? event.target.value : one)))}
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.flatMap((item) =>
              (item.asks.length === 0 ? [null] : item.asks).map((ask) => (
                <tr key={`${item.drill} ${ask?.line.key ?? ''}`}>
                  <th scope="row">
                    {item.name}
                    {ask && (
                      <span className="quiet">
                        {' '}
                        {[ask.item, ask.line.side === 'both' ? '' : sideWords(ask.line.side), ask.line.unit].filter(Boolean).join(', ')}
                      </span>
                    )}
                  </th>
                  {sheet.days.map((day, d) => {
                    const own = day.items.find((one) => one.drill === item.drill);
                    const asks = ask ? own?.asks.some((one) => one.line.key === ask.line.key) : own !== undefined;
                    if (!asks) return <td key={day.number} className="quiet" aria-label="not asked" />;
                    const name = cell(d, ask?.line.key ?? item.drill);
                    const number = ask ? readNumber(texts[name] ?? '', ask.line) : null;
                    const fault = number && 'fault' in number ? number.fault : '';
                    return (
                      <td key={day.number}>
                        {ask ? (
                          <input
                            aria-label={`${item.name}, ${sideWords(ask.line.side)}, day ${day.number}`}
                            aria-invalid={fault !== ''}
                            title={fault}
                            value={texts[name] ?? ''}
                            onChange={(event) => setTexts((before) => ({ ...before, [name]: event.target.value }))}
                          />
                        ) : (
                          <input
                            type="checkbox"
                            aria-label={`${item.name}, done on day ${day.number}`}
                            checked={texts[name] === 'x'}
                            onChange={(event) => setTexts((before) => ({ ...before, [name]: event.target.checked ? 'x' : '' }))}
                          />
                        )}
                        {fault && <span className="fault">{fault}</span>}
                      </td>
                    );
                  })}
                </tr>
              )),
            )}
          </tbody>
        </table>
      </div>
      {keep.isError && (
        <p className="notice" role="alert">
          {keep.error.message} Everything typed still stands here.
        </p>
      )}
      {refused.map((one) => (
        <p key={one} className="warn">
          {one}
        </p>
      ))}
      <div className="acts-line">
        <Button type="submit" variant="contained" disabled={keep.isPending || written.length === 0 || faults.length > 0}>
          {nextName ? `Keep, then ${nextName}` : 'Keep'}
        </Button>
        <span className="quiet" role="status">
          {faults.length > 0 ? `${many(faults.length, 'box')} cannot be read.` : written.length > 0 ? many(written.length, 'thing') + ' practised' : ''}
        </span>
      </div>
    </form>
  );
}
