/** What a door is called: "mouth", "port 2", "room 3". */
export const gateName = (gate: string): string => gate.replace('-', ' ');
