import { Button } from '../../shared/ui/Button';
import type { RunPack } from '../../shared/api/schemas';
import { ageWords, dutyWords } from '../../shared/lib/groups';
import { questionsOf } from '../../shared/lib/recap';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { Questions } from '../../shared/ui/RecapFields';
import { StitchLine } from '../../shared/ui/Stitches';
import { useFootWording } from '../../shared/ui/FootWords';
import { Ground } from './Ground';
import { Who } from './Who';
import { doseLine, pointFor, ruleOf, type RunBlock, type RunSegment } from './words';

interface SpellProps {
  pack: RunPack;
  /** Block id → links of a build-up, where that was changed here. */
  links: Record<string, number>;
  onLinks: (blockId: string, count: number) => void;
  segment: RunSegment;
  block: RunBlock | undefined;
}

/** What a stretch asks for, from what matters most: how much, who is where, what counts, one thing to look at. */
export function Spell({ pack, links, onLinks, segment, block }: SpellProps) {
  const wording = useFootWording();
  const drill = block?.drill;
  if (segment.kind === 'talk')
    return (
      <div className="tight">
        <p>
          <strong>What was today about?</strong>
        </p>
        <Questions questions={questionsOf(pack.blocks.map((one) => one.drill))} />
      </div>
    );
  if (!block || !drill)
    return (
      <div className="tight">
        <Who pack={pack} segment={segment} />
        {block && dutyWords(block, pack.players).map((words) => <p key={words}>{words}</p>)}
      </div>
    );
  // In a round every group has a drill of its own.
  const isRound = segment.stations.length > 0;
  if (segment.kind === 'set-up')
    return (
      <>
        <Ground pack={pack} block={block} />
        {block.round.length === 0 && <Who pack={pack} segment={segment} />}
      </>
    );
  const point = pointFor(drill.points, segment);
  const { counts, voids, fault } = ruleOf(pack, segment);
  return (
    <div className="tight">
      {!isRound && (
        <p className="dose">
          <strong>{doseLine(block, segment, wording)}</strong>
        </p>
      )}
      {block.ages.map((one) => (
        <p key={one.ageGroup}>{ageWords(one, pack.players, wording)}</p>
      ))}
      {segment.kind === 'work' && !isRound && segment.item === null && (
        <StitchLine
          contacts={segment.side === 'L' ? drill.contactsLeft : drill.contacts}
          times={Math.max(1, Math.floor(10 / Math.max(1, drill.contacts.length)))}
          scale={1.7}
          label={`Touches: ${drill.script}`}
        />
      )}
      {segment.kind === 'explain' && (
        <>
          <p>{drill.summary}</p>
          <div className="drawing lay-out">
            <PlanDrawing drawing={drill.drawing} title={drill.name} isSmall />
          </div>
        </>
      )}
      <Who pack={pack} segment={segment} />
      {drill.composition === 'build-up' && (
        <BuildUp
          parts={drill.parts.map((part) => part.name)}
          links={links[block.id] ?? block.links ?? drill.parts.length}
          onLinks={(count) => onLinks(block.id, count)}
        />
      )}
      {counts && (
        <p>
          <strong>Counts</strong> {counts}
        </p>
      )}
      {(voids || fault) && (
        <p>
          {voids && (
            <>
              <strong>Void</strong> {voids}{' '}
            </>
          )}
          {fault && (
            <>
              <strong>Fault</strong> {fault}
            </>
          )}
        </p>
      )}
      {!isRound && point && <p>{point}</p>}
      {segment.kind === 'explain' && drill.questions[0] && <p className="quiet">Ask: {drill.questions[0].ask}</p>}
    </div>
  );
}

/** The links that are done now, each on top of the one before; one more or fewer is one press. */
function BuildUp({ parts, links, onLinks }: { parts: string[]; links: number; onLinks: (count: number) => void }) {
  return (
    <>
      <p>
        <strong>
          Links 1 to {links} of {parts.length}
        </strong>{' '}
        {parts.slice(0, links).join(', then ')}
      </p>
      <div className="acts-line">
        <Button disabled={links <= 1} onClick={() => onLinks(links - 1)}>
          One link fewer
        </Button>
        <Button disabled={links >= parts.length} onClick={() => onLinks(links + 1)}>
          One link more
        </Button>
      </div>
    </>
  );
}
