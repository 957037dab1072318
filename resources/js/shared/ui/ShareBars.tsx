import type { Player } from '../api/schemas';
import { clock } from '../lib/format';
import { useWidth } from './useWidth';

/** Seconds of one player. */
export interface Shares {
  playerId: number;
  ballSeconds: number;
  servingSeconds: number;
  waitingSeconds: number;
}

/** Ball time against waiting, a bar each to one scale: full for the ball, dotted for serving, strokes for waiting. */
export function ShareBars({ shares, players }: { shares: Shares[]; players: Player[] }) {
  const [box, width] = useWidth();
  const most = Math.max(1, ...shares.map((one) => one.ballSeconds + one.servingSeconds + one.waitingSeconds));
  const room = Math.max(60, width - (width < 560 ? 78 : 120) - 4);
  const x = (seconds: number) => (seconds / most) * room;
  return (
    <ul className="share-bars" ref={box}>
      {shares.map((one) => {
        const [ball, serving, waiting] = [x(one.ballSeconds), x(one.servingSeconds), x(one.waitingSeconds)];
        return (
          <li key={one.playerId}>
            <span>{players.find((player) => player.id === one.playerId)?.name ?? one.playerId}</span>
            <span>
              <svg width={room} height={12} aria-hidden>
                <rect width={ball} height={12} fill="var(--ink)" />
                {serving > 1 && (
                  <rect x={ball + 1} y={1} width={Math.max(1, serving - 2)} height={10} fill="none" stroke="var(--quiet)" strokeDasharray="2 2" />
                )}
                {waiting > 1 && (
                  <line x1={ball + serving + 1} x2={ball + serving + waiting} y1={6} y2={6} stroke="var(--warning)" strokeWidth="8" strokeDasharray="2 3" />
                )}
              </svg>
              <span className="quiet">
                ball <span className="num">{clock(one.ballSeconds)}</span>
                {one.servingSeconds > 0 && (
                  <>
                    , serves <span className="num">{clock(one.servingSeconds)}</span>
                  </>
                )}
                , waits <span className="num">{clock(one.waitingSeconds)}</span>
              </span>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
