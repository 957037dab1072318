import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { keepSettings, settingsQuery, type SettingsPath } from '../../shared/api/staffQueries';
import type { Setting, Settings } from '../../shared/api/staffSchemas';
import { Choice, Field } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';
import { NumberField } from '../../shared/ui/NumberField';
import { Failed } from '../../shared/ui/States';

type Values = Record<string, Setting['value']>;

/** Settings as the server lists them: each with what it does in a sentence, and what it is until somebody chooses. */
export function SettingsForm({ path }: { path: SettingsPath }) {
  const settings = useQuery({ ...settingsQuery(path), staleTime: 0 });
  if (settings.isPending)
    return (
      <p className="quiet" role="status">
        Loading …
      </p>
    );
  if (settings.isError) return <Failed fault={settings.error} onRetry={() => void settings.refetch()} />;
  return <Form key={settings.dataUpdatedAt} path={path} data={settings.data} />;
}

function Form({ path, data }: { path: SettingsPath; data: Settings }) {
  const queryClient = useQueryClient();
  const [base, setBase] = useState(data);
  const kept: Values = Object.fromEntries(base.settings.map(({ key, value }) => [key, value]));
  const [values, setValues] = useState<Values>(kept);
  const save = useMutation({
    mutationFn: () => keepSettings(path, values),
    onSuccess: async (next) => {
      setBase(next);
      setValues(Object.fromEntries(next.settings.map(({ key, value }) => [key, value])));
      // Everything is shown by these: units, words, targets, days.
      await queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'settings' });
    },
  });
  const { at, form } = faultsOf(save.error);
  const isChanged = JSON.stringify(values) !== JSON.stringify(kept);
  return (
    <form
      noValidate
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <ul className="choices">
        {base.settings.map((setting) => (
          <li key={setting.key}>
            <Control
              // A number keeps what was typed; it is made anew when the server has rounded it.
              key={`${setting.key} ${String(kept[setting.key])}`}
              setting={setting}
              value={values[setting.key] ?? null}
              fault={at(setting.key)}
              onValue={(value) => {
                save.reset();
                setValues((before) => ({ ...before, [setting.key]: value }));
              }}
            />
            <p className="quiet">
              {setting.sentence}
              {setting.default !== 'none' && ` Default: ${setting.default}.`}
            </p>
          </li>
        ))}
      </ul>
      {base.follows.map((sentence) => (
        <p key={sentence} className="note">
          {sentence}
        </p>
      ))}
      <FormFault sentence={form ?? (save.isError ? save.error.message : undefined)} />
      <div className="acts-line">
        <Button type="submit" variant={isChanged ? 'contained' : 'outlined'} disabled={!isChanged || save.isPending}>
          Keep these settings
        </Button>
        {save.isSuccess && !isChanged && <span role="status">Kept.</span>}
      </div>
    </form>
  );
}

interface ControlProps {
  setting: Setting;
  value: Setting['value'];
  fault: string | undefined;
  onValue: (value: Setting['value']) => void;
}

function Control({ setting, value, fault, onValue }: ControlProps) {
  switch (setting.kind) {
    case 'choice':
      return (
        <Choice
          label={setting.label}
          value={String(value)}
          options={setting.options.map((option) => [option.value, option.label])}
          onValue={onValue}
          fault={fault}
        />
      );
    case 'number':
      return <NumberField label={setting.label} value={typeof value === 'number' ? value : null} mayBeEmpty onNumber={onValue} fault={fault} />;
    case 'date':
      return <Field label={setting.label} type="date" value={value ?? ''} onValue={(text) => onValue(text === '' ? null : text)} fault={fault} />;
    case 'text':
      return <Field label={setting.label} value={value ?? ''} onValue={onValue} fault={fault} />;
  }
}
