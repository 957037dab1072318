import InputBase, { type InputBaseProps } from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';

interface FieldProps extends Omit<InputBaseProps, 'error' | 'id' | 'onChange'> {
  label: string;
  /** A sentence under the field; empty when there is nothing wrong. */
  fault?: string | undefined;
  onValue: (value: string) => void;
}

/** A labelled input with its fault beneath it, tied together for screen readers. */
export function Field({ label, fault, onValue, inputProps, ...rest }: FieldProps) {
  const id = useId();
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <InputBase
        {...rest}
        id={id}
        error={Boolean(fault)}
        onChange={(event) => onValue(event.target.value)}
        inputProps={{ ...inputProps, 'aria-describedby': fault ? `${id}-fault` : undefined }}
      />
      {fault && (
        <span className="fault" id={`${id}-fault`} role="alert">
          {fault}
        </span>
      )}
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
      <NativeSelect
        input={<InputBase />}
        value={value}
        error={Boolean(fault)}
        onChange={(event) => onValue(event.target.value)}
        inputProps={{ id, 'aria-describedby': fault ? `${id}-fault` : undefined }}
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </NativeSelect>
      {fault && (
        <span className="fault" id={`${id}-fault`} role="alert">
          {fault}
        </span>
      )}
    </div>
  );
}
