import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { encode } from 'uqr';
import '../../shared/theme/season.css';
import { homeQueries, linkAddress } from '../../shared/api/homeQueries';
import type { HomeAsk, HomeDrill, HomeItem, HomeLink, HomeSheets } from '../../shared/api/homeSchemas';
import { doseWords } from '../../shared/lib/doseWords';
import { dayLength, mark, shortDay, sideWords } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { PlanThumb } from '../../shared/ui/PlanThumb';
import { Failed, Loading } from '../../shared/ui/States';
import { StitchLine } from '../../shared/ui/Stitches';
import { useFootWording } from '../../shared/ui/FootWords';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { daysAlike } from './daysAlike';

type Sheet = HomeSheets['sheets'][number];

/** One A4 page for each player: the week as it was kept, boxes to write in, and the code to enter the numbers later. */
export function SheetsPage() {
  const { squadId } = useSquadId();
  const [params] = useSearchParams();
  const sheets = useQuery(homeQueries.sheets(squadId));
  if (sheets.isPending) return <Loading what="the sheets" />;
  if (sheets.isError)
    return (
      <div className="page">
        <Failed fault={sheets.error} onRetry={() => void sheets.refetch()} />
      </div>
    );
  const only = params.get('player');
  const shown = sheets.data.sheets.filter((one) => only === null || one.playerId === Number(only));
  return (
    <div className="home-sheets">
      <div className="head no-print">
        <h1>{only === null ? 'Sheets for home' : shown[0] ? `${shown[0].name}’s sheet` : 'No sheet'}</h1>
        <p className="quiet">
          A page each, overleaf too where the week is long: the week as it was kept. Numbers come back by the code, or typed in from the sheet.
        </p>
        <div className="acts">
          <Link className="button text" to={only === null ? '/squad/home' : `/player/${only}/home`}>
            Back
          </Link>
          <Button variant="contained" onClick={() => window.print()} disabled={shown.length === 0}>
            Print
          </Button>
        </div>
      </div>
      {shown.length === 0 && <p className="page">No week is kept yet. Make one first.</p>}
      {shown.map((sheet) => (
        <PaperSheet key={sheet.playerId} sheet={sheet} drills={sheets.data.drills} />
      ))}
    </div>
  );
}

function PaperSheet({ sheet, drills }: { sheet: Sheet; drills: HomeDrill[] }) {
  const used = drills.filter((drill) => sheet.days.some((day) => day.items.some((item) => item.drill === drill.slug)));
  const cautions = [...new Set(used.flatMap((one) => one.cautions))].slice(0, 3);
  const wording = useFootWording();
  return (
    <article className="paper-sheet" aria-label={`Sheet of ${sheet.name}`}>
      <div className="spread">
        <div>
          <h2>{sheet.name}, at home</h2>
          <p className="quiet">The week from {shortDay(sheet.keptOn)}. Write the day above its boxes, and the best of your sets into them.</p>
        </div>
        {sheet.link && <Code link={sheet.link} />}
      </div>
      {daysAlike(sheet.days).map(({ numbers, day }, group) => (
        <section key={numbers.join(' ')} className="tight">
          <div className="spread">
            <h3>
              {day.isOtherFoot ? `The ${wording} foot only` : 'Both feet'}: {numbers.length === 1 ? 'day' : 'days'} {numbers.join(', ')}
            </h3>
            <span className="quiet">{dayLength(day.minutes)}</span>
            <p className="boxes" aria-hidden>
              {numbers.map((one) => (
                <span key={one} className="box">
                  day {one}
                </span>
              ))}
            </p>
          </div>
          <ol className="rows">
            {day.items.map((item, i) => (
              <PaperItem key={item.drill} item={item} number={i + 1} drill={used.find((one) => one.slug === item.drill)} days={numbers} isKnown={group > 0} />
            ))}
          </ol>
        </section>
      ))}
      <p className="quiet">
        <strong>Stop</strong> when something hurts, when you feel dizzy or after a knock to the head, and tell a grown-up. Not where cars come, not on wet
        tiles, not near glass or hard edges. {cautions.join(' ')} A day missed is only a day missed.
      </p>
      <p className="quiet">
        Kept of this: first name, what was practised on which day, the numbers. Only the coaches of the squad see it; ask them to erase it.
      </p>
    </article>
  );
}

function Code({ link }: { link: HomeLink }) {
  if (link.code === null || link.path === null) return null;
  const address = linkAddress(link.path);
  return (
    <div className="sheet-code">
      <p>
        <span className="quiet">{linkAddress('/at-home')}</span>
        <br />
        <strong className="num">{link.code}</strong>
        <br />
        <span className="quiet">good until {shortDay(link.until)}; for nobody else</span>
      </p>
      <Scannable text={address} />
    </div>
  );
}

/** The address as a code to scan, made here: no picture is asked for anywhere. */
function Scannable({ text }: { text: string }) {
  const { size, data } = encode(text, { border: 1 });
  const squares = data.flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h1v1h-1z`] : [])));
  return (
    <svg className="sheet-qr" viewBox={`0 0 ${size} ${size}`} role="img" aria-label="The same address as a code to scan" shapeRendering="crispEdges">
      <rect width={size} height={size} fill="#fff" />
      <path d={squares.join('')} fill="#000" />
    </svg>
  );
}

interface PaperItemProps {
  item: HomeItem;
  number: number;
  drill: HomeDrill | undefined;
  days: number[];
  /** It was explained further up the page. */
  isKnown: boolean;
}

function PaperItem({ item, number, drill, days, isKnown }: PaperItemProps) {
  const wording = useFootWording();
  return (
    <li className="home-item">
      <div className="tight">
        <p>
          <strong>
            {number} {item.name}
          </strong>{' '}
          {doseWords(item.dose, wording)} <span className="quiet">about {mark(item.minutes, 0.1)} min</span>
        </p>
        {drill && !isKnown && <Told drill={drill} name={item.name} />}
      </div>
      <div className="home-boxes">
        {item.asks.length === 0 && <Boxes days={days} label="done" />}
        {item.asks.map((ask) => (
          <Boxes key={ask.line.key} days={days} label={labelOf(ask)} />
        ))}
      </div>
    </li>
  );
}

function Told({ drill, name }: { drill: HomeDrill; name: string }) {
  const steps = [drill.easier && `Too hard: ${drill.easier}.`, drill.harder && `Too easy: ${drill.harder}.`].filter(Boolean).join(' ');
  const hasGround = drill.drawing.kind !== 'on-the-spot';
  return (
    <div className="told">
      {hasGround && <PlanThumb drawing={drill.drawing} />}
      {drill.contacts.length > 0 && <StitchLine contacts={drill.contacts.slice(0, 12)} label={`${name}, touch by touch`} scale={0.6} />}
      <p className="quiet">{[drill.points[0], drill.countsOnlyIf, drill.card && `Whoever serves: ${drill.card.give}`, steps].filter(Boolean).join(' ')}</p>
    </div>
  );
}

function labelOf({ line, item, target }: HomeAsk): string {
  const what = [item, line.side === 'both' ? '' : sideWords(line.side)].filter(Boolean).join(', ') || line.unit;
  return target ? `${what}, beat ${mark(target.value, line.step)}` : what;
}

function Boxes({ days, label }: { days: number[]; label: string }) {
  return (
    <p className="boxes">
      <span className="quiet">{label}</span>
      {days.map((one) => (
        <span key={one} className="box" aria-hidden />
      ))}
    </p>
  );
}
