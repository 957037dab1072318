/** What a guest is called until a name is known. */
export const bibName = (bib: number): string => `Bib ${bib}`;

/** The lowest bibs that nobody of these wears. */
export function freeBibs(players: { bib: number | null }[], count: number): number[] {
  const worn = new Set(players.map(({ bib }) => bib));
  return Array.from({ length: 99 }, (_, i) => i + 1)
    .filter((bib) => !worn.has(bib))
    .slice(0, Math.max(0, count));
}
