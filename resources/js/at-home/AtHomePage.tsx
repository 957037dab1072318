import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { ApiError } from '../shared/api/client';
import type { AtHome } from '../shared/api/homeSchemas';
import { shortDay } from '../shared/lib/format';
import { askToPersist } from '../shared/lib/openable';
import { Button } from '../shared/ui/Button';
import { Field } from '../shared/ui/Field';
import { StitchMark } from '../shared/ui/Stitches';
import { Care } from './Care';
import { DayView } from './DayView';
import { askForPage, readPage, sendAll } from './sending';
import { dropPage, entries, keepCode, keepPage, keptCode, keptPage, onEntries, plainCode, tidy } from './store';

/** What can be shown: the code is asked for, the page is on its way, it is here (of now or of before), it is closed. */
type State =
  | { is: 'asking'; fault: string }
  | { is: 'opening' }
  | { is: 'open'; page: AtHome; isHeld: boolean }
  | { is: 'closed'; why: string }
  | { is: 'away'; why: string };

const codeLength = 16;
const lengthFault = (length: number): string => `The code has sixteen letters and digits; here are ${length}.`;
const codeOfAddress = (): string => plainCode(decodeURIComponent(location.hash.slice(1)));

function firstState(): State {
  const code = codeOfAddress();
  // An address that was cut off on the way opens nothing, and takes nothing of what is here away.
  if (code.length === codeLength) keepCode(code);
  if (!keptCode()) return { is: 'asking', fault: code === '' ? '' : lengthFault(code.length) };
  const kept = keptPage();
  return kept?.isOwn ? { is: 'open', page: kept.page, isHeld: true } : { is: 'opening' };
}

/** One player's page: today's routine, a timer, and what was written down. */
export function AtHomePage() {
  const [state, setState] = useState(firstState);
  const all = useSyncExternalStore(onEntries, entries);
  const fetchPage = useCallback(async () => {
    const code = keptCode();
    if (!code) return;
    const kept = keptPage();
    if (kept && !kept.isOwn) {
      const page = await readPage(kept.page).catch(() => undefined);
      if (page) setState({ is: 'open', page, isHeld: true });
    }
    try {
      const page = await askForPage(code);
      keepPage(page);
      tidy(page.today);
      setState({ is: 'open', page, isHeld: false });
    } catch (fault) {
      if (fault instanceof ApiError && fault.kind === 'signed-out') {
        dropPage();
        setState({ is: 'closed', why: fault.message });
      } else {
        const why = fault instanceof ApiError ? fault.message : 'Something broke in this page. Load it again.';
        setState((before) => (before.is === 'open' ? { ...before, isHeld: true } : { is: 'away', why }));
      }
    }
  }, []);
  useEffect(() => {
    askToPersist();
    const goRound = () => void sendAll().then(fetchPage);
    // What is held stands on the screen before anything is asked for.
    const first = window.setTimeout(goRound, keptPage()?.isOwn ? 400 : 0);
    const send = () => void sendAll().then((isClosed) => (isClosed ? fetchPage() : undefined));
    const onHash = () => {
      setState(firstState());
      goRound();
    };
    const timer = window.setInterval(send, 20_000);
    window.addEventListener('online', goRound);
    window.addEventListener('hashchange', onHash);
    return () => {
      window.clearTimeout(first);
      window.clearInterval(timer);
      window.removeEventListener('online', goRound);
      window.removeEventListener('hashchange', onHash);
    };
  }, [fetchPage]);

  const unsent = all.filter((one) => !one.isSent);
  const closedOnes = unsent.filter((one) => one.refusal !== '');
  return (
    <div className="at-home">
      <header className="spread">
        <h1>
          <StitchMark /> {state.is === 'open' ? `${state.page.name}, at home` : 'At home'}
        </h1>
        <p role="status" className="quiet">
          {unsent.length - closedOnes.length > 0 && `${unsent.length - closedOnes.length} kept here, not sent yet`}
          {unsent.length === 0 && all.length > 0 && 'All sent'}
        </p>
      </header>
      <main className="stack">
        {state.is === 'asking' && <AskForCode fault={state.fault} />}
        {state.is === 'opening' && <p className="quiet">Opening your page …</p>}
        {state.is === 'away' && (
          <div className="notice stack" role="alert">
            <p>{state.why}</p>
            <Button onClick={() => void fetchPage()}>Try again</Button>
          </div>
        )}
        {state.is === 'closed' && (
          <>
            <p className="notice" role="alert">
              {state.why} What you wrote down is still here.
            </p>
            <AskForCode fault="" />
          </>
        )}
        {state.is === 'open' && <Open page={state.page} isHeld={state.isHeld} />}
        {closedOnes.length > 0 && (
          <section className="tight" aria-label="Not taken">
            <h2>Tell your coach</h2>
            {closedOnes.map((one) => (
              <p key={one.uuid}>
                {shortDay(one.on)}, {one.name}: {one.numbers.map((number) => number.value).join(' and ') || 'done'}.{' '}
                <span className="quiet">{one.refusal}</span>
              </p>
            ))}
          </section>
        )}
      </main>
    </div>
  );
}

function Open({ page, isHeld }: { page: AtHome; isHeld: boolean }) {
  return (
    <>
      {isHeld && <p className="quiet">Without a network: this is how your page was on {shortDay(page.today)}.</p>}
      {page.endsSoon && <p className="warn">This page is open until {shortDay(page.until)}. Ask your coach to keep it open; the link stays the same.</p>}
      {page.days.length === 0 ? (
        <p className="warn">There is no week for you yet. Your coach can make one; then it is here.</p>
      ) : (
        <DayView key={page.keptOn} page={page} />
      )}
      <Care drills={page.drills} until={page.until} />
    </>
  );
}

/** Where nobody opened a link here before: the code stands on the sheet. */
function AskForCode({ fault }: { fault: string }) {
  const [code, setCode] = useState('');
  const [own, setOwn] = useState(fault);
  return (
    <form
      className="stack"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const plain = plainCode(code);
        if (plain.length !== codeLength) {
          setOwn(lengthFault(plain.length));
          return;
        }
        location.hash = plain;
      }}
    >
      <p>Open the link your coach gave you, or type the code from your sheet.</p>
      <Field label="Code" value={code} fault={own} autoComplete="off" autoCapitalize="characters" spellCheck={false} onValue={setCode} />
      <Button type="submit" variant="contained">
        Open my page
      </Button>
    </form>
  );
}
