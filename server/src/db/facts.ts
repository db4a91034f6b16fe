import type {
  Entry,
  KeeperSettings,
  Place,
  Queen,
  StockItem,
  StockMove,
  TubeHome,
} from '@gentle-burrow/core';

/** Everything that is stored: what the keeper wrote. All else is derived. */
export type Fact =
  | { fact: 'place'; value: Place }
  | { fact: 'home'; value: TubeHome }
  | { fact: 'queen'; value: Queen }
  | { fact: 'entry'; value: Entry }
  | { fact: 'stock-item'; value: StockItem }
  | { fact: 'stock-move'; value: StockMove }
  | { fact: 'settings'; value: KeeperSettings };

/** Which entries of a write were new, and which had been stored before. */
export interface Written {
  accepted: string[];
  known: string[];
}
