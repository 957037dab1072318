import type { Evaluation } from '../api/schemas';

type Remark = Evaluation['remarks'][number];

interface RemarksProps {
  remarks: Remark[];
  /** Under a heading of its own, as in a list of sessions; not by default. */
  isNested?: boolean;
  /** Shows the block a remark is about; left out where there is none to show. */
  onShow?: (blockId: string) => void;
  /** What one press mends, and its words; nothing for what only the coach can mend. */
  pressFor?: (remark: Remark) => { words: string; press: () => void } | undefined;
}

/** Three lines at most, each with its cure. */
export function Remarks({ remarks, isNested = false, onShow, pressFor }: RemarksProps) {
  if (remarks.length === 0) return null;
  const Heading = isNested ? 'h3' : 'h2';
  return (
    <section className="tight">
      <Heading>A second coach would say</Heading>
      <ul className="rows">
        {remarks.map((remark) => {
          const { blockId } = remark;
          const mend = pressFor?.(remark);
          return (
            <li key={remark.rule}>
              {remark.sentence}{' '}
              {mend ? (
                <button type="button" className="link" onClick={mend.press}>
                  {mend.words}
                </button>
              ) : (
                <span className="quiet">{remark.cure}</span>
              )}{' '}
              {blockId && onShow && (
                <button type="button" className="link" onClick={() => onShow(blockId)} aria-label={`Show where: ${remark.sentence}`}>
                  Show where
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
