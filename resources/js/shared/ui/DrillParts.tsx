import type { Drill } from '../api/schemas';
import { doseWords } from '../lib/doseWords';
import { useFootWording } from './FootWords';
import { StitchLine } from './Stitches';

interface DrillPartsProps {
  drill: Drill;
  /** Of a build-up, how many links are done today; the rest are shown quietly. */
  links?: number | null;
}

const titles = { single: '', combination: 'Parts', 'build-up': 'Links, each on top of the one before', circuit: 'In this order, without stopping' };

/** What a drill is put together from; nothing for one that is of one piece. */
export function DrillParts({ drill, links = null }: DrillPartsProps) {
  const wording = useFootWording();
  if (drill.parts.length === 0) return null;
  return (
    <section className="tight">
      <h2>{titles[drill.composition]}</h2>
      <ol className="parts">
        {drill.parts.map((part, i) => (
          <li key={i} className={links !== null && i >= links ? 'quiet pending' : undefined}>
            <span className="num">{i + 1}</span>
            <span>
              <strong>{part.name}</strong>
              <br />
              <span className="quiet">
                {[
                  part.dose && doseWords(part.dose, wording).replace(/, 0 s rest$/, ''),
                  part.asks,
                  part.isCounted && 'counted',
                  part.restSeconds > 0 && `${part.restSeconds} s after`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </span>
            <StitchLine contacts={part.contacts} label="" />
          </li>
        ))}
      </ol>
    </section>
  );
}
