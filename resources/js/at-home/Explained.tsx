import type { HomeDrill } from '../shared/api/homeSchemas';
import { StitchLine } from '../shared/ui/Stitches';

/** How it goes, step by step: what a grown-up can read out. */
export function Explained({ drill }: { drill: HomeDrill }) {
  return (
    <div className="tight">
      <p>{drill.summary}</p>
      {drill.contacts.length > 0 && <StitchLine contacts={drill.contacts.slice(0, 16)} label={`${drill.name}, touch by touch`} />}
      {drill.points[0] && <p className="quiet">{drill.points[0]}</p>}
      {drill.countsOnlyIf && <p className="quiet">{drill.countsOnlyIf}</p>}
      {drill.card && (
        <p className="quiet">
          Whoever serves: {drill.card.give}
          {drill.card.call && ` ${drill.card.call}`}
        </p>
      )}
      <details>
        <summary>Too hard, too easy, or something is missing</summary>
        {drill.easier && <p>Too hard: {drill.easier}.</p>}
        {drill.harder && <p>Too easy: {drill.harder}.</p>}
        {drill.standIns.map((one) => (
          <p key={one.for + one.use}>
            No {one.for}? {one.use}
          </p>
        ))}
      </details>
    </div>
  );
}
