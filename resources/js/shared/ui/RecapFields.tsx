import { useId } from 'react';
import type { Drill, Recap } from '../api/schemas';
import { howHardWords } from '../lib/recap';
import { Field } from './Field';

/** What to ask at the end, and what one hopes to hear. */
export function Questions({ questions }: { questions: Drill['questions'] }) {
  return (
    <ul className="rows">
      {questions.map((question) => (
        <li key={question.ask}>
          <strong>{question.ask}</strong>
          <br />
          <span className="quiet">Hoped for: {question.hopedFor.join(' ')}</span>
        </li>
      ))}
    </ul>
  );
}

interface RecapFieldsProps {
  value: Recap;
  onChange: (value: Recap) => void;
  /** When a field is left, or a choice made. */
  onSettled?: () => void;
  fault?: string | undefined;
}

/** A few words of theirs and one press. */
export function RecapFields({ value, onChange, onSettled, fault }: RecapFieldsProps) {
  const name = useId();
  return (
    <div className="stack">
      <Field
        label="What they said, in a few words and without names"
        value={value.answers}
        lines={2}
        onValue={(answers) => onChange({ ...value, answers })}
        onBlur={onSettled}
        fault={fault}
        maxLength={500}
      />
      <fieldset className="presses">
        <legend>How hard was it?</legend>
        {(Object.keys(howHardWords) as (keyof typeof howHardWords)[]).map((howHard) => (
          <label key={howHard}>
            <input
              type="radio"
              name={name}
              checked={value.howHard === howHard}
              onChange={() => {
                onChange({ ...value, howHard });
                onSettled?.();
              }}
            />
            {howHardWords[howHard]}
          </label>
        ))}
      </fieldset>
      <div className="presses">
        <label>
          <input
            type="checkbox"
            checked={value.onlyTried}
            onChange={(event) => {
              onChange({ ...value, onlyTried: event.target.checked });
              onSettled?.();
            }}
          />
          Only tried it: learn nothing from this run
        </label>
      </div>
    </div>
  );
}
