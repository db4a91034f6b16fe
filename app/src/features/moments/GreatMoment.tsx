import { DAY_MS } from '@gentle-burrow/core/quantity';
import { momentsOf, shareLater, withoutSightings } from '@gentle-burrow/core/view';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { projectLocally } from '@/data/projection';
import { useOwnKinds, useSettings, useSpecies, type ShownQueen } from '@/data/queries';
import { toldOnce, useToldOnce } from '@/data/told-once';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { dayText } from '@/ui/dates';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { afterWords, againstWords, firstWords } from './moment-words';
import { MomentCard } from './MomentCard';

/** So long after it was logged it is still news. */
const NEWS_MS = 14 * DAY_MS;

/** A first of hers, said once on her page: how soon it came beside others of her kind, and a card of it. */
export function GreatMoment({ shown }: { shown: ShownQueen }) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const told = useToldOnce();
  const [card, setCard] = useState(false);
  const settings = useSettings();
  const own = useOwnKinds();
  const { facts, view } = shown;
  const cocoons = useSpecies().find((s) => s.id === view.profileId)?.pupae.value === 'in cocoons';
  const now = new Date();
  const logged = new Map(facts.entries.map((e) => [e.id, Date.parse(e.loggedAt)]));
  const moment = momentsOf(view.ledger)
    .filter(({ entryId }) => now.getTime() - (logged.get(entryId) ?? 0) < NEWS_MS)
    .at(-1);
  const key = moment ? `first.${facts.queen.id}.${moment.stage}` : '';
  const news = moment !== undefined && view.ledger.loss === null && !told(key);
  // what was to be expected of any queen of her kind, reckoned aside; without it the moment itself is said all the same
  const expected = useQuery({
    queryKey: ['moment', key, moment?.at ?? '', settings, own],
    queryFn: () => projectLocally(withoutSightings(facts), settings, moment?.at ?? '', own),
    enabled: news,
    networkMode: 'always',
    gcTime: 60_000,
  });
  if (!news || !moment) return null;
  const title = `${firstWords(moment.stage, cocoons)} ${afterWords(moment.days)}`;
  const before = expected.data?.view;
  const detail = before?.outlook
    ? againstWords(shareLater(before.outlook, moment.stage), tempText(before.tempC, temperature))
    : '';
  return (
    <View role="status" style={[styles.moment, { backgroundColor: p.mossWash, borderLeftColor: p.moss }]}>
      <Words kind="heading" level={2}>
        {`${title}.`}
      </Words>
      {detail ? <Words>{detail}</Words> : null}
      <View style={styles.buttons}>
        <Button compact mode="outlined" icon="card-account-details-outline" onPress={() => setCard(true)}>
          Make a card
        </Button>
        <Button compact mode="text" onPress={() => toldOnce(key)}>
          Close
        </Button>
      </View>
      {card ? (
        <MomentCard
          shown={shown}
          title={title}
          detail={detail}
          day={dayText(moment.at)}
          onClose={() => setCard(false)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  moment: { borderLeftWidth: 4, padding: SPACE.m, gap: SPACE.xs },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
