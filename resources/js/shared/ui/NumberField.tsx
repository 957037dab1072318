import { useState } from 'react';
import { Field } from './Field';

interface NumberFieldProps {
  label: string;
  value: number | null;
  /** Shown under the field; what cannot be read as a number says so by itself. */
  fault?: string | undefined;
  /** Whether an empty field means "none". @default false */
  mayBeEmpty?: boolean;
  placeholder?: string;
  onNumber: (value: number | null) => void;
}

/** Keeps what was typed even while it is not a number, and passes on only numbers. */
export function NumberField({ label, value, fault, mayBeEmpty = false, placeholder, onNumber }: NumberFieldProps) {
  const [text, setText] = useState(value === null ? '' : String(value));
  const trimmed = text.trim().replace(',', '.');
  const isNumber = /^-?\d+(\.\d+)?$/.test(trimmed);
  const own = isNumber || (trimmed === '' && mayBeEmpty) ? undefined : trimmed === '' ? 'Enter a number.' : 'This is not a number.';
  return (
    <Field
      label={label}
      value={text}
      inputMode="decimal"
      placeholder={placeholder ?? ''}
      fault={own ?? fault}
      onValue={(next) => {
        setText(next);
        const cleaned = next.trim().replace(',', '.');
        if (/^-?\d+(\.\d+)?$/.test(cleaned)) onNumber(Number(cleaned));
        else if (cleaned === '' && mayBeEmpty) onNumber(null);
      }}
    />
  );
}
