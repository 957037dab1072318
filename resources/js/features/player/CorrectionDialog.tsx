import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useId, useState } from 'react';
import type { RecordLine } from '../../shared/api/schemas';
import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import type { Decision } from './TriesPage';

type How = 'number' | 'void' | 'disputed';

interface CorrectionDialogProps {
  title: string;
  line: RecordLine;
  value: number | null;
  fault: Error | null;
  isPending: boolean;
  onDecide: (decision: Decision) => void;
  onClose: () => void;
}

/** Another number, void, or disputed, and why. */
export function CorrectionDialog({ title, line, value: before, fault, isPending, onDecide, onClose }: CorrectionDialogProps) {
  const id = useId();
  const [how, setHow] = useState<How>('number');
  const [value, setValue] = useState(before);
  const [reason, setReason] = useState('');
  const [isAsked, setAsked] = useState(false);
  const needsReason = how !== 'number' && reason.trim() === '';
  return (
    <Dialog open onClose={onClose} labelledBy={id}>
      <form
        noValidate
        className="page stack"
        onSubmit={(event) => {
          event.preventDefault();
          setAsked(true);
          if (value !== null && !needsReason) onDecide({ value, reason: reason.trim(), isVoid: how === 'void', isDisputed: how === 'disputed' });
        }}
      >
        <h2 id={id}>{title}</h2>
        <Choice
          label="What is right?"
          value={how}
          options={[
            ['number', 'another number'],
            ['void', 'the try is void'],
            ['disputed', 'it is disputed'],
          ]}
          onValue={(next) => setHow(next as How)}
        />
        {how === 'number' && <NumberField label={`Number, ${line.unit}`} value={value} onNumber={setValue} />}
        <Field
          label={how === 'number' ? 'Why, if you like' : 'Why'}
          value={reason}
          onValue={setReason}
          fault={isAsked && needsReason ? 'Say why in a few words: it is kept beside the try.' : undefined}
        />
        <p className="quiet">What was written before stays readable beneath.</p>
        {fault && (
          <p className="notice" role="alert">
            {fault.message}
          </p>
        )}
        <div className="acts-line">
          <Button type="submit" variant="contained" disabled={isPending}>
            Keep
          </Button>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  );
}
