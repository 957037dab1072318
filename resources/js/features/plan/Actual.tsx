import { useQuery } from '@tanstack/react-query';
import { actualQuery } from '../../shared/api/queries';
import { clock } from '../../shared/lib/format';

/** The evening as it went beside the plan, block by block, with what made the difference. */
export function Actual({ sessionId, titles }: { sessionId: number; titles: Record<string, string> }) {
  const actual = useQuery(actualQuery(sessionId));
  if (!actual.data || actual.data.blocks.length === 0) return null;
  const { blocks, plannedSeconds, actualSeconds } = actual.data;
  return (
    <details className="side" open>
      <summary>Plan and what came of it</summary>
      <table className="board went">
        <thead>
          <tr>
            <th scope="col">Block</th>
            <th scope="col">planned</th>
            <th scope="col">took</th>
          </tr>
        </thead>
        <tbody>
          {blocks.map((block) => (
            <tr key={block.blockId}>
              <th scope="row">
                {titles[block.blockId] ?? 'A block that is not in the plan any more'}
                <br />
                <span className={block.words === 'As planned.' ? 'quiet' : undefined}>{block.words}</span>
                {block.calls && (
                  <>
                    <br />
                    {block.calls.called} called, {block.calls.hit} hit, {block.calls.slow} slow
                  </>
                )}
              </th>
              <td className="num">{clock(block.plannedSeconds)}</td>
              <td className="num">{clock(block.actualSeconds)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row">All of it</th>
            <td className="num">{clock(plannedSeconds)}</td>
            <td className="num">{clock(actualSeconds)}</td>
          </tr>
        </tbody>
      </table>
    </details>
  );
}
