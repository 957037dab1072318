import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { SquadRef } from '../api/schemas';

interface SquadChoiceValue {
  squadId: number;
  squad: SquadRef | undefined;
  choose: (squadId: number) => void;
}
const Context = createContext<SquadChoiceValue>({ squadId: 0, squad: undefined, choose: () => {} });

/** Which of the coach's squads the views show; remembered on the device. */
export function SquadChoice({ squads, children }: { squads: SquadRef[]; children: ReactNode }) {
  const [chosen, setChosen] = useState(() => Number(localStorage.getItem('squad')));
  const squad = squads.find(({ id }) => id === chosen) ?? squads[0];
  const value = useMemo<SquadChoiceValue>(
    () => ({
      squadId: squad?.id ?? 0,
      squad,
      choose: (squadId) => {
        localStorage.setItem('squad', String(squadId));
        setChosen(squadId);
      },
    }),
    [squad],
  );
  return <Context value={value}>{children}</Context>;
}

export const useSquadId = (): SquadChoiceValue => useContext(Context);
