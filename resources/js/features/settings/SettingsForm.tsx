import { Button } from '../../shared/ui/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError } from '../../shared/api/client';
import { faultsOf } from '../../shared/api/faults';
import { keepSettings, settingsQuery, type SettingsPath } from '../../shared/api/staffQueries';
import type { Setting, Settings } from '../../shared/api/staffSchemas';
import { Choice, Field } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';
import { NumberField } from '../../shared/ui/NumberField';
import { Failed } from '../../shared/ui/States';
import { isOf } from '../../shared/api/keys';

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
    mutationFn: (version: number) => keepSettings(path, version, values),
    onSuccess: async (next) => {
      take(next);
      // Everything is shown by these: units, words, targets, days.
      await queryClient.invalidateQueries({ predicate: (query) => !isOf('settings')(query) });
    },
  });
  const take = (next: Settings) => {
    setBase(next);
    setValues(Object.fromEntries(next.settings.map(({ key, value }) => [key, value])));
  };
  const { at, form } = faultsOf(save.error);
  // Somebody else kept other settings meanwhile: both are shown.
  const other = save.error instanceof ApiError && save.error.kind === 'stale' ? (save.error.current as Settings | undefined) : undefined;
  const isChanged = JSON.stringify(values) !== JSON.stringify(kept);
  return (
    <form
      noValidate
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(base.version);
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
      {other && (
        <div className="notice stack" role="alert">
          <p>{save.error?.message}</p>
          <ul>
            {other.settings
              .filter(({ key, value }) => JSON.stringify(value) !== JSON.stringify(values[key]))
              .map(({ key, label, value }) => (
                <li key={key}>
                  {label}: yours {shown(values[key])}, kept meanwhile {shown(value)}
                </li>
              ))}
          </ul>
          <div className="acts-line">
            <Button onClick={() => save.mutate(other.version)}>Keep mine over it</Button>
            <Button onClick={() => take(other)}>Take the other</Button>
          </div>
        </div>
      )}
      <FormFault sentence={other ? undefined : (form ?? (save.isError ? save.error.message : undefined))} />
      <div className="acts-line">
        <Button type="submit" variant={isChanged ? 'contained' : 'outlined'} disabled={!isChanged || save.isPending}>
          Keep these settings
        </Button>
        {save.isSuccess && !isChanged && <span role="status">Kept.</span>}
      </div>
    </form>
  );
}

const shown = (value: Setting['value'] | undefined): string => (value === null || value === undefined || value === '' ? 'nothing' : String(value));

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
      return <Field label={setting.label} type="date" value={String(value ?? '')} onValue={(text) => onValue(text === '' ? null : text)} fault={fault} />;
    case 'text':
      return <Field label={setting.label} value={String(value ?? '')} onValue={onValue} fault={fault} />;
  }
}
