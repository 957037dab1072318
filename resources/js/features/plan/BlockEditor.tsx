import { Button } from '../../shared/ui/Button';
import type { BlockEvaluation, Drill, PlanBlock } from '../../shared/api/schemas';
import { DrillParts } from '../../shared/ui/DrillParts';
import { DoseFields } from '../../shared/ui/DoseFields';
import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { groundWords } from '../../shared/lib/walk';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { StitchLine } from '../../shared/ui/Stitches';
import { changed, together, waiting } from '../../shared/lib/draft';
import type { PlanTools } from './usePlan';

interface BlockEditorProps {
  tools: PlanTools;
  block: PlanBlock;
  index: number;
  drill: Drill | undefined;
  worked: BlockEvaluation | undefined;
}

/** The selected block: its name, its dose, and the drawing of its layout. */
export function BlockEditor({ tools, block, index, drill, worked }: BlockEditorProps) {
  const change = (part: Partial<PlanBlock>) => tools.change({ blocks: changed(tools.plan.blocks, block.id, part) });
  const faultAt = (field: string) => tools.faultAt(`blocks.${index}.${field}`);
  return (
    <div className="stack">
      <div className="tight">
        <h2>{block.title}</h2>
        {drill && (
          <>
            <p>{drill.summary}</p>
            <StitchLine contacts={drill.contacts} label={`Touches of one rep, right foot leading: ${drill.script}`} />
          </>
        )}
      </div>
      {block.kind !== 'drill' && <Field label="Called" value={block.title} onValue={(title) => change({ title })} fault={faultAt('title')} />}
      <div className="fields">
        {block.kind !== 'drill' && <NumberField label="Minutes" value={block.minutes} onNumber={(minutes) => change({ minutes })} fault={faultAt('minutes')} />}
        {block.dose && (
          <DoseFields
            dose={block.dose}
            tempo={{ value: block.tempo ?? 'steady', onTempo: (tempo) => change({ tempo }) }}
            // Another kind of dose gives other numbers: which one is then the drill's to say, or none as before.
            onChange={(dose) => change(dose.kind === block.dose?.kind || block.counted === 'nothing' ? { dose } : { dose, counted: null })}
            faultAt={faultAt}
          />
        )}
        {block.kind === 'drill' && (
          <>
            <NumberField
              label="Stations"
              value={block.stations}
              mayBeEmpty
              placeholder="enough"
              onNumber={(stations) => change({ stations })}
              fault={faultAt('stations')}
            />
            <Choice
              label="Written down"
              value={block.counted ?? ''}
              options={countedOptions(block, drill, worked)}
              onValue={(counted) => change({ counted: counted === '' ? null : counted })}
              fault={faultAt('counted')}
            />
            {drill?.composition === 'build-up' && (
              <NumberField
                label={`Links, of ${drill.parts.length}`}
                value={block.links}
                mayBeEmpty
                placeholder="all"
                onNumber={(links) => change({ links })}
                fault={faultAt('links')}
              />
            )}
          </>
        )}
      </div>
      {drill?.composition === 'build-up' && (
        <LinkPresses
          links={block.links ?? drill.parts.length}
          of={drill.parts.length}
          onLinks={(links) => tools.press({ blocks: changed(tools.plan.blocks, block.id, { links }) })}
        />
      )}
      {block.kind === 'drill' && tools.plan.blocks[index - 1]?.kind === 'drill' && (
        <label className="tick">
          <input
            type="checkbox"
            checked={block.together !== null && block.together === tools.plan.blocks[index - 1]?.together}
            onChange={(event) => tools.change({ blocks: together(tools.plan.blocks, block.id, event.target.checked) })}
          />
          At the same time as {tools.plan.blocks[index - 1]?.title}; groups go round
        </label>
      )}
      {block.together !== null && (
        <label className="tick">
          <input
            type="checkbox"
            checked={tools.plan.blocks.some((one) => one.together === block.together && one.stationsWait)}
            onChange={(event) => tools.change({ blocks: waiting(tools.plan.blocks, block.together ?? '', event.target.checked) })}
          />
          Stations wait for each other: move on when the last group is done, not on the whistle
        </label>
      )}
      {drill && <DrillParts drill={drill} links={block.links} />}
      {faultAt('drillVersionId') && <p className="notice">{faultAt('drillVersionId')}</p>}
      {drill && (
        <figure className="drawing" style={{ margin: 0 }}>
          <PlanDrawing drawing={drill.drawing} title={drill.name} />
          <figcaption className="quiet">{groundWords(drill.drawing)}</figcaption>
        </figure>
      )}
    </div>
  );
}

/** What the drill says, or what its dose can give, or no number today. */
function countedOptions(block: PlanBlock, drill: Drill | undefined, worked: BlockEvaluation | undefined): [string, string][] {
  const may = worked?.mayCount ?? [];
  const words = (kind: string | null | undefined) => may.find((one) => one.kind === kind)?.words;
  const own = words(drill?.scoring?.kind);
  const usual = drill?.scoring ? (own ?? may[0]?.words ?? 'nothing') : 'nothing';
  const isChosenUnknown = block.counted !== null && block.counted !== 'nothing' && words(block.counted) === undefined;
  return [
    ['', drill?.composition === 'circuit' ? 'what its items say' : usual],
    ['nothing', 'no number today'],
    ...may.filter((one) => one.words !== usual).map((one): [string, string] => [one.kind, one.words]),
    ...(isChosenUnknown ? [[block.counted ?? '', block.counted ?? ''] as [string, string]] : []),
  ];
}

/** One link more or fewer is one press. */
function LinkPresses({ links, of, onLinks }: { links: number; of: number; onLinks: (links: number) => void }) {
  return (
    <div className="acts-line">
      <Button disabled={links <= 1} onClick={() => onLinks(links - 1)}>
        One link fewer
      </Button>
      <Button disabled={links >= of} onClick={() => onLinks(links + 1)}>
        One link more
      </Button>
      <span className="quiet">
        {links} of {of} today
      </span>
    </div>
  );
}
