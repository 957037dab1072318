import type { DrillChoices, DrillFields } from '../../shared/api/bookSchemas';

/** What every section of a drill's fields is given. */
export interface SectionProps {
  fields: DrillFields;
  choices: DrillChoices;
  faultAt: (path: string) => string | undefined;
  onChange: (path: (string | number)[], value: unknown) => void;
}

export const optionsOf = (choices: DrillChoices, name: string): [string, string][] => (choices[name] ?? []).map(({ value, words }) => [value, words]);
