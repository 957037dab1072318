import type { RunPack } from '../../shared/api/schemas';
import { dutyWords } from '../../shared/lib/groups';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { RoundMap } from '../../shared/ui/RoundMap';
import type { RunBlock } from './words';

/** The ground of a block to scale: what stays, what is moved, how many of it, and in a round who begins where. */
export function Ground({ pack, block }: { pack: RunPack; block: RunBlock }) {
  const stations = block.round[0]?.map((station) => pack.blocks.find((one) => one.id === station.blockId) ?? block) ?? [block];
  return (
    <div className="tight">
      {block.reset && <p>{block.reset.words}</p>}
      {stations.map((one) => (
        <div key={one.id} className="lay-out">
          {stations.length > 1 && <h2>{one.title}</h2>}
          {one.drill && (
            <>
              <p>
                {one.stations > 1 && <strong>{one.stations} of these: </strong>}
                {one.drill.drawing.kit.join(', ')}. {one.drill.drawing.spaceText}
              </p>
              <div className="drawing">
                <PlanDrawing drawing={one.drill.drawing} title={one.drill.name} isSmall />
              </div>
            </>
          )}
        </div>
      ))}
      {block.round.length > 0 && (
        <RoundMap round={block.round} players={pack.players} titles={Object.fromEntries(pack.blocks.map((one) => [one.id, one.title]))} />
      )}
      {dutyWords(block, pack.players).map((words) => (
        <p key={words}>{words}</p>
      ))}
    </div>
  );
}
