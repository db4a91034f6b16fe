/** Keys that move within a group, by how many places. */
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * Lets the arrows move within a group of one stop for Tab, as the patterns of WAI-ARIA have it; Home and End go to its
 * ends. Radios and tabs are chosen by moving to them; buttons of a toolbar only by Space or Enter.
 * @returns what the element around the group needs
 */
export function roving(role: 'radio' | 'tab' | 'button') {
  const onKeyDown = (e: KeyboardEvent) => {
    const here = (e.target as HTMLElement).closest<HTMLElement>(`[role="${role}"]`);
    const group = e.currentTarget as HTMLElement;
    if (!here || !group.contains(here)) return;
    if (e.key === ' ' && role !== 'button') {
      // buttons answer to Space by themselves
      e.preventDefault();
      here.click();
      return;
    }
    const all = [...group.querySelectorAll<HTMLElement>(`[role="${role}"]`)];
    const at = all.indexOf(here);
    const step = STEPS[e.key];
    const to =
      step !== undefined
        ? all[(at + step + all.length) % all.length]
        : e.key === 'Home'
          ? all[0]
          : e.key === 'End'
            ? all.at(-1)
            : undefined;
    if (!to) return;
    e.preventDefault();
    to.focus();
    if (role !== 'button' && to !== here) to.click();
  };
  return { onKeyDown } as object;
}

/** Whether one of a group is where Tab stops: the chosen one, or the first while none is. */
export const tabStop = (index: number, chosen: number): 0 | -1 => (index === Math.max(0, chosen) ? 0 : -1);
