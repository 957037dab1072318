import type { Evaluation } from '../../shared/api/schemas';
import { clock } from '../../shared/lib/format';
import { withCut } from '../../shared/lib/draft';
import type { PlanTools } from './usePlan';

interface CutsProps {
  tools: PlanTools;
  cuts: Evaluation['cuts'];
  stillOverSeconds: number;
  onCut: (spoken: string) => void;
}

/** What could go from a session that is over its slot: one press each, with what is won and what is lost. */
export function Cuts({ tools, cuts, stillOverSeconds, onCut }: CutsProps) {
  if (cuts.length === 0 && stillOverSeconds === 0) return null;
  return (
    <section className="side tight" aria-label="What could go">
      <h2>Too long: what could go</h2>
      <ul className="rows">
        {cuts.map((cut) => (
          <li key={`${cut.blockId} ${cut.kind}`} className="spread" style={{ padding: '0.15rem 0' }}>
            <button
              type="button"
              className="link"
              style={{ textAlign: 'left' }}
              onClick={() => {
                tools.press({ blocks: withCut(tools.plan.blocks, cut) });
                onCut(`${cut.words}: ${clock(cut.freedSeconds)} less.`);
              }}
            >
              {cut.words}
            </button>
            <span>
              <span className="num">−{clock(cut.freedSeconds)}</span>
              {cut.touchesLost > 0 && <span className="quiet"> {cut.touchesLost} touches</span>}
            </span>
          </li>
        ))}
      </ul>
      {stillOverSeconds > 0 && (
        <p className="warn">
          {cuts.length === 0 ? 'Nothing here can go, and it is' : 'With all of these it is still'} {clock(stillOverSeconds)} too long for eight times in ten:
          take a longer slot, or plan another session of it.
        </p>
      )}
      <p className="quiet">Rests first, then sets, then blocks. The warm-up and water stay.</p>
    </section>
  );
}
