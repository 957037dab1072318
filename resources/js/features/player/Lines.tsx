import { Link } from 'react-router';
import type { PlayerLine } from '../../shared/api/seasonSchemas';
import { lineWords, mark, shortDay, sideWords } from '../../shared/lib/format';
import { How } from '../../shared/ui/How';
import { LineChart } from './LineChart';

interface LinesProps {
  lines: PlayerLine[];
  playerId: number;
}

const heavy: Record<PlayerLine['verdict']['trend'], number> = {
  'clearly-worse': 0,
  worse: 1,
  'clearly-better': 2,
  better: 3,
  'no-clear-change': 4,
  'too-few': 5,
};

/** Every record line: what can be said of it in a row, its chart and numbers behind. */
export function Lines({ lines, playerId }: LinesProps) {
  const inOrder = [...lines].sort((a, b) => heavy[a.verdict.trend] - heavy[b.verdict.trend]);
  return (
    <section className="tight">
      <h2>Every line</h2>
      {lines.length === 0 && <p>No number yet. The first one is written down in a run.</p>}
      <ul className="rows folded">
        {inOrder.map((one) => (
          <li key={one.line.key}>
            <details>
              <summary>
                <Summary one={one} />
              </summary>
              <Behind one={one} playerId={playerId} />
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}

const nameOf = ({ line }: PlayerLine): string => `${line.drillName}, ${sideWords(line.side)}`;

function Summary({ one }: { one: PlayerLine }) {
  const last = one.days.at(-1);
  return (
    <span className="line-row">
      <span>
        <strong>{one.line.drillName}</strong>{' '}
        <span className="quiet">
          {sideWords(one.line.side)}, {lineWords(one.line)}
        </span>
      </span>
      <span className={one.verdict.trend === 'too-few' ? 'quiet' : undefined}>
        {one.verdict.words}
        {one.isStale && <span className="warn-words"> not met for a while</span>}
        {one.dropOff?.isHabit && <span className="warn-words"> falls off in the last set</span>}
        {one.openTries > 0 && <span className="warn-words"> {one.openTries === 1 ? 'one try' : `${one.openTries} tries`} seen otherwise</span>}
      </span>
      <span className="num">{last ? mark(last.best, one.line.step) : '–'}</span>
    </span>
  );
}

function Behind({ one, playerId }: { one: PlayerLine; playerId: number }) {
  const { line, record, slope, typicalError, dropOff, days, target } = one;
  return (
    <div className="tight behind">
      <LineChart one={one} label={nameOf(one)} />
      <p className="quiet">
        {record && (
          <>
            Record <span className="num">{mark(record.value, line.step)}</span>, {shortDay(record.on)}.{' '}
          </>
        )}
        {line.better === 'lower' && 'Lower is better. '}
        {slope &&
          (slope.low === null || slope.high === null
            ? 'Too few days for a slope.'
            : `${signed(slope.aWeek)} a week, between ${signed(slope.low)} and ${signed(slope.high)} (9 in 10).`)}{' '}
        {typicalError !== null && `A day strays by ±${typicalError} by itself: the pale band.`}{' '}
        {dropOff && `The last set of a session is ${signed(dropOff.percent)} in 100 of the first.`}
      </p>
      {target && (
        <p>
          Next to beat <span className="num">{mark(target.value, line.step)}</span>{' '}
          <span className="quiet">
            {target.because}
            {target.chance !== null && `, about ${Math.round(target.chance * 10)} times in 10`}
            {target.harder && `. ${target.harder}`}
          </span>
        </p>
      )}
      <details>
        <summary>As a table</summary>
        <table className="plain">
          <caption className="sr">{nameOf(one)}</caption>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">Best</th>
              <th scope="col">Middle try</th>
              <th scope="col">Tries</th>
            </tr>
          </thead>
          <tbody>
            {days.map((day) => (
              <tr key={day.on}>
                <th scope="row">{shortDay(day.on)}</th>
                <td className="num">{mark(day.best, line.step)}</td>
                <td className="num">{mark(day.median, line.step)}</td>
                <td className="num">{day.tries}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      <How evidence={one.verdict.evidence} of={`that it is ${one.verdict.words}`} />
      <Link to={`/player/${playerId}/line/${line.key}`} aria-label={`Every try: ${nameOf(one)} ${line.window}`}>
        Every try, and to correct one
      </Link>
    </div>
  );
}

const signed = (value: number): string => (value > 0 ? `+${value}` : String(value).replace('-', '−'));
