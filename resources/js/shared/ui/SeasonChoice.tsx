interface SeasonChoiceProps {
  ended: { id: number; name: string }[];
  /** The season that has ended and is shown; undefined for the one that goes on. */
  endedId: number | undefined;
  onChoose: (endedId: number | undefined) => void;
}

/** Which season is read; nothing where there is only one. */
export function SeasonChoice({ ended, endedId, onChoose }: SeasonChoiceProps) {
  if (ended.length === 0) return null;
  return (
    <select
      aria-label="Season"
      className="choice"
      value={endedId ?? ''}
      onChange={(event) => onChoose(event.target.value === '' ? undefined : Number(event.target.value))}
    >
      <option value="">This season</option>
      {ended.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
