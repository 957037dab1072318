import { useId, type ChangeEvent, type ComponentPropsWithRef } from 'react';

interface FieldProps extends Omit<ComponentPropsWithRef<'input'>, 'id' | 'onChange' | 'value'> {
  label: string;
  value: string;
  /** A sentence under the field; empty when there is nothing wrong. */
  fault?: string | undefined;
  /** So many lines, and more as they are written; one that never breaks where nothing is said. */
  lines?: number;
  onValue: (value: string) => void;
}

/** A labelled input with its fault beneath it, tied together for screen readers. */
export function Field({ label, fault, lines, onValue, ...rest }: FieldProps) {
  const id = useId();
  const tied = {
    id,
    'aria-invalid': Boolean(fault),
    'aria-describedby': fault ? `${id}-fault` : undefined,
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => onValue(event.target.value),
  };
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      {lines === undefined ? <input {...rest} {...tied} /> : <textarea {...(rest as ComponentPropsWithRef<'textarea'>)} {...tied} rows={lines} />}
      <Fault id={id} fault={fault} />
    </div>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  options: [value: string, words: string][];
  fault?: string | undefined;
  onValue: (value: string) => void;
}

/** A labelled list to choose from; the system's own, so that it works with a wet thumb. */
export function Choice({ label, value, options, fault, onValue }: ChoiceProps) {
  const id = useId();
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        value={value}
        aria-invalid={Boolean(fault)}
        aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(event) => onValue(event.target.value)}
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
      <Fault id={id} fault={fault} />
    </div>
  );
}

function Fault({ id, fault }: { id: string; fault: string | undefined }) {
  if (!fault) return null;
  return (
    <span className="fault" id={`${id}-fault`} role="alert">
      {fault}
    </span>
  );
}
